import { between, type Random } from '../../shared/random';
import { pointsAt } from './first';
import type { Grid } from './grid';
import { compareScores, type Laying } from './laying';

/** Pieces that are tried in one patch before it is given up: most patches are settled in a few dozen. */
const MOST_TRIES = 500;
/** Cells of a patch: beyond them a search by trying ends nowhere, and a window of the solver does better. */
const MOST_CELLS = 48;

/**
 * Takes up the pieces around a place of a wall or a floor and lays them anew by trying, the largest first: with no more joints, no more
 * money and no more pieces than before, or back as they were. Equals are taken too, so that the laying drifts on to
 * where something better lies. Thousands of these take a second, where the solver does some dozens of windows.
 */
export class Patches {
  /** Cells by where they lie, a number for each row of each wall or floor. */
  private readonly byPlace = new Map<number, number>();

  constructor(
    private readonly grid: Grid,
    private readonly random: Random,
  ) {
    grid.at.forEach((p, c) => this.byPlace.set(placeKey(p.x, p.y, p.of), c));
  }

  /** True where something changed, for the better or sideways. */
  relay(laying: Laying, seat: number): boolean {
    const lifted = this.around(laying, seat);
    if (lifted.length < 2) return false;
    const cells = lifted.flatMap((p) => [...this.grid.placements[p]!.cells]);
    const free = new Set(cells);
    const points = new Set(cells.flatMap((c) => pointsAt(this.grid)[c]!));
    let joints = 0;
    for (const p of points) if (laying.hasJoint(p)) joints++;
    let money = 0;
    for (const p of lifted) {
      laying.lift(p);
      money += laying.nextPrice(this.grid.placements[p]!.part);
    }
    const order = [...free].sort((a, b) => this.rank(a) - this.rank(b));
    const found = new Filling(this.grid, laying, this.random, {
      order,
      joints,
      money,
      pieces: lifted.length,
    }).search();
    for (const p of found ?? lifted) if (!laying.laid.has(p)) laying.lay(p);
    return found !== null;
  }

  /** Pieces that touch a rectangle around a cell, as many as a search by trying can do. */
  private around(laying: Laying, seat: number): number[] {
    const middle = this.grid.at[seat]!;
    const wide = between(this.random, 1, 4);
    const tall = between(this.random, 1, 4);
    const near = new Set<number>();
    let n = 0;
    for (let y = middle.y - tall; y <= middle.y + tall; y++)
      for (let x = middle.x - wide; x <= middle.x + wide; x++) {
        const owner = laying.owner[this.byPlace.get(placeKey(x, y, middle.of)) ?? -1] ?? -1;
        if (owner < 0 || near.has(owner)) continue;
        n += this.grid.placements[owner]!.cells.length;
        if (n > MOST_CELLS) return [...near];
        near.add(owner);
      }
    return [...near];
  }

  private rank(cell: number): number {
    const { x, y, of } = this.grid.at[cell]!;
    return placeKey(x, y, of);
  }
}

const placeKey = (x: number, y: number, of: number): number => (of * 4096 + y + 8) * 4096 + x + 8;

interface Bounds {
  readonly order: readonly number[];
  readonly joints: number;
  readonly money: number;
  readonly pieces: number;
}

/** A search by trying, cell after cell: what it lays stays laid where it ends well. */
class Filling {
  private tries = 0;
  private readonly laid: number[] = [];
  /** Where money can be saved or a joint avoided, some more pieces may do it; and money, where joints come first. */
  private readonly mostPieces: number;
  private readonly mostMoney: number;

  constructor(
    private readonly grid: Grid,
    private readonly laying: Laying,
    private readonly random: Random,
    private readonly bounds: Bounds,
  ) {
    this.mostPieces = bounds.pieces + (bounds.money > 0 || bounds.joints > 0 ? 3 : 0);
    this.mostMoney = bounds.joints > 0 && !grid.preferMoney ? Infinity : bounds.money;
  }

  search(): readonly number[] | null {
    return this.from(0, this.bounds.order.length, 0, 0) ? this.laid : null;
  }

  /** Fills from a place of the order on, with so many cells left; joints and money so far. */
  private from(at: number, left: number, joints: number, money: number): boolean {
    const { grid, laying, bounds } = this;
    while (at < bounds.order.length && laying.owner[bounds.order[at]!]! >= 0) at++;
    if (at === bounds.order.length) return this.isNoWorse(joints, money);
    for (const p of this.candidates(bounds.order[at]!)) {
      if (this.tries++ > MOST_TRIES) return false;
      const { part, cells } = grid.placements[p]!;
      const pays = money + laying.nextPrice(part);
      if (pays > this.mostMoney || pays === Infinity) continue;
      const rest = left - cells.length;
      if (this.laid.length + 1 + (rest > 0 ? 1 : 0) > this.mostPieces) continue;
      laying.lay(p);
      this.laid.push(p);
      const now = joints + this.jointsAt(cells);
      if (now <= bounds.joints && this.from(at, rest, now, pays)) return true;
      this.laid.pop();
      laying.lift(p);
    }
    return false;
  }

  private isNoWorse(joints: number, money: number): boolean {
    const { grid, bounds } = this;
    const before = { unfilled: 0, joints: bounds.joints, money: bounds.money, pieces: bounds.pieces };
    const now = { unfilled: 0, joints, money, pieces: this.laid.length };
    return compareScores(now, before, grid.preferMoney) <= 0;
  }

  /** Pieces that fit over a cell, large ones first, among like ones by chance. */
  private candidates(cell: number): number[] {
    return this.grid.covering[cell]!.filter((p) => this.laying.fits(p))
      .map((p) => ({ p, rank: this.grid.placements[p]!.cells.length * (0.4 + this.random()) }))
      .sort((a, b) => b.rank - a.rank)
      .map((c) => c.p);
  }

  /** Joints that laying these cells has closed: of a point that is closed later another piece is the last. */
  private jointsAt(cells: readonly number[]): number {
    let n = 0;
    const seen = new Set<number>();
    for (const c of cells)
      for (const point of pointsAt(this.grid)[c]!) {
        if (seen.has(point)) continue;
        seen.add(point);
        if (this.laying.hasJoint(point)) n++;
      }
    return n;
  }
}
