import { describe, expect, it } from 'vitest';
import { solveBySteps } from '../sourcing';
import { placePlan } from '../orders';
import { needOf } from '../need';
import { between, pick, seededRandom } from '../shared/random';
import { boxFor, offerOf, sellerOf } from '../testing/market';
import { ELEMENTS } from '../testing/world';
import { makeWorkbench, planned, testSource } from '../testing/workbench';
import { changesSince, parcelsOf, poseProblem, PREFERENCES, shownMarket, type MarketAnswer } from './index';

/** A market with much that no plan wants, and a need. */
function problem(seed: number) {
  const random = seededRandom(seed);
  const some = () => pick(random, ELEMENTS);
  const lots = Array.from({ length: between(random, 2, 5) }, () => ({
    element: some(),
    qty: between(random, 1, 9),
  }));
  const workbench = planned(
    makeWorkbench({ zones: { Wall: [] } }),
    testSource(),
    ...lots.map((l) => ({ kind: 'add' as const, on: [l] })),
  );
  const seller = (i: number) =>
    sellerOf(
      `s${i}`,
      ELEMENTS.filter(() => random() < 0.5).map((e) =>
        offerOf(e, between(random, 2, 40), between(random, 1, 20)),
      ),
    );
  const market: MarketAnswer = {
    sellers: Array.from({ length: 8 }, (_, i) => seller(i)),
    boxes: [
      boxFor(
        'B',
        between(random, 50, 300),
        ELEMENTS.slice(0, 20).map((element) => ({ element, qty: between(random, 1, 6) })),
        { seller: 's7' },
      ),
    ],
  };
  return { workbench, market, need: needOf(workbench).lots };
}

describe('as much of a market as shows a plan', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('makes the same parcels and orders as the whole (%i)', (seed) => {
    const { workbench, market, need } = problem(seed);
    const wish = { ...PREFERENCES, never: new Set(['s1']), prefer: new Set(['s2']) };
    const plan = solveBySteps(poseProblem(need, market, wish, workbench.priceOf), seed, 60);
    const shown = shownMarket(market, plan, wish, need);
    expect(parcelsOf(plan, shown)).toEqual(parcelsOf(plan, market));
    const orders = (at: MarketAnswer) => placePlan(workbench, need, plan, at, '2026-11-24', testSource());
    expect(orders(shown)).toEqual(orders(market));
    // Sold dearer since, or not at all: the part that is shown notices what the whole does.
    const later = {
      ...market,
      sellers: market.sellers.map((s) => ({
        ...s,
        offers: s.offers.slice(1).map((o) => ({ ...o, price: o.price + 1 })),
      })),
    };
    expect(changesSince(plan, shown, later)).toEqual(changesSince(plan, market, later));
    expect(shown.sellers.map((s) => s.id)).toEqual(expect.arrayContaining(['s1', 's2', 's7']));
    const offers = shown.sellers.reduce((n, s) => n + s.offers.length, 0);
    expect(offers).toBe(plan.buys.length);
  });
});
