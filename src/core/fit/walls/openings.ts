import type { WallJob } from '../../records';
import { fail, ok, type Result } from '../../shared/result';
import { courseHeight } from '../course-parts';

/** An opening at its place. */
export interface PlacedOpening {
  readonly wall: string;
  readonly name: string;
  readonly from: number;
  readonly width: number;
  readonly bottom: number;
  readonly courses: number;
}

export type OpeningFault = {
  readonly fault: 'no room' | 'outside' | 'too high' | 'overlap';
  readonly wall: string;
  readonly opening: string;
  /** Another that it lies over. */
  readonly other?: string;
};

/**
 * Where the openings of a job stand. Those placed by hand first; those that are to be spread go into the stretches between
 * them, each to where most room is left, with posts of the same width between as far as studs allow: what does not come out
 * even stands at both ends alike. Posts are at least one stud.
 *
 * Two windows of 2 in a wall of 10 stand from 2 and from 6: posts of 2, 2 and 2.
 */
export function placeOpenings(job: WallJob): Result<PlacedOpening[], OpeningFault> {
  const placed: PlacedOpening[] = [];
  for (const o of job.openings) {
    const wall = job.walls.find((w) => w.id === o.wall);
    const say = (fault: OpeningFault['fault'], other?: string) =>
      fail({ fault, wall: wall?.name ?? o.wall, opening: o.name, ...(other ? { other } : {}) });
    if (!wall) return say('outside');
    if (o.bottom + o.courses > job.courses.length) return say('too high');
    const there = placed.filter((p) => p.wall === o.wall && isBeside(p, o));
    const from = o.from === null ? spread(wall.length, o.width, o.count, there) : [o.from];
    if (!from) return say('no room');
    for (const at of from) {
      if (at + o.width > wall.length) return say('outside');
      const other = there.find((p) => at < p.from + p.width && p.from < at + o.width);
      if (other) return say('overlap', other.name);
      placed.push({ ...o, from: at });
    }
  }
  return ok(placed);
}

type Courses = Pick<PlacedOpening, 'bottom' | 'courses'>;

/** True of two openings with a course in common. */
const isBeside = (a: Courses, b: Courses): boolean =>
  a.bottom < b.bottom + b.courses && b.bottom < a.bottom + a.courses;

/** The places of so many openings in what is free of a wall; null where posts of one stud do not fit between them. */
function spread(
  length: number,
  width: number,
  count: number,
  there: readonly PlacedOpening[],
): number[] | null {
  const stretches: { from: number; length: number; n: number }[] = [];
  let at = 0;
  for (const p of [...there].sort((a, b) => a.from - b.from)) {
    stretches.push({ from: at, length: p.from - at, n: 0 });
    at = p.from + p.width;
  }
  stretches.push({ from: at, length: length - at, n: 0 });
  /** The posts that a stretch would have with one more opening. */
  const post = (s: (typeof stretches)[number]) => (s.length - (s.n + 1) * width) / (s.n + 2);
  for (let i = 0; i < count; i++) {
    const [best] = [...stretches].sort((a, b) => post(b) - post(a));
    if (!best || post(best) < 1) return null;
    best.n++;
  }
  return stretches.flatMap((s) => placesIn(s, width)).sort((a, b) => a - b);
}

/** So many openings in a stretch: equal posts, and what is over at both ends. */
function placesIn(s: { from: number; length: number; n: number }, width: number): number[] {
  const free = s.length - s.n * width;
  const post = Math.floor(free / (s.n + 1));
  const first = post + Math.floor((free - post * (s.n + 1)) / 2);
  return Array.from({ length: s.n }, (_, i) => s.from + first + i * (width + post));
}

/**
 * How many courses a part so many plates tall takes from a course on: as many as are filled by it, at least one. Bricks,
 * plates and tiles count as tall as they are.
 *
 * A window of 6 plates takes two courses of bricks, or six of plates.
 */
export function coursesTaken(job: Pick<WallJob, 'courses'>, bottom: number, plates: number): number {
  let [n, tall] = [0, 0];
  for (const c of job.courses.slice(bottom)) {
    if (tall >= plates) break;
    tall += courseHeight(c.family);
    n++;
  }
  return Math.max(1, n);
}
