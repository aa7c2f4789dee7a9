import type { Random } from '../shared/random';
import { addSellers } from './add-sellers';
import type { Compiled } from './compile';
import { everyChoice } from './every-choice';
import { meetMore } from './meet-more';
import { NearChoices, sellersForMost } from './most-met';
import { fillLots, noRules } from './repair';
import { SellerCover } from './seller-cover';
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
  const opened = addSellers(begin.c, state.open);
  return filledFrom(
    state,
    [...opened.keys()].filter((s) => opened[s] === 1),
    begin.random,
  );
}

/** Plans that are made where parcels are limited, and lots of all of them: of a large problem only some can be. */
const MOST_PLANS = 200;
const MOST_LOTS = 24_000;
/** How often a lot of a seller is looked at to see whether there are only few choices: some hundredths of a second. */
const LOOKS_FOR_FEW = 3_000_000;

/** A plan from the sellers that are named, with all that they and boxes can give. */
export function filledFull({ c, random, donors }: Begin, sellers: readonly number[]): State {
  const state = filledFrom(withDonors(c, donors), sellers, random);
  meetMore(state);
  return state;
}

/**
 * Where parcels are limited: plans from sellers that together have most of what is wanted, the best first. What they seem
 * to have may be more than what comes of it, since two lots want the same pieces or a box is not worth it: so others are
 * looked at too, as long as they seem to have no less than what came of the best. Where there are only few with as much,
 * all of them are.
 */
export function filledForMost(begin: Begin): State[] {
  const { c, random } = begin;
  const cover = new SellerCover(c);
  const most = Math.min(MOST_PLANS, Math.ceil(MOST_LOTS / c.lots));
  const forMost = sellersForMost(cover, random);
  const lacking = forMost[0]?.lacking ?? 0;
  const few = everyChoice(c, lacking, LOOKS_FOR_FEW) ?? [];
  const near = new NearChoices(cover, [...few.map((chosen) => ({ chosen, lacking })), ...forMost], most);
  const plans: State[] = [];
  let least = Infinity;
  for (let chosen = near.next(least); chosen; chosen = near.next(least)) {
    const state = filledFull(begin, chosen);
    plans.push(state);
    least = Math.min(least, state.unmet);
    near.tell(chosen, state.score, least);
  }
  return plans.sort((a, b) => a.score - b.score);
}

/** Fills a plan from the sellers that are opened; what none of them has comes from anybody. */
function filledFrom(state: State, opened: readonly number[], random: Random): State {
  const { c } = state;
  const rules = noRules(state);
  rules.shut.fill(1);
  for (const s of opened) {
    rules.shut[s] = 0;
    rules.sunk[s] = c.bandPence[s]![0]!;
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
