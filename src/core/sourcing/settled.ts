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

/**
 * What the pieces are priced at that may be lacking: the dearest, since nobody says which they are. They are added to what
 * is `taken` of each lot.
 */
export function worthOfSpare(
  { spare }: Settled,
  need: Int32Array,
  lambda: Float64Array,
  taken: Float64Array,
): number {
  if (spare === 0) return 0;
  let [left, worth] = [spare, 0];
  for (const l of Array.from(need, (_, lot) => lot).sort((a, b) => lambda[b]! - lambda[a]!)) {
    const n = Math.min(left, need[l]!);
    taken[l]! += n;
    worth += n * lambda[l]!;
    left -= n;
    if (left === 0) break;
  }
  return worth;
}
