import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { faultsOf, randomProblem } from '../testing/sourcing';
import {
  planSchema,
  problemFault,
  reachableNeed,
  requestSchema,
  solveBySteps,
  compile,
  type Problem,
} from './index';

const element = (i: number) => `e${i}`;

/** Problems that no honest asker would pose: parcels too light for their pieces, no sellers allowed, lots in a tangle. */
const hostile: fc.Arbitrary<Problem> = fc
  .record({
    elements: fc.integer({ min: 1, max: 6 }),
    grams: fc.constantFrom(0, 0.1, 1, 7.5, 500, 1e6),
    seed: fc.nat(),
  })
  .chain(({ elements, grams }) => {
    const one = fc.integer({ min: 0, max: elements - 1 }).map(element);
    const seller = fc.record({
      minOrder: fc.constantFrom(0, 1, 500, 1e6),
      bands: fc.uniqueArray(fc.constantFrom(0, 1, 8, 15, 100, 1000, 1e9), { minLength: 1, maxLength: 3 }),
      pence: fc.nat({ max: 900 }),
      offers: fc.uniqueArray(
        fc.record({
          element: one,
          price: fc.constantFrom(0, 1, 30, 1e6),
          stock: fc.constantFrom(0, 1, 2, 9, 1000),
          minQty: fc.constantFrom(1, 2, 10),
          multiple: fc.constantFrom(1, 2, 3, 50),
        }),
        { selector: (o) => o.element, maxLength: 6 },
      ),
    });
    return fc
      .record({
        lots: fc.array(
          fc.record({
            qty: fc.constantFrom(1, 2, 5, 40),
            accept: fc.uniqueArray(one, { minLength: 1, maxLength: elements }),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        sellers: fc.array(seller, { maxLength: 5 }),
        donors: fc.array(
          fc.record({
            price: fc.nat({ max: 2000 }),
            maxCopies: fc.nat({ max: 3 }),
            yields: fc.array(fc.record({ element: one, qty: fc.integer({ min: 1, max: 9 }) }), {
              maxLength: 4,
            }),
          }),
          { maxLength: 2 },
        ),
        maxSellers: fc.constantFrom(null, 0, 1, 2),
      })
      .map(({ lots, sellers, donors, maxSellers }): Problem => ({
        schema: 'makeup/1',
        name: 'hostile',
        elements: Array.from({ length: elements }, (_, i) => ({
          id: element(i),
          part: 'p',
          colour: 'c',
          grams: i % 2 ? grams : grams / 3,
        })),
        lots: lots.map((l, i) => ({ ...l, id: `l${i}` })),
        sellers: sellers.map(({ minOrder, bands, pence, offers }, i) => ({
          id: `s${i}`,
          minOrder,
          postage: bands
            .toSorted((a, b) => a - b)
            .map((maxGrams, b) => ({ maxGrams, pence: pence + b * 100 })),
          offers,
        })),
        donors: donors.map((d, i) => ({ ...d, id: `d${i}` })),
        maxSellers,
      }));
  });

describe('a plan for a hostile problem', () => {
  it('keeps the published schema and every limit, and says what is not available', () =>
    fc.assert(
      fc.property(hostile, fc.nat({ max: 99 }), (problem, seed) => {
        expect(requestSchema.safeParse({ problem }).success).toBe(true);
        expect(problemFault(problem)).toBeUndefined();
        const plan = solveBySteps(problem, seed, 25);
        expect(planSchema.safeParse(plan).error?.issues).toBeUndefined();
        expect(faultsOf(problem, plan)).toEqual([]);
      }),
      { numRuns: 400 },
    ));

  it('a parcel heavier than the last band is not sent: what fits is bought, the rest is told', () => {
    const problem: Problem = {
      ...randomProblem(1, 1, 1),
      elements: [{ id: 'e', part: 'p', colour: 'c', grams: 10 }],
      lots: [{ id: 'l', qty: 9, accept: ['e'] }],
      sellers: [
        {
          id: 's',
          minOrder: 0,
          postage: [{ maxGrams: 45, pence: 100 }],
          offers: [{ element: 'e', price: 5, stock: 50, minQty: 1, multiple: 1 }],
        },
      ],
      donors: [],
      maxSellers: null,
    };
    expect(solveBySteps(problem, 1, 30)).toMatchObject({
      cost: 120,
      buys: [{ seller: 's', element: 'e', qty: 4 }],
      unmet: [{ lot: 'l', qty: 5 }],
    });
  });
});

describe('what is available at all', () => {
  /** The same by trying every way: for a few small lots. */
  const bruteForce = (c: ReturnType<typeof compile>): number => {
    const supply = Array.from({ length: c.elements }, () => 0);
    for (let o = 0; o < c.offers; o++) supply[c.offerElement[o]!]! += c.offerCap[o]!;
    c.donorYields.forEach((ys, d) => ys.forEach(([e, n]) => (supply[e]! += n * c.donorMax[d]!)));
    const wants = c.accepts.flatMap((es, lot) => Array.from({ length: c.need[lot]! }, () => es));
    const best = (i: number): number => {
      if (i === wants.length) return 0;
      let most = best(i + 1);
      for (const e of wants[i]!) {
        if (supply[e]! <= 0) continue;
        supply[e]!--;
        most = Math.max(most, 1 + best(i + 1));
        supply[e]!++;
      }
      return most;
    };
    return best(0);
  };

  it('is the largest flow there is', () =>
    fc.assert(
      fc.property(hostile, (problem) => {
        const small = {
          ...problem,
          lots: problem.lots.slice(0, 3).map((l) => ({ ...l, qty: Math.min(2, l.qty) })),
        };
        const c = compile(small);
        const reach = reachableNeed(c);
        expect(reach.every((n, lot) => n <= c.need[lot]!)).toBe(true);
        expect(reach.reduce((a, b) => a + b, 0)).toBe(bruteForce(c));
      }),
      { numRuns: 150 },
    ));

  it('is found for lots in a tangle of hundreds', () => {
    const n = 400;
    const elements = Array.from({ length: n }, (_, i) => ({
      id: element(i),
      part: 'p',
      colour: 'c',
      grams: 1,
    }));
    const problem: Problem = {
      ...randomProblem(1, 1, 1),
      elements,
      lots: Array.from({ length: 1500 }, (_, i) => ({
        id: `l${i}`,
        qty: 3,
        accept: Array.from({ length: 40 }, (__, k) => element((i * 7 + k * 11) % n)).filter(
          (e, k, all) => all.indexOf(e) === k,
        ),
      })),
      sellers: Array.from({ length: 6 }, (_, s) => ({
        id: `s${s}`,
        minOrder: 0,
        postage: [{ maxGrams: 1e6, pence: 200 }],
        offers: elements.map(({ id }, i) => ({
          element: id,
          price: 1 + ((i + s) % 9),
          stock: 2,
          minQty: 1,
          multiple: 1,
        })),
      })),
      donors: [],
      maxSellers: null,
    };
    const reach = reachableNeed(compile(problem));
    expect(reach.reduce((a, b) => a + b, 0)).toBe(4500);
  });
});
