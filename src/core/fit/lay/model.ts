import { ModelBuilder, type LinearModel } from '../../sourcing';
import { pointsAt } from './first';
import type { Grid } from './grid';
import type { Laying, LayScore } from './laying';

/** A linear model of some cells of a grid, with the rest as it lies. */
export interface LayModel {
  readonly linearModel: LinearModel;
  /** The laying as values of the model, to begin from. */
  readonly start: Float64Array;
  /** The placements that values lay in the cells that were free. */
  readonly decode: (values: ArrayLike<number>) => number[];
  /** Placements to choose from. */
  readonly choices: number;
  /** Placements that were taken up. */
  readonly lifted: readonly number[];
  /** Whether an optimum of the model is one of the problem: the weights then kept the aims apart. */
  readonly isExact: (score: LayScore) => boolean;
  /** The least money at a score's unfilled cells and joints that a proven bound leaves; null where it says nothing. */
  readonly leastMoney: (bound: number, score: LayScore) => number | null;
}

/** Beyond so much money, and so many joints, the aims are kept apart no further: numbers would lose their last places. */
const MOST_MONEY = 200_000;
const MOST_JOINTS = 400;

/**
 * The exact model: each free cell is covered once or left empty, pieces are used as far as there are any, and each point
 * has a joint unless a piece spans it. `free` null = all cells. What crosses the border of the free cells stays.
 *
 * The weights put the four aims one over the other: a joint weighs more than all money that could be saved, an empty cell
 * more than all joints, a piece less than a penny.
 */
export function layModel(grid: Grid, laying: Laying, free: ReadonlySet<number> | null): LayModel {
  const isFree = (c: number) => free === null || free.has(c);
  const lifted = [...laying.laid].filter((p) => grid.placements[p]!.cells.every(isFree));
  const up = new Set(lifted);
  const open = new Set<number>();
  for (let c = 0; c < grid.cells; c++) {
    const owner = laying.owner[c]!;
    if (isFree(c) && (owner < 0 || up.has(owner))) open.add(c);
  }
  const fixed = Int32Array.from(laying.used);
  for (const p of lifted) fixed[grid.placements[p]!.part]!--;
  const candidates: number[] = [];
  const seen = new Set<number>();
  for (const c of open)
    for (const p of grid.covering[c]!) {
      if (seen.has(p)) continue;
      seen.add(p);
      const { part, cells } = grid.placements[p]!;
      const { stock, limit } = grid.parts[part]!;
      if (fixed[part]! < stock + limit && cells.every((x) => open.has(x))) candidates.push(p);
    }
  const points = new Set<number>();
  for (const c of open) for (const i of pointsAt(grid)[c]!) points.add(i);
  const dearest = Math.max(1, ...grid.parts.map((p) => p.price ?? 0));
  const most = Math.max(1, Math.min(dearest * open.size, MOST_MONEY));
  const piece = 0.9 / (open.size + 1);
  const joint = grid.preferMoney ? 0.9 / (points.size + 1) : most + 1;
  const perPiece = grid.preferMoney ? joint * piece : piece;
  const unfilled = (grid.preferMoney ? most + 1 : joint * (Math.min(points.size, MOST_JOINTS) + 1)) + most;
  const builder = new ModelBuilder();
  const start: number[] = [];
  const column = (cost: number, upper: number, value: number): number => {
    start.push(value);
    return builder.column(cost, upper, true);
  };
  const columnOf = new Map(candidates.map((p) => [p, column(perPiece, 1, up.has(p) ? 1 : 0)]));
  const emptyOf = new Map([...open].map((c) => [c, column(unfilled, 1, laying.owner[c]! < 0 ? 1 : 0)]));
  for (const c of open)
    builder.row(1, 1, [
      [emptyOf.get(c)!, 1],
      ...grid.covering[c]!.flatMap((p) => (columnOf.has(p) ? [[columnOf.get(p)!, 1] as const] : [])),
    ]);
  const byPart = new Map<number, number[]>();
  for (const p of candidates) {
    const { part } = grid.placements[p]!;
    byPart.set(part, [...(byPart.get(part) ?? []), columnOf.get(p)!]);
  }
  for (const [part, columns] of byPart) {
    const { stock, price, limit } = grid.parts[part]!;
    const left = stock - fixed[part]!;
    const now = Math.max(0, laying.used[part]! - Math.max(stock, fixed[part]!));
    const bought = column(price ?? 0, Math.max(0, limit - Math.max(0, -left)), now);
    builder.row(-Infinity, Math.max(0, left), [...columns.map((k) => [k, 1] as const), [bought, -1]]);
  }
  for (const i of points) {
    const { cells, spans } = grid.points[i]!;
    // Something outside the window spans it already, or a cell there stays empty: no joint, whatever is laid.
    if (spans.some((s) => laying.laid.has(s) && !up.has(s))) continue;
    if (cells.some((c) => !open.has(c) && laying.owner[c]! < 0)) continue;
    const y = column(joint, 1, laying.hasJoint(i) ? 1 : 0);
    builder.row(1, Infinity, [
      [y, 1],
      ...spans.flatMap((s) => (columnOf.has(s) ? [[columnOf.get(s)!, 1] as const] : [])),
      ...cells.flatMap((c) => (emptyOf.has(c) ? [[emptyOf.get(c)!, 1] as const] : [])),
    ]);
  }
  return {
    linearModel: builder.build(),
    start: Float64Array.from(start),
    choices: candidates.length,
    lifted,
    decode: (values) => candidates.filter((p) => (values[columnOf.get(p)!] ?? 0) > 0.5),
    isExact: (score) =>
      dearest * open.size <= MOST_MONEY &&
      (score.unfilled === 0 || points.size <= MOST_JOINTS) &&
      perPiece > 1e-5,
    leastMoney: (bound, score) => {
      if (grid.preferMoney || free !== null || !Number.isFinite(bound)) return null;
      const rest = unfilled * score.unfilled + joint * score.joints + perPiece * open.size;
      return Math.max(0, Math.ceil(bound - rest - 1e-6));
    },
  };
}
