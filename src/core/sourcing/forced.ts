import type { Compiled } from './compile';
import { Reach } from './reachable';
import { nothingSettled, OPENED, type Settled } from './settled';

/**
 * What every plan has that meets `need` but for `spare` pieces: sellers and copies of boxes without whom more of it would be
 * lacking, however much is bought of all others and however lots share it.
 *
 * @example forcedBy(c, reachableNeed(c)).leastCopies // [0, 3, 0]: three copies of the second box
 */
export function forcedBy(c: Compiled, need: Int32Array, spare = 0): Settled {
  const settled = nothingSettled(c, spare);
  const reach = new Reach(c, need);
  for (let s = 0; s < c.sellers; s++)
    if (reach.lackWithout(piecesOfSeller(c, s)) > spare) settled.sellers[s] = OPENED;
  for (let d = 0; d < c.donorMax.length; d++) settled.leastCopies[d] = leastCopies(c, d, reach, spare);
  // More parcels than are allowed: no plan meets all of that, and prices for it would lead a search astray.
  if (settled.sellers.filter((as) => as === OPENED).length > c.maxSellers) return nothingSettled(c, spare);
  return settled;
}

/** The copies of a box without which too much would be lacking: the fewer there are, the more is. */
function leastCopies(c: Compiled, d: number, reach: Reach, spare: number): number {
  const lacksAt = (copies: number): boolean => {
    const without = new Map<number, number>();
    for (const [e, qty] of c.donorYields[d]!)
      without.set(e, (without.get(e) ?? 0) + (c.donorMax[d]! - copies) * qty);
    return reach.lackWithout(without) > spare;
  };
  let [least, most] = [0, c.donorMax[d]!];
  while (least < most) {
    const copies = Math.floor((least + most) / 2);
    if (lacksAt(copies)) least = copies + 1;
    else most = copies;
  }
  return least;
}

/** What a seller could send of each element. */
function piecesOfSeller(c: Compiled, s: number): Map<number, number> {
  const pieces = new Map<number, number>();
  for (const o of c.offersOfSeller[s]!) {
    const e = c.offerElement[o]!;
    pieces.set(e, (pieces.get(e) ?? 0) + c.offerCap[o]!);
  }
  return pieces;
}
