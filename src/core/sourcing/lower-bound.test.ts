import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared/random';
import { buyingProblem, STRUCTURE_NAMES } from '../testing/buying-problems';
import { market } from '../testing/made-market';
import { randomProblem } from '../testing/sourcing';
import { anneal } from './anneal';
import { cheapestEach, fewestSellers } from './by-hand';
import { compile, type Compiled } from './compile';
import { forcedBy } from './forced';
import { LowerBound } from './lower-bound';
import type { Problem, ProblemOffer } from './problem';
import { reachableNeed } from './reachable';
import { Search } from './search';
import { Solver } from './solver';

/** How much of a searched plan's cost is proven after some hundred steps. */
const LEAST_OF_PLAN = { plain: 0.95, 'many acceptable': 0.94, 'steep postage': 0.94, scarce: 0.935 };

const seeds = fc.integer({ min: 1, max: 9999 });
const unlimited = (seed: number, lots: number, sellers: number): Problem => ({
  ...randomProblem(seed, lots, sellers),
  maxSellers: null,
});

describe('a floor', () => {
  it('is never above a plan, however it is stepped', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const problem = unlimited(seed, 10, 6);
        const c = compile(problem);
        const need = reachableNeed(c);
        if (need.some((n, l) => n < c.need[l]!)) return;
        const search = new Search(c, seededRandom(seed), [cheapestEach(c), fewestSellers(c)]);
        for (let i = 0; i < 120; i++) anneal(search, i / 120);
        if (search.best.unmet > 0) return;
        const floor = new LowerBound(c, need);
        const random = seededRandom(seed);
        // A target that is wrong makes poor steps, and still no floor that lies.
        for (let n = 0; n < 60; n++) floor.step(search.best.cost * (0.5 + random()));
        expect(floor.best).toBeLessThanOrEqual(search.best.cost + 1e-6);
      }),
      { numRuns: 60 },
    ));

  it('prices no copies at nothing, and more copies of a box never at less than their worth', () => {
    const c = compile(unlimited(8, 20, 10));
    const floor = new LowerBound(c, reachableNeed(c));
    for (let n = 0; n < 50; n++) floor.step(4000);
    for (let d = 0; d < c.donorPrice.length; d++) {
      const costs = floor.donorCosts(d);
      expect(costs).toHaveLength(c.donorMax[d]! + 1);
      expect(costs[0]).toBe(0);
      // A second copy gives what the first left over: it is worth no more.
      for (let n = 2; n < costs.length; n++)
        expect(costs[n]! - costs[n - 1]!).toBeGreaterThanOrEqual(costs[n - 1]! - costs[n - 2]! - 1e-6);
    }
  });

  it('is close where a seller has everything: what he asks is the floor', () => {
    const one: Problem = {
      schema: 'makeup/1',
      name: 'one',
      elements: [{ id: 'a', part: 'p', colour: 'c', grams: 1 }],
      lots: [{ id: 'l', qty: 20, accept: ['a'] }],
      sellers: [
        {
          id: 's',
          minOrder: 0,
          postage: [{ maxGrams: 1000, pence: 200 }],
          offers: [{ element: 'a', price: 10, stock: 20, minQty: 1, multiple: 1 }],
        },
      ],
      donors: [],
      maxSellers: null,
    };
    const c = compile(one);
    const floor = new LowerBound(c, reachableNeed(c));
    for (let n = 0; n < 200; n++) floor.step(400);
    expect(floor.best).toBeGreaterThan(396);
    expect(floor.best).toBeLessThanOrEqual(400 + 1e-6);
  });

  const floorOf = (problem: Problem, target: number): number => {
    const c = compile(problem);
    const floor = new LowerBound(c, reachableNeed(c));
    for (let n = 0; n < 400; n++) floor.step(target);
    return floor.best;
  };
  it('counts what a pack leaves over, where no more of it can be wanted', () => {
    const packs = (qty: number, more: Partial<ProblemOffer>) =>
      market({ lots: [['a', qty]], sellers: [{ id: 's', offers: [['a', 5, more]] }] });
    for (const more of [{ multiple: 10, stock: 90 }, { minQty: 10 }]) {
      expect(floorOf(packs(3, more), 150)).toBeGreaterThan(148);
      expect(floorOf(packs(3, more), 150)).toBeLessThanOrEqual(150 + 1e-6);
    }
    // Ten are wanted: a pack leaves nothing over.
    expect(floorOf(packs(10, { multiple: 10 }), 150)).toBeLessThanOrEqual(150 + 1e-6);
  });

  it('counts no more parcels than are allowed', () => {
    const three = (most?: number) =>
      market({
        lots: [
          ['a', 10],
          ['b', 10],
          ['c', 10],
        ],
        sellers: [
          ...['a', 'b', 'c'].map((k) => ({ id: k, postage: 10, offers: [[k, 5] as const] })),
          { id: 'All', postage: 10, offers: ['a', 'b', 'c'].map((k) => [k, 20] as const) },
        ],
        ...(most === undefined ? {} : { maxSellers: most }),
      });
    expect(floorOf(three(), 180)).toBeLessThanOrEqual(180 + 1e-6);
    const one = floorOf(three(1), 610);
    expect(one).toBeGreaterThan(500);
    expect(one).toBeLessThanOrEqual(610 + 1e-6);
  });

  it('counts whole parcels where the pieces of none suffice', () => {
    // Three of four sellers must be open for twenty pieces, eight of which each has; two and a half would do by pieces.
    const eights = market({
      lots: [['a', 20]],
      sellers: ['A', 'B', 'C', 'D'].map((id) => ({ id, offers: [['a', 5, { stock: 8 }]] })),
    });
    expect(floorOf(eights, 400)).toBeGreaterThan(390);
    expect(floorOf(eights, 400)).toBeLessThanOrEqual(400 + 1e-6);
  });

  it('is one, and comes, where everything serves everything', () => {
    const kinds = Array.from({ length: 240 }, (_, i) => `k${i}`);
    const c = compile(
      market({
        lots: kinds.map((_, i) => [`l${i}`, 1 + (i % 5), kinds]),
        sellers: ['A', 'B'].map((id, s) => ({
          id,
          offers: kinds.map((k, i) => [k, 3 + ((i + s) % 7), { stock: 2 }]),
        })),
        boxes: [{ id: 'X', price: 900, yields: kinds.map((k) => [k, 1]), maxCopies: 2 }],
      }),
    );
    const plan = cheapestEach(c);
    expect(plan.unmet).toBe(0);
    const floor = new LowerBound(c, reachableNeed(c));
    for (let n = 0; n < 6; n++) floor.step(plan.cost);
    expect(floor.best).toBeGreaterThan(0);
    expect(floor.best).toBeLessThanOrEqual(plan.cost + 1e-6);
  });

  it.each(['plain', 'many acceptable', 'steep postage', 'scarce'] as const)(
    'is within sight of a searched plan: %s',
    (name) => {
      const c = compile(buyingProblem(name, 'medium', 5));
      const found = [5, 6, 7].map((seed) => searched(c, seed));
      const cost = Math.min(...found);
      const need = reachableNeed(c);
      const floor = new LowerBound(c, need, forcedBy(c, need));
      for (let n = 0; n < 300; n++) floor.step(cost);
      expect(floor.best / cost).toBeGreaterThan(LEAST_OF_PLAN[name]);
    },
  );

  /** What a search that is steered by a floor finds in a second or so; all is met. */
  function searched(c: Compiled, seed: number): number {
    const solver = new Solver(c, { seed, trialDonors: false, boundSteps: 150 });
    for (let i = 0; i < 1200; i++) solver.work(i / 1200);
    expect(solver.leavesLeast).toBe(true);
    return solver.best.cost;
  }

  it('is never above a plan, whatever the market is like', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 999 }), fc.constantFrom(...STRUCTURE_NAMES), (seed, name) => {
        const problem = buyingProblem(name, 'small', seed);
        const c = compile(problem);
        const need = reachableNeed(c);
        const search = new Search(c, seededRandom(seed), [cheapestEach(c), fewestSellers(c)]);
        for (let i = 0; i < 200; i++) anneal(search, i / 200);
        const { best } = search;
        if (best.unmet > need.reduce((sum, n, l) => sum + c.need[l]! - n, 0)) return;
        const floor = new LowerBound(c, need);
        for (let n = 0; n < 150; n++) floor.step(best.cost);
        expect(floor.best).toBeLessThanOrEqual(best.cost + 1e-6);
      }),
      { numRuns: 40 },
    ));
});
