import type { Compiled } from './compile';
import { Reach, totalOf } from './reachable';
import { nothingSettled, OPENED, SHUT, type Settled } from './settled';

/**
 * What every plan has that meets `need` but for `spare` pieces: sellers and copies of boxes without whom more of it would be
 * lacking, however much is bought of all others and however lots share it. Nothing where there is no such plan: prices for
 * it would lead a search astray.
 *
 * @example forcedBy(c, reachableNeed(c)).leastCopies // [0, 3, 0]: three copies of the second box
 */
export function forcedBy(c: Compiled, need: Int32Array, spare = 0): Settled {
  return narrowed(c, need, nothingSettled(c, spare)) ?? nothingSettled(c, spare);
}

/** How often what was settled is looked at anew for what follows from it. */
const ROUNDS = 3;

/**
 * What follows from what is settled already: whoever has no other left to take their place is open, and nobody else is once
 * no more parcels are allowed. Null where no plan is like that: others have too little, or those who may still be opened
 * could not bring in so few parcels what is lacking.
 */
export function narrowed(c: Compiled, need: Int32Array, settled: Settled): Settled | null {
  const sellers = Int8Array.from(settled.sellers);
  const leastCopies = Int32Array.from(settled.leastCopies);
  for (let round = 0; round < ROUNDS; round++) {
    const there = only(c, settled, (s) => sellers[s] !== SHUT);
    const reach = new Reach(there, need);
    const spare = settled.spare - (totalOf(need) - reach.total);
    if (spare < 0) return null;
    const opened = openThose(there, sellers, (s) => reach.lackWithout(piecesOfSeller(there, s)) > spare);
    for (let d = 0; d < leastCopies.length; d++)
      leastCopies[d] = Math.max(leastCopies[d]!, copiesNeeded(there, d, reach, spare));
    const room = c.maxSellers - sellers.filter((as) => as === OPENED).length;
    if (room < 0) return null;
    const undecided = sellers.some((as) => as === 0);
    if (room === 0 && undecided) {
      for (let s = 0; s < sellers.length; s++) if (sellers[s] === 0) sellers[s] = SHUT;
    } else if (!opened || !undecided) break;
  }
  const next = { ...settled, sellers, leastCopies };
  return canBeMet(c, need, next) ? next : null;
}

/** Opens undecided sellers; false where there was none to open. */
function openThose(c: Compiled, sellers: Int8Array, isForced: (s: number) => boolean): boolean {
  let any = false;
  for (let s = 0; s < c.sellers; s++) {
    if (sellers[s] !== 0 || !isForced(s)) continue;
    sellers[s] = OPENED;
    any = true;
  }
  return any;
}

/**
 * Whether the parcels that may still be opened could bring what is lacking: each beside what is open already brings no less
 * than it would beside the others too.
 */
function canBeMet(c: Compiled, need: Int32Array, settled: Settled): boolean {
  const { sellers, spare } = settled;
  const room = c.maxSellers - sellers.filter((as) => as === OPENED).length;
  if (c.maxSellers >= c.sellers) return true;
  const reach = new Reach(
    only(c, settled, (s) => sellers[s] === OPENED),
    need,
  );
  const lacking = totalOf(need) - reach.total - spare;
  if (lacking <= 0) return true;
  const gains: number[] = [];
  for (let s = 0; s < c.sellers; s++) if (sellers[s] === 0) gains.push(reach.gainWith(piecesOfSeller(c, s)));
  const most = gains.sort((a, b) => b - a).slice(0, room);
  return totalOf(most) >= lacking;
}

/** The problem with some of the sellers, and no more copies of boxes than are settled. */
const only = (c: Compiled, { mostCopies }: Settled, has: (s: number) => boolean): Compiled => ({
  ...c,
  donorMax: mostCopies,
  offerCap: c.offerCap.map((n, o) => (has(c.offerSeller[o]!) ? n : 0)),
});

/** The copies of a box without which too much would be lacking: the fewer there are, the more is. */
function copiesNeeded(c: Compiled, d: number, reach: Reach, spare: number): number {
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
