import type { Random } from '../shared/random';
import { addSellers } from './add-sellers';
import type { Compiled } from './compile';
import { meetMore } from './meet-more';
import { sellersForMost } from './most-met';
import { fillLots, noRules } from './repair';
import { State } from './state';

/** What a search begins from. */
interface Begin {
  readonly c: Compiled;
  readonly random: Random;
  /** Copies of boxes that are there; null = none. */
  readonly donors: Int32Array | null;
}

function withDonors(c: Compiled, donors: Int32Array | null): State {
  const state = new State(c);
  donors?.forEach((n, d) => state.setCopies(d, n));
  return state;
}

/** A plan from nothing: lots with fewest offers first, by least marginal cost, parcels' costs half paid or not. */
export function filledAtOnce({ c, random, donors }: Begin, sunk: boolean): State {
  const state = withDonors(c, donors);
  const rules = noRules(state);
  if (sunk) for (let s = 0; s < c.sellers; s++) rules.sunk[s] = (c.bandPence[s]![0] ?? 0) * 0.7;
  fillLots(state, byFewestOffers(c), rules, random);
  return state;
}

/** A plan from sellers that are worth their parcels; what none of them has comes from anybody. */
export function filledByAdded(begin: Begin): State {
  const state = withDonors(begin.c, begin.donors);
  return filledFrom(state, addSellers(begin.c, state.open), begin.random);
}

/** Where parcels are limited: plans from sellers that together have most of what is wanted, the best first. */
export function filledForMost(begin: Begin): State[] {
  const { c, random } = begin;
  const plans = sellersForMost(c, random).map((sellers) => {
    const state = filledFrom(withDonors(c, begin.donors), sellers, random);
    meetMore(state);
    return state;
  });
  return plans.sort((a, b) => a.score - b.score);
}

/** Fills a plan from the sellers that are opened; what none of them has comes from anybody. */
function filledFrom(state: State, opened: Uint8Array, random: Random): State {
  const { c } = state;
  const rules = noRules(state);
  for (let s = 0; s < c.sellers; s++) {
    rules.shut[s] = opened[s] ? 0 : 1;
    rules.sunk[s] = opened[s] ? c.bandPence[s]![0]! : 0;
  }
  const lots = byFewestOffers(c);
  fillLots(state, lots, rules, random);
  const left = lots.filter((l) => state.open[l]! > 0);
  fillLots(state, left, noRules(state), random);
  return state;
}

function byFewestOffers(c: Compiled): number[] {
  return Array.from({ length: c.lots }, (_, l) => l).sort(
    (a, b) => c.offersOfLot[a]!.length - c.offersOfLot[b]!.length,
  );
}
