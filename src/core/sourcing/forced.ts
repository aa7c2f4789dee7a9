import type { Compiled } from './compile';
import { nothingSettled, OPENED, type Settled } from './settled';

/**
 * What every plan has that meets `need`, the most that can be met of each lot: sellers and copies of boxes without whom a
 * lot would lack pieces, however much is bought of all others. Lots that share an element with another are left aside where
 * not all of everything can be met, since then either of them may have the pieces.
 *
 * @example forcedBy(c, reachableNeed(c)).leastCopies // [0, 3, 0]: three copies of the second box
 */
export function forcedBy(c: Compiled, need: Int32Array): Settled {
  const settled = nothingSettled(c);
  const meetsAll = need.every((n, lot) => n === c.need[lot]);
  const boxesOf = boxesByElement(c);
  for (let lot = 0; lot < c.lots; lot++) {
    const shares = c.accepts[lot]!.some((e) => c.acceptedBy[e]!.length > 1);
    if (shares && !meetsAll) continue;
    const [sellers, boxes] = [piecesOfSellers(c, lot), piecesOfBoxes(c, lot, boxesOf)];
    let there = 0;
    for (const n of sellers.values()) there += n;
    for (const [d, n] of boxes) there += n * c.donorMax[d]!;
    for (const [s, n] of sellers) if (there - n < need[lot]!) settled.sellers[s] = OPENED;
    for (const [d, n] of boxes) {
      const lacks = need[lot]! - (there - n * c.donorMax[d]!);
      if (lacks > 0) settled.leastCopies[d] = Math.max(settled.leastCopies[d]!, Math.ceil(lacks / n));
    }
  }
  // More parcels than are allowed: no plan meets all of that, and prices for it would lead a search astray.
  if (settled.sellers.filter((as) => as === OPENED).length > c.maxSellers) return nothingSettled(c);
  return settled;
}

/** What each seller could send of a lot. */
function piecesOfSellers(c: Compiled, lot: number): Map<number, number> {
  const pieces = new Map<number, number>();
  for (const o of c.offersOfLot[lot]!) {
    const s = c.offerSeller[o]!;
    pieces.set(s, (pieces.get(s) ?? 0) + c.offerCap[o]!);
  }
  return pieces;
}

type Yields = readonly (readonly [box: number, qty: number])[];

/** Of each element the boxes that have it, and how many in one copy. */
function boxesByElement(c: Compiled): readonly Yields[] {
  const boxes = Array.from({ length: c.elements }, (): [number, number][] => []);
  c.donorYields.forEach((yields, d) => yields.forEach(([e, qty]) => qty > 0 && boxes[e]!.push([d, qty])));
  return boxes;
}

/** What one copy of each box has of a lot. */
function piecesOfBoxes(c: Compiled, lot: number, boxesOf: readonly Yields[]): Map<number, number> {
  const pieces = new Map<number, number>();
  for (const e of c.accepts[lot]!)
    for (const [d, qty] of boxesOf[e]!) pieces.set(d, (pieces.get(d) ?? 0) + qty);
  return pieces;
}
