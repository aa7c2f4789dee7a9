import { boughtFor, type Compiled } from './compile';
import type { BuyingPlan, Problem } from './problem';
import { State, type Saved } from './state';

/** A searched plan in the shape of the file: what is bought of whom, in the quantities that are sold. */
export function planOf(
  c: Compiled,
  problem: Problem,
  saved: Saved,
  more: Pick<BuyingPlan, 'status' | 'floor' | 'byHand'>,
): BuyingPlan {
  const used = new Int32Array(c.offers);
  saved.from.forEach((rows) =>
    rows.forEach(([source, n]) => {
      if (source >= 0) used[source]! += n;
    }),
  );
  const buys = Array.from({ length: c.offers }, (_, o) => o).flatMap((o) => {
    const qty = boughtFor(used[o]!, c.offerMin[o]!, c.offerMultiple[o]!);
    if (qty === 0) return [];
    const seller = problem.sellers[c.offerSeller[o]!]!.id;
    return [{ seller, element: problem.elements[c.offerElement[o]!]!.id, qty }];
  });
  const unmet = problem.lots.flatMap((l, i) => {
    const had = saved.from[i]!.reduce((s, [, n]) => s + n, 0);
    return had < l.qty ? [{ lot: l.id, qty: l.qty - had }] : [];
  });
  return {
    schema: 'makeup-plan/1',
    status: more.status,
    cost: Math.round(saved.cost),
    floor: more.floor,
    unmet,
    buys,
    donors: problem.donors.flatMap((d, i) =>
      saved.copies[i]! > 0 ? [{ id: d.id, copies: saved.copies[i]! }] : [],
    ),
    byHand: more.byHand,
  };
}

/** A plan given as bought quantities, as a searched plan: pieces are shared out to the lots that accept them. */
export function savedFrom(
  c: Compiled,
  bought: (offer: number) => number,
  copies: Int32Array,
  /** How many pieces of a shared element a lot is to have; Infinity where it does not matter. */
  share: (lot: number, element: number) => number,
): Saved {
  const state = new State(c);
  copies.forEach((n, d) => n > 0 && state.setCopies(d, n));
  const left = Int32Array.from({ length: c.offers }, (_, o) => Math.min(bought(o), c.offerCap[o]!));
  const offersOf: number[][] = Array.from({ length: c.elements }, () => []);
  for (let o = 0; o < c.offers; o++) if (left[o]! > 0) offersOf[c.offerElement[o]!]!.push(o);
  for (const strict of [true, false])
    for (let lot = 0; lot < c.lots; lot++)
      for (const e of c.accepts[lot]!) {
        let want = Math.min(state.open[lot]!, strict ? share(lot, e) : Infinity);
        const spare = Math.min(want, state.donorThere[e]! - state.donorTaken[e]!);
        if (spare > 0) state.give(lot, -1 - e, spare);
        want -= Math.max(0, spare);
        for (const o of offersOf[e]!) {
          const s = c.offerSeller[o]!;
          if (state.active[s] === 0 && state.parcels >= c.maxSellers) continue;
          const n = Math.min(want, left[o]!, state.room(o));
          if (n <= 0) continue;
          state.give(lot, o, n);
          left[o]! -= n;
          want -= n;
        }
      }
  return state.save();
}
