import { describe, expect, it } from 'vitest';
import { between, seededRandom } from '../shared/random';
import { buyingProblem, STRUCTURE_NAMES } from '../testing/buying-problems';
import { inStock, market } from '../testing/made-market';
import { randomProblem } from '../testing/sourcing';
import { Branching } from './branching';
import { compile } from './compile';
import { LowerBound } from './lower-bound';
import { reachableNeed } from './reachable';
import type { Problem } from './problem';
import { Solver, solveBySteps } from './solver';

/** A good plan of a small problem, by steps, so that it is the same everywhere. */
function goodPlan(name: (typeof STRUCTURE_NAMES)[number], seed: number) {
  const c = compile(buyingProblem(name, 'small', seed));
  const solver = new Solver(c, { seed, trialDonors: false, boundSteps: 0 });
  for (let i = 0; i < 150; i++) solver.work(i / 150);
  return { c, best: solver.best };
}

describe('a floor by branching', () => {
  it.each(STRUCTURE_NAMES.filter((n) => n !== 'few parcels'))(
    'never says more than a plan costs, and never less than it said before (%s)',
    (name) => {
      for (const seed of [1, 2]) {
        const { c, best } = goodPlan(name, seed);
        const branching = new Branching(c, reachableNeed(c));
        let last = -Infinity;
        for (let i = 0; i < 900; i++) {
          branching.step(best.cost);
          expect(branching.best).toBeLessThanOrEqual(best.cost + 1e-6);
          expect(branching.best).toBeGreaterThanOrEqual(last - 1e-6);
          last = branching.best;
        }
      }
    },
  );

  it('closes in on torn boxes, where the floor alone stays behind', () => {
    let [alone, branched] = [0, 0];
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const { c, best } = goodPlan('many boxes', seed);
      const floor = new LowerBound(c, reachableNeed(c));
      const branching = new Branching(c, reachableNeed(c));
      for (let i = 0; i < 6000; i++) {
        floor.step(best.cost);
        branching.step(best.cost);
      }
      alone += floor.best / best.cost;
      branched += branching.best / best.cost;
    }
    expect(branched).toBeGreaterThan(alone);
  });
});

describe('the floor of a plan that leaves unmet what could be had', () => {
  it('is of plans that meet as much: above nothing, and never above the plan', () => {
    for (const seed of [1, 2, 3, 4, 5]) {
      const problem = { ...buyingProblem('scarce', 'small', seed), maxSellers: 2 };
      const solver = new Solver(compile(problem), { seed, trialDonors: false, boundSteps: 20 });
      for (let i = 0; i < 200; i++) solver.work(i / 200);
      if (solver.leavesLeast) continue;
      expect(solver.floor).toBeGreaterThan(0);
      expect(solver.floor).toBeLessThanOrEqual(Math.round(solver.best.cost));
      // Another search from another seed that leaves no more, of whichever lots, is no cheaper than it says.
      const other = new Solver(compile(problem), { seed: seed + 50, trialDonors: false, boundSteps: 0 });
      for (let i = 0; i < 200; i++) other.work(i / 200);
      if (other.best.unmet <= solver.best.unmet)
        expect(Math.round(other.best.cost)).toBeGreaterThanOrEqual(solver.floor);
    }
  });

  it.each([...Array(24).keys()])(
    'is never above a plan that lacks as many, whichever lots go short (%i)',
    (seed) => {
      const random = seededRandom(seed + 1);
      const whole = { ...randomProblem(seed, 8, 4), maxSellers: seed % 3 === 0 ? null : 1 + (seed % 3) };
      // A plan for less than is wanted is one that lacks the rest.
      const less = {
        ...whole,
        lots: whole.lots.flatMap((l) => {
          const qty = l.qty - (random() < 0.4 ? between(random, 0, Math.min(6, l.qty)) : 0);
          return qty > 0 ? [{ ...l, qty }] : [];
        }),
      };
      const pieces = (p: Problem) => p.lots.reduce((n, l) => n + l.qty, 0);
      const plan = solveBySteps(less, 1, 400);
      const lacks = pieces(whole) - pieces(less) + plan.unmet.reduce((n, u) => n + u.qty, 0);
      const c = compile(whole);
      const need = reachableNeed(c);
      const spare = lacks - (pieces(whole) - need.reduce((n, q) => n + q, 0));
      const floor = new Branching(c, need, spare);
      // Towards far more than it costs, so that a floor that is too high is not taken for one that has arrived.
      for (let i = 0; i < 900; i++) floor.step(2 * plan.cost);
      expect(floor.best).toBeLessThanOrEqual(plan.cost + 1e-6);
    },
  );

  it('compares all sellers with one another, though some are shut from the start', () => {
    const p = market({
      lots: [
        ['a', 5],
        ['b', 5],
      ],
      sellers: [inStock('a', { a: 5 }), inStock('b', { b: 5 }), inStock('some', { a: 2, b: 2 })],
      maxSellers: 2,
    });
    const c = compile(p);
    const floor = new Branching(c, reachableNeed(c));
    for (let i = 0; i < 40; i++) floor.step(300);
    expect(floor.root.reduced.every((r) => Number.isFinite(r))).toBe(true);
    const solver = new Solver(c, { seed: 1, trialDonors: false, boundSteps: 60 });
    for (let i = 0; i < 200; i++) solver.work(i / 200);
    expect(solver.best).toMatchObject({ unmet: 0, cost: 300 });
    expect(solver.floor).toBe(300);
  });

  it('is lower the more may be lacking, and nothing where all may be', () => {
    const p = market({
      lots: [
        ['a', 3],
        ['b', 5],
      ],
      sellers: [inStock('one', { a: 9, b: 9 })],
    });
    const c = compile(p);
    const need = reachableNeed(c);
    const at = (spare: number) => {
      const floor = new Branching(c, need, spare);
      for (let i = 0; i < 400; i++) floor.step(solveBySteps(p, 1, 50).cost);
      return floor.best;
    };
    expect(at(0)).toBeGreaterThan(at(3));
    expect(at(3)).toBeGreaterThan(0);
    expect(at(8)).toBeLessThanOrEqual(0);
  });
});
