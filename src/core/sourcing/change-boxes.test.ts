import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { between, seededRandom } from '../shared/random';
import { buyingProblem } from '../testing/buying-problems';
import { faultsIn } from '../testing/sourcing';
import { changeBoxes } from './change-boxes';
import { compile, type Compiled } from './compile';
import type { Problem } from './problem';
import { fillLots, noRules } from './repair';
import { Search } from './search';
import { State, type Saved } from './state';

const NEED = [6, 9, 4];

/** Two boxes that each have all that is wanted, and a seller whose pieces come to far more than either. */
const twoBoxes = (first: number, second: number): Problem => ({
  schema: 'makeup/1',
  name: 'two boxes',
  elements: NEED.map((_, i) => ({ id: `e${i}`, part: i, colour: 0, grams: 1 })),
  lots: NEED.map((qty, i) => ({ id: i, qty, accept: [`e${i}`] })),
  sellers: [
    {
      id: 'dear',
      minOrder: 0,
      postage: [{ maxGrams: 5000, pence: 300 }],
      offers: NEED.map((_, i) => ({ element: `e${i}`, price: 90, stock: 50, minQty: 1, multiple: 1 })),
    },
  ],
  donors: [first, second].map((price, d) => ({
    id: `box ${d}`,
    price,
    maxCopies: 1,
    yields: NEED.map((qty, i) => ({ element: `e${i}`, qty })),
  })),
  maxSellers: null,
});

/** The plan that buys some copies of the boxes and fills what they have not. */
function planOf(c: Compiled, copies: readonly number[]): State {
  const state = new State(c);
  copies.forEach((n, d) => state.setCopies(d, n));
  const lots = Array.from({ length: c.lots }, (_, lot) => lot);
  fillLots(state, lots, noRules(state), seededRandom(1));
  return state;
}

/** In which order a lot has its sources says nothing of a plan. */
const inOrder = (saved: Saved): Saved => ({
  ...saved,
  from: saved.from.map((sources) => [...sources].sort(([a], [b]) => a - b)),
});

describe('changing boxes', () => {
  it('puts a box in the place of another, though neither buying the one nor giving up the other pays alone', () => {
    for (const seed of [1, 2, 3, 4, 5]) {
      const c = compile(twoBoxes(800, 700));
      const dearer = planOf(c, [1, 0]);
      expect(dearer.cost).toBe(800);
      expect(planOf(c, [1, 1]).cost).toBe(1500);
      expect(planOf(c, [0, 0]).cost).toBeGreaterThan(1500);
      const search = new Search(c, seededRandom(seed), [], null, dearer.save());
      // Cold: what is dearer for a moment is never taken.
      for (let i = 0; i < 3000; i++) search.step(0);
      expect([seed, [...search.best.copies], search.best.cost]).toEqual([seed, [0, 1], 700]);
    }
  });

  it('keeps to how many there are, frees only lots that its boxes serve, and can be undone whole', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), (seed) => {
        const random = seededRandom(seed);
        const problem = buyingProblem('many boxes', 'small', seed % 7);
        const c = compile(problem);
        const state = planOf(
          c,
          Array.from(c.donorMax, (most) => between(random, 0, most)),
        );
        const before = inOrder(state.save());
        state.mark();
        const lots = changeBoxes(state, random);
        const changed = [...before.copies].flatMap((n, d) => (state.copies[d] === n ? [] : [d]));
        expect(changed.length).toBeLessThanOrEqual(2);
        const served = new Set(
          changed.flatMap((d) => c.donorYields[d]!.flatMap(([e]) => [...c.acceptedBy[e]!])),
        );
        expect(new Set(lots)).toEqual(served);
        for (let lot = 0; lot < c.lots; lot++)
          if (!served.has(lot)) expect(inOrder(state.save()).from[lot]).toEqual(before.from[lot]);
        fillLots(state, lots, noRules(state), random);
        expect(faultsIn(c, problem, state.save())).toEqual([]);
        state.rollBack();
        expect(inOrder(state.save())).toEqual(before);
      }),
    ));
});
