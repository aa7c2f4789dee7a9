import { describe, expect, it } from 'vitest';
import { highs, solveExactly } from '@/workers/sourcing/exact';
import { between, seededRandom } from '../shared/random';
import { buyingProblem } from '../testing/buying-problems';
import { inStock, market } from '../testing/made-market';
import { randomProblem } from '../testing/sourcing';
import { Branching } from './branching';
import { ChoiceFloor, type Choose } from './choice-floor';
import { compile, type Compiled } from './compile';
import { forcedBy } from './forced';
import { LowerBound } from './lower-bound';
import type { Problem } from './problem';
import { reachableNeed, totalOf } from './reachable';
import { Solver, solveBySteps } from './solver';

const solver = await highs();
const choose: Choose = (model) => solveExactly(solver, model, { start: null, seconds: 20, gap: 1e-6 });

function floorAfter(c: Compiled, spare: number, steps: number, target: number, by: Choose = choose) {
  const need = reachableNeed(c);
  const settled = forcedBy(c, need, spare);
  const root = new LowerBound(c, need, settled);
  for (let i = 0; i < 100; i++) root.step(target);
  const floor = new ChoiceFloor(c, need, settled, root.multipliers);
  for (let i = 0; i < steps && !floor.hasSettled; i++) floor.step(target, by);
  return { root, floor };
}

describe('a floor that chooses sellers and boxes exactly', () => {
  it.each([...Array(24).keys()])('is never above a plan that lacks as many (%i)', (seed) => {
    const random = seededRandom(seed + 1);
    const whole = { ...randomProblem(seed, 8, 5), maxSellers: seed % 3 === 0 ? null : 1 + (seed % 3) };
    // A plan for less than is wanted is one that lacks the rest.
    const lots = whole.lots.flatMap((l) => {
      const qty = l.qty - (random() < 0.3 ? between(random, 0, Math.min(6, l.qty)) : 0);
      return qty > 0 ? [{ ...l, qty }] : [];
    });
    const pieces = (p: Problem) => p.lots.reduce((n, l) => n + l.qty, 0);
    const plan = solveBySteps({ ...whole, lots }, 1, 400);
    const lacks = pieces(whole) - pieces({ ...whole, lots }) + plan.unmet.reduce((n, u) => n + u.qty, 0);
    const c = compile(whole);
    const spare = lacks - (pieces(whole) - totalOf(reachableNeed(c)));
    // Towards far more than it costs, so that a floor that is too high is not taken for one that has arrived.
    const { floor } = floorAfter(c, spare, 25, 2 * plan.cost);
    expect(floor.best).toBeLessThanOrEqual(plan.cost + 1e-6);
    expect(floor.best).toBeGreaterThan(-Infinity);
  });

  it('keeps together what prices tear: of three who have half of each two must be open', () => {
    const problem = market({
      lots: [
        ['a', 10],
        ['b', 10],
      ],
      sellers: [
        { ...inStock('both', { a: 10 }), postage: 400 },
        { ...inStock('one', { a: 5, b: 5 }), postage: 300 },
        { ...inStock('two', { a: 5, b: 5 }), postage: 300 },
        { ...inStock('three', { a: 5, b: 5 }), postage: 300 },
      ],
      maxSellers: 2,
    });
    const c = compile(problem);
    const plan = solveBySteps(problem, 1, 300);
    const { root, floor } = floorAfter(c, 0, 60, plan.cost);
    expect(plan.unmet).toEqual([]);
    expect(floor.best).toBeGreaterThan(0.999 * plan.cost);
    expect(floor.best).toBeGreaterThanOrEqual(root.best);
    expect(floor.chosen?.sellers).toHaveLength(2);
  });

  it('closes a third and more of what a floor of prices leaves open where few parcels are allowed', () => {
    let [prices, exact] = [0, 0];
    for (const seed of [3, 5, 8]) {
      const problem = { ...buyingProblem('scarce', 'small', seed), maxSellers: 4 };
      const plan = solveBySteps(problem, 1, 400);
      const c = compile(problem);
      const spare = plan.unmet.reduce((n, u) => n + u.qty, 0) - (totalOf(c.need) - totalOf(reachableNeed(c)));
      const { root, floor } = floorAfter(c, spare, 60, plan.cost);
      for (let i = 0; i < 300; i++) root.step(plan.cost);
      prices += 1 - root.best / plan.cost;
      exact += 1 - floor.best / plan.cost;
      expect(floor.best).toBeLessThanOrEqual(plan.cost + 1e-6);
    }
    expect(exact).toBeLessThan(0.66 * prices);
  });

  it('steers by its own prices: who is chosen pays, copies of no box cost nothing, and a worse step changes neither', () => {
    const c = compile({ ...buyingProblem('many boxes', 'small', 4), maxSellers: null });
    const plan = solveBySteps({ ...buyingProblem('many boxes', 'small', 4), maxSellers: null }, 1, 400);
    const { floor } = floorAfter(c, 0, 60, plan.cost);
    expect(floor.reduced).toHaveLength(c.sellers);
    expect(Math.min(...floor.reduced)).toBeLessThan(0);
    expect(floor.reduced.every((pence) => Number.isFinite(pence))).toBe(true);
    for (let d = 0; d < c.donorPrice.length; d++) {
      expect(floor.donorCosts(d)).toHaveLength(c.donorMax[d]! + 1);
      expect(floor.donorCosts(d)[0]).toBe(0);
    }
    const [before, best] = [[...floor.reduced], floor.best];
    // Towards next to nothing: that step leads away.
    floor.step(1, (model) => ({ ...choose(model), bound: -1e6 }));
    expect(floor.best).toBe(best);
    expect([...floor.reduced]).toEqual(before);
  });

  it('has settled at once where no choice was found, and says what was proven until then', () => {
    const c = compile({ ...randomProblem(4, 10, 5), maxSellers: null });
    const { floor } = floorAfter(c, 0, 1, 5000, (model) => ({ ...choose(model), values: null }));
    expect(floor.hasSettled).toBe(true);
    expect(floor.best).toBeGreaterThan(-Infinity);
    const none = floorAfter(c, 0, 1, 5000, () => ({ values: null, bound: -Infinity })).floor;
    expect([none.hasSettled, none.best]).toEqual([true, -Infinity]);
  });
});

