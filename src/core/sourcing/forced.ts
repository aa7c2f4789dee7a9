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
  for (let lot = 0; lot < c.lots; lot++) {
    const shares = c.accepts[lot]!.some((e) => c.acceptedBy[e]!.length > 1);
    if (shares && !meetsAll) continue;
    const [sellers, boxes] = [piecesOfSellers(c, lot), piecesOfBoxes(c, lot)];
    let there = 0;
    for (const n of sellers.values()) there += n;
    boxes.forEach((n, d) => (there += n * c.donorMax[d]!));
    for (const [s, n] of sellers) if (there - n < need[lot]!) settled.sellers[s] = OPENED;
    boxes.forEach((n, d) => {
      const lacks = need[lot]! - (there - n * c.donorMax[d]!);
      if (n === 0 || lacks <= 0) return;
      settled.leastCopies[d] = Math.max(settled.leastCopies[d]!, Math.ceil(lacks / n));
    });
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

/** What one copy of each box has of a lot. */
const piecesOfBoxes = (c: Compiled, lot: number): number[] =>
  c.donorYields.map((yields) =>
    yields.reduce((sum, [e, qty]) => (c.accepts[lot]!.includes(e) ? sum + qty : sum), 0),
  );
