import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { faultsOf, randomProblem } from '../testing/sourcing';
import { highs, solveExactly } from '@/workers/sourcing/exact';
import { addSellers } from './add-sellers';
import { cheapestEach, fewestSellers } from './by-hand';
import { compile } from './compile';
import {
  modelOf,
  partModel,
  problemFault,
  reachableNeed,
  requestSchema,
  solveBySteps,
  Solver,
  type Problem,
} from './index';
import { planOf } from './plan';
import { seededRandom } from '../shared/random';

type Exact = Awaited<ReturnType<typeof highs>>;
let exact: Exact;
beforeAll(async () => {
  exact = await highs();
});

/** The proven least cost of a problem, by branch and bound; null when not all can be met. */
function proven(problem: Problem): number | null {
  const c = compile(problem);
  const need = reachableNeed(c);
  if (need.some((n, l) => n < c.need[l]!)) return null;
  const model = modelOf(
    c,
    problem.sellers.map((_, i) => i),
    need,
  );
  const answer = solveExactly(exact, model.linearModel, { start: null, seconds: 20, gap: 0 });
  if (!answer.optimal || !answer.values) return null;
  const plan = planOf(c, problem, model.decode(answer.values), {
    status: 'optimal',
    floor: 0,
    byHand: { cheapestEach: 0, fewestSellers: 0 },
  });
  expect(faultsOf(problem, plan)).toEqual([]);
  expect(Math.abs(plan.cost - answer.bound)).toBeLessThan(0.5);
  return plan.cost;
}

const SMALL = Array.from({ length: 12 }, (_, seed) => randomProblem(seed + 1, 8, 6));

describe('a plan', () => {
  it('keeps every limit, adds every penny, and is never worse than what people do by hand', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const problem = randomProblem(seed, 12, 8);
        const plan = solveBySteps(problem, seed, 60);
        expect(faultsOf(problem, plan)).toEqual([]);
        // A plan by hand that leaves pieces out is cheaper for being less: it is no match.
        const c = compile(problem);
        for (const hand of [cheapestEach(c), fewestSellers(c)])
          if (hand.unmet === 0) {
            expect(plan.unmet).toEqual([]);
            expect(plan.cost).toBeLessThanOrEqual(hand.cost);
          }
      }),
      { numRuns: 60 },
    ));

  it.each(SMALL.map((p) => [p.name, p] as const))(
    '%s: search is near the proven least, and no floor is above it',
    (_, problem) => {
      const least = proven(problem);
      const plan = solveBySteps(problem, 1, 400);
      expect(faultsOf(problem, plan)).toEqual([]);
      if (least === null) return;
      if (plan.unmet.length === 0) {
        expect(plan.cost).toBeGreaterThanOrEqual(least);
        expect(plan.cost).toBeLessThanOrEqual(least * 1.12);
      }
      expect(plan.floor).toBeLessThanOrEqual(least);
    },
  );

  it('is the same for the same seed and iterations, and another seed may find another', () => {
    const problem = randomProblem(77, 40, 20);
    const run = (seed: number) => JSON.stringify(solveBySteps(problem, seed, 150));
    expect(run(5)).toBe(run(5));
    expect(new Set([1, 2, 3, 4].map((seed) => run(seed))).size).toBeGreaterThan(1);
  });

  it('only gets better with time', () => {
    const solver = new Solver(compile(randomProblem(9, 60, 30)), {
      seed: 2,
      trialDonors: true,
      boundSteps: 60,
    });
    let [cost, floor] = [Infinity, 0];
    for (let i = 0; i < 400; i++) {
      solver.work(i / 400);
      const score = solver.best.cost + solver.best.unmet * 1e7;
      expect(score).toBeLessThanOrEqual(cost + 1e-6);
      expect(solver.floor).toBeGreaterThanOrEqual(floor);
      [cost, floor] = [score, Math.min(solver.floor, floor || solver.floor)];
    }
  });

  it('meets what can be met, and says what is not available', () => {
    const base = randomProblem(3, 6, 4);
    const problem: Problem = {
      ...base,
      maxSellers: null,
      elements: [...base.elements, { id: 'rare', part: 'p', colour: 'plum', grams: 1 }],
      lots: [...base.lots, { id: 'wish', qty: 9, accept: ['rare'] }],
      sellers: base.sellers.map((s, i) =>
        i === 0
          ? { ...s, offers: [...s.offers, { element: 'rare', price: 4, stock: 5, minQty: 1, multiple: 1 }] }
          : s,
      ),
    };
    const plan = solveBySteps(problem, 1, 100);
    expect(plan.unmet.find((u) => u.lot === 'wish')).toEqual({ lot: 'wish', qty: 4 });
    expect(faultsOf(problem, plan)).toEqual([]);
  });

  it('a box is bought where it beats single parts, and not where it does not', () => {
    const one = (price: number): Problem => ({
      schema: 'makeup/1',
      name: 'box',
      elements: [{ id: 'a', part: 'p', colour: 'c', grams: 1 }],
      lots: [{ id: 'l', qty: 10, accept: ['a'] }],
      sellers: [
        {
          id: 's',
          minOrder: 0,
          postage: [{ maxGrams: 1000, pence: 200 }],
          offers: [{ element: 'a', price: 10, stock: 50, minQty: 1, multiple: 1 }],
        },
      ],
      donors: [{ id: 'd', price, maxCopies: 1, yields: [{ element: 'a', qty: 12 }] }],
      maxSellers: null,
    });
    expect(solveBySteps(one(250), 1, 60)).toMatchObject({
      cost: 250,
      buys: [],
      donors: [{ id: 'd', copies: 1 }],
    });
    expect(solveBySteps(one(350), 1, 60)).toMatchObject({ cost: 300, donors: [] });
  });
});

