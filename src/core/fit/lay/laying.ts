import type { Grid } from './grid';
import type { LayPlan } from './problem';

/** What a laying comes to. Compared from the first on; with money preferred, money stands before joints. */
export interface LayScore {
  readonly unfilled: number;
  readonly joints: number;
  readonly money: number;
  readonly pieces: number;
}

/** Below nothing where `a` is better. */
export function compareScores(a: LayScore, b: LayScore, preferMoney: boolean): number {
  const [m, n] = preferMoney ? (['money', 'joints'] as const) : (['joints', 'money'] as const);
  return a.unfilled - b.unfilled || a[m] - b[m] || a[n] - b[n] || a.pieces - b.pieces;
}

/** Pieces laid on a grid: which placements, who covers each cell, and how many of each part are used. */
export class Laying {
  readonly owner: Int32Array;
  readonly used: Int32Array;
  readonly laid = new Set<number>();

  constructor(readonly grid: Grid) {
    this.owner = new Int32Array(grid.cells).fill(-1);
    this.used = new Int32Array(grid.parts.length);
  }

  static of(grid: Grid, placements: Iterable<number>): Laying {
    const laying = new Laying(grid);
    for (const p of placements) laying.lay(p);
    return laying;
  }

  /** Whether a placement's cells are all free and there is a piece for it, bought or not. */
  fits(placement: number): boolean {
    const { part, cells } = this.grid.placements[placement]!;
    const { stock, limit } = this.grid.parts[part]!;
    return this.used[part]! < stock + limit && cells.every((c) => this.owner[c] === -1);
  }

  lay(placement: number): void {
    const { part, cells } = this.grid.placements[placement]!;
    for (const c of cells) this.owner[c] = placement;
    this.used[part]!++;
    this.laid.add(placement);
  }

  lift(placement: number): void {
    const { part, cells } = this.grid.placements[placement]!;
    for (const c of cells) this.owner[c] = -1;
    this.used[part]!--;
    this.laid.delete(placement);
  }

  /** What one more piece of a part costs now. */
  nextPrice(part: number): number {
    const { stock, price } = this.grid.parts[part]!;
    return this.used[part]! < stock ? 0 : (price ?? Infinity);
  }

  /** All cells around a point are covered, and no piece covers two of them: that is what its `spans` are. */
  hasJoint(point: number): boolean {
    const { cells } = this.grid.points[point]!;
    for (let i = 0; i < cells.length; i++) {
      const owner = this.owner[cells[i]!]!;
      if (owner < 0) return false;
      for (let j = 0; j < i; j++) if (this.owner[cells[j]!] === owner) return false;
    }
    return true;
  }

  get score(): LayScore {
    const { grid } = this;
    let money = 0;
    grid.parts.forEach((p, k) => (money += Math.max(0, this.used[k]! - p.stock) * (p.price ?? 0)));
    let joints = 0;
    for (let i = 0; i < grid.points.length; i++) if (this.hasJoint(i)) joints++;
    const unfilled = this.owner.reduce((s, o) => s + (o < 0 ? 1 : 0), 0);
    return { unfilled, joints, money, pieces: this.laid.size };
  }

  /** As a plan, without what is proven of it. */
  plan(more: Pick<LayPlan, 'proven' | 'seconds' | 'floor'>): LayPlan {
    const { unfilled, joints, money } = this.score;
    const bought = this.grid.parts.flatMap((p, k) =>
      this.used[k]! > p.stock ? [[p.id, this.used[k]! - p.stock] as const] : [],
    );
    const pieces = [...this.laid].sort((a, b) => a - b).map((p) => this.grid.placements[p]!.piece);
    return { pieces, unfilled, joints, money, bought: Object.fromEntries(bought), ...more };
  }
}
