import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared/random';
import { buyingProblem } from '../testing/buying-problems';
import { faultsIn } from '../testing/sourcing';
import { ChoicePlans, GLANCE, LOOK } from './choice-plans';
import { compile } from './compile';
import { Search } from './search';
import { scoreOf, sellersOf } from './state';

describe('plans from what a floor has chosen', () => {
  const problem = { ...buyingProblem('few parcels', 'small', 5), maxSellers: 4 };
  const c = compile(problem);
  const choice = (...sellers: number[]) => ({ sellers, copies: new Int32Array(c.donorPrice.length) });

  it('are whole plans, the best first, and the search has the best of all', () => {
    const search = new Search(c, seededRandom(1));
    const first = search.best;
    const plans = new ChoicePlans(search);
    for (let s = 0; s + 3 < c.sellers; s++) plans.add(choice(s, s + 1, s + 2, s + 3));
    expect(plans.best.length).toBeGreaterThan(2);
    expect(plans.best.length).toBeLessThanOrEqual(8);
    const scores = plans.best.map(scoreOf);
    expect(scores).toEqual(scores.toSorted((a, b) => a - b));
    for (const plan of plans.best) {
      expect(faultsIn(c, problem, plan)).toEqual([]);
      expect(sellersOf(c, plan).length).toBeLessThanOrEqual(4);
    }
    expect(scoreOf(search.best)).toBe(Math.min(scoreOf(first), scores[0]!));
    // What is searched on from is the best, wherever a choice led.
    expect(scoreOf(search.state.save())).toBeCloseTo(scoreOf(search.best), 6);
  });

  it('are another one each time a choice is searched from, and keep to what may be bought', () => {
    const search = new Search(c, seededRandom(1));
    const plans = new ChoicePlans(search);
    const found = [1, 2, 3].map(() => plans.searchFrom(choice(0, 2, 4, 6), LOOK));
    for (const plan of found) {
      expect(faultsIn(c, problem, plan)).toEqual([]);
      expect(scoreOf(search.best)).toBeLessThanOrEqual(scoreOf(plan));
    }
    // A glance, from less warm and for a shorter time, leaves more to be found than the best of three looks.
    const glance = new ChoicePlans(new Search(c, seededRandom(1))).searchFrom(choice(0, 2, 4, 6), GLANCE);
    expect(Math.min(...found.map(scoreOf))).toBeLessThanOrEqual(scoreOf(glance));
  });

  it('are made once of each choice', () => {
    const plans = new ChoicePlans(new Search(c, seededRandom(1)));
    plans.add(choice(0, 1, 2, 3));
    const [only] = plans.best;
    plans.add(choice(0, 1, 2, 3));
    expect(plans.best).toEqual([only]);
    plans.add({ sellers: [0, 1, 2, 3], copies: Int32Array.from(c.donorMax) });
    expect(plans.best).toHaveLength(2);
  });
});