describe('a floor by branching that may choose', () => {
  it('is no lower than without, and what it chooses becomes plans where parcels are few', () => {
    const c = compile({ ...buyingProblem('few parcels', 'small', 7), maxSellers: 3 });
    const made = () => new Solver(c, { seed: 1, trialDonors: false, boundSteps: 0 });
    const [alone, choosing] = [made(), made()];
    choosing.choose = choose;
    const first = choosing.best;
    for (let i = 0; i < 180; i++) for (const s of [alone, choosing]) s.boundStep();
    expect(choosing.floor).toBeGreaterThanOrEqual(alone.floor);
    expect(choosing.floor).toBeLessThanOrEqual(Math.round(choosing.best.cost));
    // No step was searched: what is better comes of the choices.
    expect(choosing.best.cost).toBeLessThan(first.cost);
    expect(choosing.best.unmet).toBeLessThanOrEqual(first.unmet);
    expect(alone.best.cost).toBe(first.cost);
  });

  it('goes on by branching once choosing has settled', () => {
    const problem = { ...randomProblem(8, 14, 6), maxSellers: null };
    const c = compile(problem);
    const plan = solveBySteps(problem, 1, 400);
    const floor = new Branching(c, reachableNeed(c));
    let asked = 0;
    const counting: Choose = (model) => {
      asked++;
      return choose(model);
    };
    for (let i = 0; i < 400; i++) floor.step(plan.cost, counting);
    const before = asked;
    expect(before).toBeGreaterThan(0);
    for (let i = 0; i < 400; i++) floor.step(plan.cost, counting);
    expect(asked).toBe(before);
    expect(floor.best).toBeLessThanOrEqual(plan.cost + 1e-6);
  });
});
