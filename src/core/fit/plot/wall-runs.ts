import type { WallJob } from '../../records';
import { courseLevels } from '../walls/laid-walls';
import { overhangOf } from '../walls/overhang';
import { around, type Block } from './block';

/** A wall as it runs: from a corner, in a direction, so many studs; thick to its left, which is inside. */
export interface WallRun {
  readonly wall: string;
  readonly x: number;
  readonly y: number;
  readonly dx: -1 | 0 | 1;
  readonly dy: -1 | 0 | 1;
  readonly length: number;
}

/** Studs that the piece at place 0 of a wall lies before its beginning: the tooth in the wall it meets on the left. */
export const leftTooth = (job: Pick<WallJob, 'walls' | 'meet'>, no: number): 0 | 1 =>
  job.walls[no]?.left === 'toothed in' && (job.meet === 'apart' || (job.meet === 'row' && no === 0)) ? 1 : 0;

/**
 * How the walls of a job run when the first stands along the street: walls that meet turn to the left at each corner, seen
 * from outside; walls that stand apart all run along the street, one behind another where nobody said where.
 */
export function wallRuns(job: Pick<WallJob, 'walls' | 'meet' | 'thick'>): WallRun[] {
  if (job.meet === 'apart')
    return job.walls.map((w) => ({ wall: w.id, x: 0, y: 0, dx: 1, dy: 0, length: w.length }));
  let [x, y, dx, dy] = [0, 0, 1, 0];
  return job.walls.map((w) => {
    const run = { wall: w.id, x, y, dx, dy, length: w.length } as WallRun;
    // The corner square belongs to both walls: the next begins at its outer edge.
    [x, y] = [x + dx * w.length, y + dy * w.length];
    [dx, dy] = [-dy, dx];
    return run;
  });
}

/** The squares that a stretch of a wall covers: thick to its inside, and so far out as its last course hangs over. */
export function stretchOf(run: WallRun, from: number, along: number, thick: number, out = 0) {
  const ends = [from, from + along].map((s) => ({ x: run.x + run.dx * s, y: run.y + run.dy * s }));
  // Inside lies to the left of the direction.
  const [ix, iy] = [-run.dy, run.dx];
  const corners = ends.flatMap(({ x, y }) => [
    { x: x + ix * thick, y: y + iy * thick },
    { x: x - ix * out, y: y - iy * out },
  ]);
  const [xs, ys] = [corners.map((c) => c.x), corners.map((c) => c.y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, depth: Math.max(...ys) - y };
}

/** The block around the walls of a job, the first standing along the street from 0, 0. */
export function wallsBlock(job: WallJob): Block {
  const height = courseLevels(job).at(-1)!;
  const out = overhangOf(job)?.studs ?? 0;
  const runs = wallRuns(job).map((r) => ({
    ...stretchOf(r, 0, r.length, job.thick, out),
    bottom: 0,
    height,
  }));
  return around(runs)!;
}
