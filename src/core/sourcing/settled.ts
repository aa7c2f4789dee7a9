import type { Compiled } from './compile';

export const SHUT = -1;
export const OPENED = 1;

/** What is settled of a plan: sellers shut or opened, between how many copies of each box there are, and what it may lack. */
export interface Settled {
  readonly sellers: Int8Array;
  readonly leastCopies: Int32Array;
  readonly mostCopies: Int32Array;
  /** Pieces, of whichever lots, that it may lack of what it is to meet. */
  readonly spare: number;
}

export const nothingSettled = (c: Compiled, spare = 0): Settled => ({
  sellers: new Int8Array(c.sellers),
  leastCopies: new Int32Array(c.donorPrice.length),
  mostCopies: Int32Array.from(c.donorMax),
  spare,
});
