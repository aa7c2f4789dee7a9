import { anneal } from './anneal';
import type { Chosen } from './choice-model';
import { filledFull } from './first-plans';
import type { Search } from './search';
import { scoreOf, type Saved } from './state';

/** Plans that are kept, the best of all. */
const MOST = 8;
/** How one is searched: so many steps of twenty, from so warm to so cold as a search is at these shares of its time. */
export interface Look {
  readonly steps: number;
  readonly from: number;
  readonly to: number;
}
/** A glance at one of many, and a look at one of a few. */
export const GLANCE: Look = { steps: 40, from: 0.55, to: 0.95 };
export const LOOK: Look = { steps: 150, from: 0.3, to: 0.95 };

/**
 * Plans from the sellers and boxes that a floor has chosen (a Lagrangian heuristic, Fisher 1981): where hardly any parcels
 * are allowed, these go together better than what a search comes to, which moves from one choice to the next by one or two
 * sellers. Each is filled and searched for a moment, which finds what it is worth.
 *
 * @example
 * const plans = new ChoicePlans(search);
 * plans.add(choiceFloor.chosen);
 * plans.best; // the best first; the search has taken the best up
 */
export class ChoicePlans {
  private readonly known = new Set<string>();
  private readonly kept: Saved[] = [];

  constructor(private readonly search: Search) {}

  /** The best first. */
  get best(): readonly Saved[] {
    return this.kept;
  }

  /** Makes a plan of a choice, at a glance; one that is known already is passed over. */
  add(chosen: Chosen): void {
    const key = `${chosen.sellers.join()} ${chosen.copies.join()}`;
    if (this.known.has(key)) return;
    this.known.add(key);
    this.searchFrom(chosen, GLANCE);
  }

  /** Searches from a choice, and gives the plan that comes to: another one each time. */
  searchFrom({ sellers, copies }: Chosen, look: Look): Saved {
    const { search } = this;
    const { c, random } = search;
    search.goOnFrom(filledFull({ c, random, donors: copies }, sellers).save());
    let best = search.state.save();
    for (let i = 0; i < look.steps; i++) {
      anneal(search, look.from + ((look.to - look.from) * i) / look.steps);
      if (search.state.score < scoreOf(best)) best = search.state.save();
    }
    search.returnToBest();
    this.kept.push(best);
    this.kept.sort((a, b) => scoreOf(a) - scoreOf(b)).splice(MOST);
    return best;
  }
}
