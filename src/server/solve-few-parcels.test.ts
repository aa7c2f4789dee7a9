import { describe, expect, it } from 'vitest';
import { compile, modelOf, type Compiled, type Problem } from '@/core/sourcing';
import { reachableNeed, totalOf } from '@/core/sourcing/reachable';
import { buyingProblem } from '@/core/testing/buying-problems';
import { inStock, market } from '@/core/testing/made-market';
import { faultsOf } from '@/core/testing/sourcing';
import { highs, solveExactly } from '@/workers/sourcing/exact';
import { solveSourcing } from './solve-sourcing';

const solver = await highs();
const lacks = (plan: { unmet: readonly { qty: number }[] }) => plan.unmet.reduce((n, u) => n + u.qty, 0);

/** The least that two sellers leave unmet, and the least they cost then: every two, each by its whole model. */
function byTryingAllTwos(c: Compiled): { unmet: number; cost: number } {
  const twos = Array.from({ length: c.sellers }, (_, s) => s).flatMap((s) =>
    Array.from({ length: s }, (_, t) => [t, s] as const),
  );
  const unmetBy = ([s, t]: readonly [number, number]): number => {
    const has = (o: number) => c.offerSeller[o] === s || c.offerSeller[o] === t;
    const offerCap = c.offerCap.map((n, o) => (has(o) ? n : 0));
    return totalOf(c.need) - totalOf(reachableNeed({ ...c, offerCap }));
  };
  const unmet = Math.min(...twos.map(unmetBy));
  const costs = twos
    .filter((two) => unmetBy(two) === unmet)
    .map((two) => {
      const { linearModel } = modelOf(c, two, c.need, { lacking: unmet });
      return solveExactly(solver, linearModel, { start: null, seconds: 20, gap: 0 }).bound;
    });
  return { unmet, cost: Math.round(Math.min(...costs)) };
}

describe('where only a handful of sellers together have enough', () => {
  it.each([1, 2, 3, 4])('it is proven what must be lacking, and what the rest costs (%i)', async (seed) => {
    const problem: Problem = { ...buyingProblem('few parcels', 'small', seed), maxSellers: 2 };
    const plan = await solveSourcing(problem, { seconds: 20, seed });
    expect(faultsOf(problem, plan)).toEqual([]);
    const least = byTryingAllTwos(compile(problem));
    expect(least.unmet).toBeGreaterThan(0);
    expect([lacks(plan), plan.cost, plan.status]).toEqual([least.unmet, least.cost, 'optimal']);
    expect(plan.floor).toBe(plan.cost);
  });

  it('it is proven of a middling problem in seconds, which prices alone leave far below', async () => {
    const problem = buyingProblem('few parcels', 'medium', 1);
    const plan = await solveSourcing(problem, { seconds: 40, seed: 1 });
    expect(faultsOf(problem, plan)).toEqual([]);
    expect(plan.status).toBe('optimal');
    expect(lacks(plan)).toBeGreaterThan(0);
  });
});

describe('the model of some sellers', () => {
  const problem = market({
    lots: [
      ['a', 3],
      ['b', 2],
    ],
    sellers: [
      { ...inStock('one', { a: 9 }), postage: 100 },
      { id: 'two', postage: 150, offers: [['b', 50, { stock: 9 }]] },
    ],
  });
  const c = compile(problem);
  const costAt = (lacking: number) =>
    solveExactly(solver, modelOf(c, [0, 1], c.need, { lacking }).linearModel, {
      start: null,
      seconds: 10,
      gap: 0,
    }).bound;

  it('leaves out what may be lacking where that saves most', () => {
    expect([0, 1, 2, 3, 4, 5].map(costAt).map(Math.round)).toEqual([380, 330, 130, 120, 110, 0]);
  });

  it('is told apart: none that has enough, and none that was found in time', () => {
    const one = { ...problem, sellers: problem.sellers.slice(0, 1) };
    const alone = compile(one);
    const none = solveExactly(solver, modelOf(alone, [0], alone.need, { lacking: 1 }).linearModel, {
      start: null,
      seconds: 10,
      gap: 0,
    });
    expect([none.values, none.infeasible, none.optimal]).toEqual([null, true, false]);
    const large = compile(buyingProblem('steep postage', 'medium', 3));
    const everybody = Array.from({ length: large.sellers }, (_, s) => s);
    const late = solveExactly(solver, modelOf(large, everybody, reachableNeed(large)).linearModel, {
      start: null,
      seconds: 0.05,
      gap: 0,
    });
    expect([late.infeasible, late.optimal]).toEqual([false, false]);
  });

  it('knows a plan that lacks some', () => {
    const model = modelOf(c, [0, 1], c.need, { lacking: 2 });
    const answer = solveExactly(solver, model.linearModel, { start: null, seconds: 10, gap: 0 });
    const plan = model.decode(answer.values!);
    expect(plan.from.map((rows) => rows.reduce((n, [, pieces]) => n + pieces, 0))).toEqual([3, 0]);
    const values = model.encode(plan)!;
    const cost = values.reduce((n, v, i) => n + v * model.linearModel.cost[i]!, 0);
    expect(cost).toBeCloseTo(130, 6);
    // Every row of the model holds at it.
    const { rowLower, starts, indices, values: terms } = model.linearModel;
    for (let row = 0; row < rowLower.length; row++) {
      let sum = 0;
      for (let k = starts[row]!; k < starts[row + 1]!; k++) sum += terms[k]! * values[indices[k]!]!;
      expect(sum).toBeGreaterThanOrEqual(rowLower[row]! - 1e-6);
    }
  });
});
