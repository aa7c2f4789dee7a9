import type { Compiled } from './compile';
import type { ByHand } from './problem';
import { State } from './state';

/** Fills a lot from offers by price alone, as a person does going down a list. */
function fillByPrice(state: State, lot: number, allowed: (seller: number) => boolean): void {
  const { c } = state;
  for (const o of c.offersOfLot[lot]!) {
    const open = state.open[lot]!;
    if (open <= 0) return;
    const s = c.offerSeller[o]!;
    if (!allowed(s) || (state.active[s] === 0 && state.parcels >= c.maxSellers)) continue;
    const n = Math.min(open, state.room(o));
    if (n > 0) state.give(lot, o, n);
  }
}

/** What people do first: each lot from whoever is cheapest, whatever the postage. */
export function cheapestEach(c: Compiled): State {
  const state = new State(c);
  for (let lot = 0; lot < c.lots; lot++) fillByPrice(state, lot, () => true);
  return state;
}

/**
 * What people do next: the seller who has most of what is open, by pieces, then the next, until all is had; each gives
 * all he can.
 */
export function fewestSellers(c: Compiled): State {
  const state = new State(c);
  const used = new Set<number>();
  const [taken, stamp] = [new Int32Array(c.lots), new Int32Array(c.lots)];
  let mark = 0;
  while (state.unmet > 0 && used.size < Math.min(c.maxSellers, c.sellers)) {
    let [best, most] = [-1, 0];
    for (let s = 0; s < c.sellers; s++) {
      if (used.has(s)) continue;
      const had = couldGive(state, s, taken, stamp, ++mark);
      if (had > most) [best, most] = [s, had];
    }
    if (best < 0) break;
    used.add(best);
    for (let lot = 0; lot < c.lots; lot++) fillByPrice(state, lot, (s) => s === best);
  }
  return state;
}

/** The two ways it is done by hand, each to its end. */
export interface HandPlans {
  readonly each: State;
  readonly fewest: State;
}

/** Does a problem both ways by hand: what a search begins with, and is compared to. Some hundredths of a second at the most. */
export const handPlans = (c: Compiled): HandPlans => ({ each: cheapestEach(c), fewest: fewestSellers(c) });

/** What both come to, as a plan tells it: in whole pence, and with what each leaves unmet. */
export const byHandOf = ({ each, fewest }: HandPlans): ByHand => ({
  cheapestEach: Math.round(each.cost),
  fewestSellers: Math.round(fewest.cost),
  unmet: { cheapestEach: each.unmet, fewestSellers: fewest.unmet },
});

/** How many open pieces a seller has. `taken` and `stamp` are scratch, so that asking every seller stays cheap. */
function couldGive(state: State, seller: number, taken: Int32Array, stamp: Int32Array, mark: number): number {
  const { c } = state;
  let pieces = 0;
  for (const o of c.offersOfSeller[seller]!)
    for (const lot of c.acceptedBy[c.offerElement[o]!]!) {
      if (state.open[lot] === 0) continue;
      if (stamp[lot] !== mark) {
        stamp[lot] = mark;
        taken[lot] = 0;
      }
      const n = Math.min(state.open[lot]! - taken[lot]!, c.offerCap[o]!);
      if (n <= 0) continue;
      taken[lot]! += n;
      pieces += n;
    }
  return pieces;
}
