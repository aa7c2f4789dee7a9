import type { WallJob } from '../../records';

/**
 * The other half of walls that are the same in a mirror: walls, openings and areas change over from left to right. Seen from
 * outside, what was the first wall is the last. Twice mirrored they are what they were, but for the name.
 */
export function mirroredWalls(job: WallJob): Omit<WallJob, 'id' | 'planned'> {
  const lengthOf = new Map(job.walls.map((w) => [w.id, w.length]));
  const turned = <T extends { readonly wall: string; readonly width: number; readonly from: number | null }>(
    o: T,
  ): T => ({
    ...o,
    from: o.from === null ? null : lengthOf.get(o.wall)! - o.from - o.width,
  });
  const { id: _, planned: __, ...rest } = job;
  return {
    ...rest,
    walls: job.walls.map((w) => ({ ...w, left: w.right, right: w.left })).reverse(),
    openings: job.openings.map(turned),
    panels: job.panels.map(turned),
  };
}
