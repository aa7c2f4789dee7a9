import type { Random } from '../../shared/random';
import type { Grid } from './grid';
import { Laying } from './laying';

/**
 * A laying at once: cell after cell, from the bottom, the piece that makes fewest joints over what lies there, then is at
 * hand, then long. It is rarely good; whatever is better begins from it. What `laying` has already stays.
 */
export function firstLaying(grid: Grid, random: Random, laying = new Laying(grid)): Laying {
  const order = [...grid.at.keys()].sort((a, b) => {
    const [p, q] = [grid.at[a]!, grid.at[b]!];
    return p.y - q.y || p.of - q.of || p.x - q.x;
  });
  for (const cell of order) {
    if (laying.owner[cell]! >= 0) continue;
    let best = -1;
    let least = Infinity;
    for (const p of grid.covering[cell]!) {
      if (!laying.fits(p)) continue;
      const { part, cells } = grid.placements[p]!;
      laying.lay(p);
      const joints = jointsBeside(grid, laying, cells);
      laying.lift(p);
      const price = laying.nextPrice(part);
      // A piece that leaves a gap behind it is worth little: the lowest cell is always covered, so only length counts.
      const cost = joints * 1e4 + price / cells.length - cells.length * 0.5 + random() * 0.1;
      if (cost < least) [best, least] = [p, cost];
    }
    if (best >= 0) laying.lay(best);
  }
  return laying;
}

function jointsBeside(grid: Grid, laying: Laying, cells: readonly number[]): number {
  let n = 0;
  for (const c of cells) for (const point of pointsAt(grid)[c]!) if (laying.hasJoint(point)) n++;
  return n;
}

const byCell = new WeakMap<Grid, number[][]>();

/** Points that each cell lies around. */
export function pointsAt(grid: Grid): number[][] {
  const known = byCell.get(grid);
  if (known) return known;
  const made: number[][] = Array.from({ length: grid.cells }, () => []);
  grid.points.forEach((p, i) => p.cells.forEach((c) => made[c]!.push(i)));
  byCell.set(grid, made);
  return made;
}
