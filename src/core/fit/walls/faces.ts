import type { WallJob } from '../../records';
import type { PlacedOpening } from './openings';

/** Families that a face can be of. */
export const FACE_FAMILIES: readonly string[] = [
  'masonry brick',
  'log brick',
  'side-stud brick',
  'round brick',
];

/** One stone of a face: its wall, course and place from the left, studs along; of which family. */
export interface FaceStone {
  readonly wall: string;
  readonly course: number;
  readonly at: number;
  readonly along: number;
  readonly family: string;
}

/** Studs along that one stone of a face takes: those that come in two studs are laid so, round ones are single. */
const alongOf = (family: string): number => (family === 'round brick' ? 1 : 2);

/**
 * Where the faces of a job lie that are asked for as a share: stones spread over the visible courses of bricks, as near to
 * the share of their studs as places allow. They keep off openings, areas and the ends of walls, stand a stud aside from
 * course to course so that no joint must lie over a joint, and lie in the same places each time.
 *
 * A tenth of masonry in a wall of 20 studs and four courses: four stones of two studs.
 */
export function faceStones(
  job: Pick<WallJob, 'walls' | 'courses' | 'thick' | 'corners' | 'faces' | 'panels'>,
  openings: readonly PlacedOpening[],
): FaceStone[] {
  const taken = new Set<string>();
  return job.faces.flatMap((face, no) => {
    const along = alongOf(face.family);
    const { free, slots } = slotsFor(job, openings, along, taken);
    const wanted = Math.round((face.share * free) / 100 / along);
    return slots
      .map((s) => ({ ...s, rank: scattered(s.no, s.course, s.at, no) }))
      .sort((a, b) => a.rank - b.rank)
      .slice(0, wanted)
      .map(({ wall, course, at }) => {
        for (let i = 0; i < along; i++) taken.add(`${wall} ${course} ${at + i}`);
        return { wall, course, at, along, family: face.family };
      });
  });
}

/** Places where a stone may lie, and how many studs of the visible courses are free in all. */
function slotsFor(
  job: Parameters<typeof faceStones>[0],
  openings: readonly PlacedOpening[],
  along: number,
  taken: ReadonlySet<string>,
) {
  const slots: { wall: string; no: number; course: number; at: number }[] = [];
  let free = 0;
  const shut = [...openings, ...job.panels];
  // Ends belong to corners and teeth; the long stone of a corner's colour reaches a stud further.
  const end = job.thick + (job.corners === null ? 0 : 1);
  job.walls.forEach((w, no) => {
    job.courses.forEach((c, course) => {
      if (c.colour === null || c.family !== 'brick') return;
      const there = shut.filter(
        (o) => o.wall === w.id && course >= o.bottom && course < o.bottom + o.courses,
      );
      const isFree = (at: number) => !there.some((o) => at >= o.from && at < o.from + o.width);
      for (let at = 0; at < w.length; at++) if (isFree(at)) free++;
      for (let at = end + (course % along); at + along <= w.length - end; at += along) {
        const places = Array.from({ length: along }, (_, i) => at + i);
        if (places.every((p) => isFree(p) && !taken.has(`${w.id} ${course} ${p}`)))
          slots.push({ wall: w.id, no, course, at });
      }
    });
  });
  return { free, slots };
}

/** A number that looks drawn by chance and is always the same for a place: mixes its coordinates as hashes do. */
function scattered(...of: readonly number[]): number {
  let h = 0x9e3779b9;
  for (const n of of) {
    h = Math.imul(h ^ (n + 0x7f4a7c15), 0x85ebca6b);
    h ^= h >>> 13;
  }
  h = Math.imul(h, 0xc2b2ae35);
  return (h ^ (h >>> 16)) >>> 0;
}
