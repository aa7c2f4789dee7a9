import type { Grid, GridPart, JointPlace, Placement } from './grid';
import type { LayProblem } from './problem';

/** A grid that is being put together: cells first, then what may lie on them, then the points where joints are counted. */
export class GridBuilder {
  readonly at: { x: number; y: number; of: number }[] = [];
  readonly placements: Placement[] = [];
  readonly points: { cells: number[]; spans: number[]; at: JointPlace }[] = [];

  cell(x: number, y: number, of: number): number {
    return this.at.push({ x, y, of }) - 1;
  }

  /** The placements so far by the cells that they cover. */
  byCell(): number[][] {
    const byCell: number[][] = this.at.map(() => []);
    this.placements.forEach((p, i) => p.cells.forEach((c) => byCell[c]!.push(i)));
    return byCell;
  }

  build(parts: readonly GridPart[], preferMoney: boolean): Grid {
    const spanned: number[][] = this.placements.map(() => []);
    this.points.forEach((p, i) => p.spans.forEach((s) => spanned[s]!.push(i)));
    return {
      cells: this.at.length,
      at: this.at,
      parts,
      placements: this.placements,
      covering: this.byCell(),
      points: this.points,
      spanned,
      preferMoney,
    };
  }
}

/** What there is of each part, and how much of it may be bought. */
export const suppliesOf = (parts: LayProblem['parts']): GridPart[] =>
  parts.map(({ id, stock, price, limit }) => ({ id, stock, price, limit: price === null ? 0 : limit }));
