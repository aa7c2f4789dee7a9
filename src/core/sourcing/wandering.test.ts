import { describe, expect, it } from 'vitest';
import { buyingProblem } from '../testing/buying-problems';
import { faultsIn } from '../testing/sourcing';
import { compile } from './compile';
import { Solver } from './solver';

describe('wandering', () => {
  const begun = (seed: number) => {
    const problem = buyingProblem('plain', 'small', seed);
    const search = new Solver(compile(problem), { seed, trialDonors: false, boundSteps: 10 });
    for (let i = 0; i < 30; i++) search.work(i / 30);
    return { problem, search };
  };

  it('comes to rest at a lawful plan that meets as much, and the best is kept', () => {
    const ends = new Set<number>();
    for (let seed = 1; seed <= 8; seed++) {
      const { problem, search } = begun(seed);
      const before = search.best;
      const found = search.wander(0.3, 40, () => false);
      expect(faultsIn(search.c, problem, found)).toEqual([]);
      expect(found.unmet).toBe(before.unmet);
      expect(found.cost).toBeGreaterThanOrEqual(search.best.cost - 1e-6);
      expect(search.best.cost).toBeLessThanOrEqual(before.cost);
      ends.add(Math.sign(Math.round(found.cost - before.cost)));
    }
    // Here it came back to where it began, there to another place.
    expect(ends.size).toBeGreaterThan(1);
  });

  it('stays at the best plan where it may take no step', () => {
    const { search } = begun(3);
    expect(search.wander(0.3, 40, () => true).cost).toBeCloseTo(search.best.cost, 6);
    expect(search.present.from).toEqual(search.best.from);
  });
});
