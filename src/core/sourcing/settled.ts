import type { Compiled } from './compile';

export const SHUT = -1;
export const OPENED = 1;

/** What is settled of a plan: sellers shut or opened, and between how many copies of each box there are. */
export interface Settled {
  readonly sellers: Int8Array;
  readonly leastCopies: Int32Array;
  readonly mostCopies: Int32Array;
}

export const nothingSettled = (c: Compiled): Settled => ({
  sellers: new Int8Array(c.sellers),
  leastCopies: new Int32Array(c.donorPrice.length),
  mostCopies: Int32Array.from(c.donorMax),
});
