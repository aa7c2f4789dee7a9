import { anneal } from './anneal';
import type { Chosen } from './choice-model';
import { filledFull } from './first-plans';
import type { Search } from './search';
import { scoreOf, type Saved } from './state';

/** Plans that are kept, the best of all. */
const MOST = 8;
/** How each is searched: so many steps of twenty, from so warm to so cold as a search is at these shares of its time. */
const LOOK = { steps: 40, from: 0.55, to: 0.95 };

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

  /** Makes a plan of a choice; one that is known already is passed over. */
  add({ sellers, copies }: Chosen): void {
    const key = `${sellers.join()} ${copies.join()}`;
    if (this.known.has(key)) return;
    this.known.add(key);
    const { search } = this;
    const { c, random } = search;
    search.goOnFrom(filledFull({ c, random, donors: copies }, sellers).save());
    let best = search.state.save();
    for (let i = 0; i < LOOK.steps; i++) {
      anneal(search, LOOK.from + ((LOOK.to - LOOK.from) * i) / LOOK.steps);
      if (search.state.score < scoreOf(best)) best = search.state.save();
    }
    search.returnToBest();
    this.kept.push(best);
    this.kept.sort((a, b) => scoreOf(a) - scoreOf(b)).splice(MOST);
  }
}
