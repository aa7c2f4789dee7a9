import { removed, written, type Command, type Source } from '../../ledger';
import type { Track } from '../../records';
import { asId, type TrackId } from '../../shared/ids';
import type { Workbench } from '../../workbench';
import { courseLevels } from '../walls/laid-walls';
import { BRICK, PLATE, STUD } from './measures';
import { cutBack, sweptBy, type Swept } from './railway';

/** A tram past a wall to begin from: 30 studs long on the usual curve, its wall five studs from the middle of the track. */
export function newTrack(workbench: Workbench, source: Source): Track {
  return {
    id: asId<TrackId>(source.newId()),
    build: workbench.build,
    name: 'Tram past the wall',
    length: 240,
    pivots: 144,
    width: 48,
    from: 3.2,
    to: 96,
    radius: 320,
    room: 4,
    wall: null,
    side: 'inside',
    distance: 5,
    tried: [],
  };
}

export const keepTrack = (workbench: Workbench, track: Track): Command => ({
  label: `say how ${track.name} runs`,
  diff: written('track', workbench.records.track.get(track.id), track),
});

export const deleteTrack = (track: Track): Command => ({
  label: `delete ${track.name}`,
  diff: removed('track', track),
});

/** A course of the wall that a track passes: how far it must go back, studs; 0 = the vehicle clears it. */
export interface CourseBack {
  readonly course: number;
  /** Above the foot of the wall, mm. */
  readonly from: number;
  readonly to: number;
  readonly back: number;
}

/** How a track passes its wall: what is swept, from how many studs a wall may stand, and each course's cut-back. */
export interface TrackClearance {
  readonly swept: Swept;
  readonly needed: number;
  readonly courses: readonly CourseBack[];
  readonly longest: number | null;
}

/**
 * Holds a vehicle's way against a wall, course by course: only what is as high as the body, with room to spare above and
 * below, must go back. Without a wall's own courses those of plain bricks are taken, to the top of the vehicle.
 * Undefined where the vehicle cannot stand on the curve.
 */
export function trackClearance(workbench: Workbench, track: Track): TrackClearance | undefined {
  const swept = sweptBy(track, track.radius, track.room);
  if (!swept) return undefined;
  const needed = track.side === 'inside' ? swept.insideStuds : swept.outsideStuds;
  const back = cutBack(track.distance, needed);
  const levels = levelsOf(workbench, track);
  const courses = levels.slice(0, -1).map((from, course) => {
    const to = levels[course + 1]!;
    const isBeside = to > track.from - track.room && from < track.to + track.room;
    return { course, from, to, back: isBeside ? back : 0 };
  });
  return { swept, needed, courses, longest: longestPast(track) };
}

/** Where the courses of a track's wall begin, mm above its foot, and where the last ends. */
function levelsOf(workbench: Workbench, track: Track): number[] {
  const job = track.wall === null ? undefined : workbench.records.wallJob.get(track.wall);
  if (job) return courseLevels(job).map((l) => l * PLATE);
  const courses = Math.min(80, Math.ceil((track.to + track.room) / BRICK));
  return Array.from({ length: courses + 1 }, (_, i) => i * BRICK);
}

/**
 * The longest vehicle of the same kind that passes the wall where it stands, mm: as wide, its bogies as far from its ends in
 * proportion. Null where even the shortest does not, or no length is too long: on straight track.
 */
export function longestPast(track: Track): number | null {
  if (track.radius === null) return null;
  const share = track.pivots / track.length;
  const free = track.distance * STUD - track.room;
  const passes = (length: number): boolean => {
    const s = sweptBy({ length, pivots: length * share, width: track.width }, track.radius);
    return s !== undefined && (track.side === 'inside' ? s.inside : s.outside) <= free;
  };
  // What is swept grows with the length: halve between a length that passes and one that does not.
  let [good, bad] = [0, 20_000];
  if (!passes(1)) return null;
  if (passes(bad)) return null;
  while (bad - good > 0.5) {
    const middle = (good + bad) / 2;
    if (passes(middle)) good = middle;
    else bad = middle;
  }
  return Math.floor(good);
}
