import type { WallJob } from '../../records';
import { hangsOver } from '../course-parts';

/** How the last course of a job stands out over its wall. */
export interface Overhang {
  readonly family: string;
  /** Studs on the outside. */
  readonly studs: number;
  /** Corners where what stands out of one wall and of the next leaves a square free: a corner part or two small ones fill it. */
  readonly openCorners: number;
}

/** The overhang of walls one stud thick under a last course of slopes, two studs deep; null where nothing stands out. */
export function overhangOf(job: Pick<WallJob, 'walls' | 'courses' | 'thick' | 'meet'>): Overhang | null {
  const last = job.courses.at(-1)!;
  if (job.thick !== 1 || !hangsOver(last.family)) return null;
  const corners = { apart: 0, row: job.walls.length - 1, room: job.walls.length }[job.meet];
  return { family: last.family, studs: 1, openCorners: corners };
}
