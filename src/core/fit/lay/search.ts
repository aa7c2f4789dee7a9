import { between, pick, type Random } from '../../shared/random';
import { layCourses, relayCourses } from './courses';
import { firstLaying } from './first';
import type { Grid } from './grid';
import { compareScores, Laying, type LayScore } from './laying';
import { layModel, type LayModel } from './model';
import { Patches } from './patches';

/** Cells of a window of walls: what the exact model does in a moment. */
const MOST_CELLS = 260;

/** Patches that are laid anew by trying before each window. Of walls fewer: joints go by windows of whole courses. */
const PATCHES = { floor: 250, walls: 60 };

/** A laying that gets better: windows of it are taken up and laid anew as well as can be. */
export class LaySearch {
  private current: Laying;
  private currentScore: LayScore;
  best: Laying;
  bestScore: LayScore;
  private bad = 0;
  private readonly patches: Patches;

  constructor(
    readonly grid: Grid,
    private readonly random: Random,
  ) {
    this.patches = new Patches(grid, random);
    this.current = firstLaying(grid, random);
    this.currentScore = this.current.score;
    const inCourses = layCourses(grid);
    const others = [
      ...(inCourses ? [firstLaying(grid, random, inCourses)] : []),
      ...Array.from({ length: inCourses ? 1 : 3 }, () => firstLaying(grid, random)),
    ];
    for (const other of others) {
      if (compareScores(other.score, this.currentScore, grid.preferMoney) < 0)
        [this.current, this.currentScore] = [other, other.score];
    }
    relayCourses(
      grid,
      this.current,
      random,
      Math.min(1500, Math.ceil(6e5 / Math.max(1, grid.points.length))),
    );
    this.currentScore = this.current.score;
    [this.best, this.bestScore] = [Laying.of(grid, this.current.laid), this.currentScore];
  }

  /** Takes a laying that was found elsewhere, where it is better. */
  adopt(laid: readonly number[]): boolean {
    const other = Laying.of(this.grid, laid);
    const score = other.score;
    if (compareScores(score, this.bestScore, this.grid.preferMoney) >= 0) return false;
    [this.current, this.currentScore] = [other, score];
    [this.best, this.bestScore] = [Laying.of(this.grid, laid), score];
    return true;
  }

  /** Lays patches anew by trying: quick, and far on most of the way. True when the whole is better than ever. */
  patch(): boolean {
    const troubled = this.troubledCells();
    for (let i = 0; i < (this.isFloor ? PATCHES.floor : PATCHES.walls); i++) {
      const atTrouble = troubled.length > 0 && this.random() < 0.5;
      const seat = atTrouble ? pick(this.random, troubled) : this.anywhere();
      if (seat !== null) this.patches.relay(this.current, seat);
    }
    this.currentScore = this.current.score;
    if (compareScores(this.currentScore, this.bestScore, this.grid.preferMoney) >= 0) return false;
    [this.best, this.bestScore] = [Laying.of(this.grid, this.current.laid), this.currentScore];
    this.bad = 0;
    return true;
  }

  /** The model of a window, null where there is nothing to choose in it. */
  window(): LayModel | null {
    const seat = this.random() < 0.6 ? this.troubled() : this.anywhere();
    if (seat === null) return null;
    const free = this.isFloor ? this.square(seat) : this.band(seat);
    const model = layModel(this.grid, this.current, free);
    return model.choices > model.lifted.length ? model : null;
  }

  /** Cells of a floor around one, more of them the longer nothing was found. */
  private square(seat: number): Set<number> {
    const { x, y } = this.grid.at[seat]!;
    const size = 5 + Math.min(7, Math.floor(this.bad / 12)) + between(this.random, 0, 3);
    const tall = Math.max(2, Math.round(size * (0.5 + this.random())));
    const wide = Math.max(3, Math.round((size * size) / tall));
    const [left, low] = [x - between(this.random, 0, wide - 1), y - between(this.random, 0, tall - 1)];
    return this.cellsWhere((p) => p.x >= left && p.x < left + wide && p.y >= low && p.y < low + tall);
  }

  /**
   * Some courses of all walls, since a joint that goes at one end of a course comes back at the other; of long ones a
   * stretch, so that it is solved in a moment.
   */
  private band(seat: number): Set<number> {
    const { x, y, of } = this.grid.at[seat]!;
    const courses = between(this.random, 2, 3 + Math.min(3, Math.floor(this.bad / 25)));
    const low = y - between(this.random, 0, courses - 1);
    const band = this.cellsWhere((p) => p.y >= low && p.y < low + courses);
    if (band.size <= MOST_CELLS) return band;
    const reach = Math.max(8, Math.round((MOST_CELLS / courses) * 0.5));
    return this.cellsWhere(
      (p) => p.y >= low && p.y < low + courses && p.of === of && Math.abs(p.x - x) <= reach,
    );
  }

  private cellsWhere(isIn: (at: Grid['at'][number]) => boolean): Set<number> {
    const free = new Set<number>();
    this.grid.at.forEach((p, c) => isIn(p) && free.add(c));
    return free;
  }

  /** Takes the values that a window was solved to. True when the whole is better than ever. */
  take(model: LayModel, values: ArrayLike<number>): boolean {
    for (const p of model.lifted) this.current.lift(p);
    const laid = model.decode(values);
    for (const p of laid) this.current.lay(p);
    const score = this.current.score;
    const better = compareScores(score, this.currentScore, this.grid.preferMoney);
    if (better > 0) {
      for (const p of laid) this.current.lift(p);
      for (const p of model.lifted) this.current.lay(p);
      this.bad++;
      return false;
    }
    this.currentScore = score;
    if (compareScores(score, this.bestScore, this.grid.preferMoney) >= 0) {
      this.bad++;
      return false;
    }
    [this.best, this.bestScore] = [Laying.of(this.grid, this.current.laid), score];
    this.bad = 0;
    return true;
  }

  private get isFloor(): boolean {
    const first = this.grid.placements[0]?.piece;
    return first === undefined || 'turned' in first;
  }

  private anywhere(): number | null {
    return this.grid.cells === 0 ? null : between(this.random, 0, this.grid.cells - 1);
  }

  private troubled(): number | null {
    const cells = this.troubledCells();
    return cells.length > 0 ? pick(this.random, cells) : this.anywhere();
  }

  /** Cells that are empty or beside a joint; where there are none, those under a piece that was bought or is of one cell. */
  private troubledCells(): number[] {
    const { grid, current } = this;
    const cells: number[] = [];
    for (let c = 0; c < grid.cells; c++) if (current.owner[c]! < 0) cells.push(c);
    grid.points.forEach((p, i) => current.hasJoint(i) && cells.push(...p.cells));
    if (cells.length > 0) return cells;
    for (const p of current.laid) {
      const { part, cells: covers } = grid.placements[p]!;
      if (current.used[part]! > grid.parts[part]!.stock || covers.length === 1) cells.push(...covers);
    }
    return cells;
  }
}