describe('ids are the asker’s own', () => {
  it('numbers are taken at the door, solved, and told back as numbers', () => {
    const base = randomProblem(4, 8, 5);
    const lotOf = new Map(base.lots.map((l, i) => [l.id, i]));
    const sellerOf = new Map(base.sellers.map((s, i) => [s.id, i]));
    const numbered: Problem = {
      ...base,
      elements: base.elements.map((e, i) => ({ ...e, part: i, colour: 7 })),
      lots: base.lots.map((l) => ({ ...l, id: lotOf.get(l.id)! })),
      sellers: base.sellers.map((s) => ({ ...s, id: sellerOf.get(s.id)! })),
    };
    const read = requestSchema.safeParse({ problem: numbered });
    expect(read.success).toBe(true);
    expect(problemFault(numbered)).toBeUndefined();
    const [plan, named] = [solveBySteps(numbered, 2, 100), solveBySteps(base, 2, 100)];
    expect(faultsOf(numbered, plan)).toEqual([]);
    expect(plan.cost).toBe(named.cost);
    expect(plan.buys.map((b) => b.seller)).toEqual(named.buys.map((b) => sellerOf.get(b.seller as string)));
  });

  it('a problem with no seller, or none that has anything, leaves all unmet', () => {
    const base = randomProblem(4, 8, 5);
    for (const sellers of [[], base.sellers.map((s) => ({ ...s, offers: [] }))]) {
      const plan = solveBySteps({ ...base, donors: [], sellers }, 1, 30);
      expect(plan).toMatchObject({ cost: 0, buys: [] });
      expect(plan.unmet).toHaveLength(8);
    }
  });
});

describe('sellers to begin with', () => {
  const c = compile({ ...randomProblem(6, 30, 12), maxSellers: null });

  it('are worth their parcels: with fewer allowed the same come first', () => {
    const opened = (most: number) => {
      const flags = addSellers({ ...c, maxSellers: most }, Int32Array.from(c.need));
      return [...flags.keys()].filter((s) => flags[s] === 1);
    };
    const all = opened(12);
    expect(all.length).toBeGreaterThan(0);
    for (let most = 0; most <= all.length; most++) {
      expect(opened(most)).toHaveLength(most);
      expect(all).toEqual(expect.arrayContaining(opened(most)));
    }
  });

  it('nobody, where nothing is open', () =>
    expect([...addSellers(c, new Int32Array(c.lots))].every((x) => x === 0)).toBe(true));
});

describe('a part of a plan solved exactly', () => {
  it('fits back into the whole, which stays lawful and gets no dearer', () => {
    const problem = { ...randomProblem(21, 30, 16), maxSellers: null };
    const solver = new Solver(compile(problem), { seed: 1, trialDonors: false, boundSteps: 20 });
    for (let i = 0; i < 30; i++) solver.work(i / 30);
    for (let n = 0; n < 6; n++) {
      const before = solver.best.cost;
      const part = partModel(
        solver.c,
        solver.best,
        solver.promising(12),
        { open: 3, closed: 3 },
        seededRandom(n),
      );
      if (!part?.start) continue;
      const answer = solveExactly(exact, part.model.linearModel, { start: part.start, seconds: 5, gap: 0 });
      if (answer.values) solver.adoptExactly(part.whole(part.model.decode(answer.values)));
      expect(solver.best.cost).toBeLessThanOrEqual(before);
      expect(faultsOf(problem, solver.plan(problem, 'bestSoFar'))).toEqual([]);
    }
  });
});

describe('a problem that comes in', () => {
  it('is checked for its shape and for what refers to nothing or stands twice', () => {
    const good = randomProblem(1, 4, 3);
    expect(requestSchema.safeParse({ problem: good }).success).toBe(true);
    expect(problemFault(good)).toBeUndefined();
    for (const bad of [
      { ...good, schema: 'makeup/2' },
      { ...good, lots: [] },
      { ...good, lots: [{ id: 'l', qty: 0, accept: ['e0'] }] },
      { ...good, maxSellers: -1 },
    ])
      expect(requestSchema.safeParse({ problem: bad }).success).toBe(false);
    const [lot, seller] = [good.lots[0]!, good.sellers[0]!];
    const faults: [Problem, string][] = [
      [{ ...good, lots: [{ ...lot, accept: ['nothing'] }] }, 'unknown element'],
      [{ ...good, lots: [lot, lot] }, 'twice'],
      [{ ...good, sellers: [{ ...seller, postage: [...seller.postage].reverse() }] }, 'bands'],
      [{ ...good, sellers: [{ ...seller, offers: [seller.offers[0]!, seller.offers[0]!] }] }, 'twice'],
      [
        { ...good, donors: [{ id: 'd', price: 1, maxCopies: 1, yields: [{ element: 'x', qty: 1 }] }] },
        'unknown element',
      ],
    ];
    for (const [problem, fault] of faults) expect(problemFault(problem)).toMatchObject({ fault });
  });
});
