import type { LaidPiece } from './problem';

/** A part with what there is of it. */
export interface GridPart {
  readonly id: string;
  readonly stock: number;
  /** Null = not for sale. */
  readonly price: number | null;
  readonly limit: number;
}

/** A piece at a place: the cells that it covers. */
export interface Placement {
  readonly part: number;
  readonly cells: readonly number[];
  readonly piece: LaidPiece;
  /** Places of its course that it takes, where it is as deep as its wall: courses can be laid of such pieces one by one. */
  readonly along?: number;
}

/** A place where a joint lies over a joint, or four corners meet, unless one of `spans` is laid or a cell is left empty. */
export interface JointPoint {
  readonly cells: readonly number[];
  readonly spans: readonly number[];
  /** In walls: the border between places border-1 and border, over this course and the next. On floors: the point. */
  readonly at: JointPlace;
}

export type JointPlace =
  | { readonly wall: string; readonly course: number; readonly border: number }
  | { readonly x: number; readonly y: number };

/**
 * Walls and floors alike: cells to be filled, pieces that can lie on them, and points where joints are counted. The first
 * laying, the exact model and the search know nothing else.
 */
export interface Grid {
  readonly cells: number;
  /** Where each cell lies, for windows of cells near one another. */
  readonly at: readonly { readonly x: number; readonly y: number; readonly of: number }[];
  readonly parts: readonly GridPart[];
  readonly placements: readonly Placement[];
  /** Placements that cover each cell. */
  readonly covering: readonly (readonly number[])[];
  readonly points: readonly JointPoint[];
  /** Points that each placement spans. */
  readonly spanned: readonly (readonly number[])[];
  readonly preferMoney: boolean;
}
