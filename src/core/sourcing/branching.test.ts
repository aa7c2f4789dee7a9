import { describe, expect, it } from 'vitest';
import { buyingProblem, STRUCTURE_NAMES } from '../testing/buying-problems';
import { Branching } from './branching';
import { compile } from './compile';
import { LowerBound } from './lower-bound';
import { reachableNeed } from './reachable';
import { Solver } from './solver';

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
      // Another search from another seed, with the same met, is no cheaper than it says.
      const other = new Solver(compile(problem), { seed: seed + 50, trialDonors: false, boundSteps: 0 });
      for (let i = 0; i < 200; i++) other.work(i / 200);
      if (other.met.join() === solver.met.join())
        expect(Math.round(other.best.cost)).toBeGreaterThanOrEqual(solver.floor);
    }
  });
});
