import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared/random';
import { buyingProblem } from '../testing/buying-problems';
import { inStock, market, type MadeMarket } from '../testing/made-market';
import { compile } from './compile';
import { filledForMost } from './first-plans';
import { sellersForMost } from './most-met';
import type { Problem, ProblemId } from './problem';

const problem = (needs: readonly number[], sellers: MadeMarket['sellers'], maxSellers: number): Problem =>
  market({ lots: needs.map((qty, i) => [`e${i}`, qty] as const), sellers, maxSellers });

const chosen = (p: Problem, seed = 1): ProblemId[] =>
  [...sellersForMost(compile(p), seededRandom(seed))[0]!].flatMap((one, s) =>
    one ? [p.sellers[s]!.id] : [],
  );

describe('sellers for most of what is wanted', () => {
  it('are two that complete each other, where the one with most fits badly with all others', () => {
    const p = problem(
      [10, 10, 10, 10],
      [
        inStock('most', { e0: 8, e1: 8, e2: 8 }),
        inStock('left', { e0: 10, e1: 10 }),
        inStock('right', { e2: 10, e3: 10 }),
      ],
      2,
    );
    expect(chosen(p).sort()).toEqual(['left', 'right']);
  });

  it('are no more than are allowed, and none who has nothing that lacks', () => {
    const all = inStock('all', { e0: 5, e1: 5 });
    const p = problem([5, 5], [all, inStock('also', { e0: 5 }), inStock('too', { e1: 5 })], 2);
    expect(chosen(p)).toEqual(['all']);
  });

  it('count a pack that no lot needs whole for no more than is needed', () => {
    const p = problem([3, 3], [inStock('plenty', { e0: 500 }), inStock('both', { e0: 2, e1: 2 })], 1);
    expect(chosen(p)).toEqual(['both']);
  });

  it.each([1, 2, 3])('have at least as much as the best of all choices in small markets, seed %i', (seed) => {
    const p = { ...buyingProblem('few parcels', 'small', seed), donors: [], maxSellers: 2 };
    const c = compile(p);
    let least = Infinity;
    for (let a = 0; a < c.sellers; a++)
      for (let b = a + 1; b < c.sellers; b++) least = Math.min(least, lacking(p, [a, b]));
    for (const choice of sellersForMost(c, seededRandom(seed)))
      expect(
        lacking(
          p,
          [...choice].flatMap((one, s) => (one ? [s] : [])),
        ),
      ).toBe(least);
  });
});

/** Pieces that some sellers together do not have, each lot by itself. */
function lacking(p: Problem, sellers: readonly number[]): number {
  const c = compile(p);
  let lacks = 0;
  for (let lot = 0; lot < c.lots; lot++) {
    const there = [...c.offersOfLot[lot]!]
      .filter((o) => sellers.includes(c.offerSeller[o]!))
      .reduce((sum, o) => sum + c.offerCap[o]!, 0);
    lacks += Math.max(0, c.need[lot]! - there);
  }
  return lacks;
}

describe('a first plan for most of what is wanted', () => {
  it.each([501, 502, 503, 504])('keeps to the limit and leaves few pieces unmet, seed %i', (seed) => {
    const c = compile(buyingProblem('few parcels', 'medium', seed));
    const plan = filledForMost({ c, random: seededRandom(seed), donors: null })[0]!;
    expect(plan.parcels).toBeLessThanOrEqual(c.maxSellers);
    const wanted = c.need.reduce((a, b) => a + b, 0);
    expect(plan.unmet).toBeLessThan(0.03 * wanted);
  });

  it.each([511, 512, 513, 514, 515, 516])('is as full whichever way chance goes, seed %i', (seed) => {
    const problem = buyingProblem('few parcels', 'medium', seed);
    const c = compile(problem);
    const lacks = [1, 2, 3, 4].map((chance) => {
      const [choice] = sellersForMost(c, seededRandom(chance));
      return lacking(
        problem,
        [...choice!].flatMap((is, s) => (is ? [s] : [])),
      );
    });
    expect(new Set(lacks).size).toBe(1);
  });
});
