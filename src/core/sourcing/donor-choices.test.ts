import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared/random';
import { buyingProblem, type StructureName } from '../testing/buying-problems';
import { market } from '../testing/made-market';
import { randomProblem } from '../testing/sourcing';
import { compile } from './compile';
import { donorChoices } from './donor-choices';
import { LowerBound } from './lower-bound';
import { reachableNeed } from './reachable';
import { Search } from './search';

describe('choices of boxes', () => {
  const problem = { ...randomProblem(8, 20, 10), maxSellers: null };
  const c = compile(problem);
  const lowerBoundOf = (steps: number) => {
    const floor = new LowerBound(c, reachableNeed(c));
    for (let n = 0; n < steps; n++) floor.step(5000);
    return floor;
  };
  const best = new Search(c, seededRandom(1)).best;

  it('keep to the copies there are, stand once each, and no box at all is among them', () => {
    const choices = donorChoices(c, lowerBoundOf(40), best, reachableNeed(c));
    expect(choices.length).toBeGreaterThan(0);
    expect(choices.length).toBeLessThanOrEqual(8);
    for (const copies of choices) copies.forEach((n, d) => expect(n >= 0 && n <= c.donorMax[d]!).toBe(true));
    expect(new Set(choices.map((x) => x.join())).size).toBe(choices.length);
    const bare = compile({ ...problem, donors: [] });
    expect(donorChoices(bare, lowerBoundOf(1), best, reachableNeed(bare))).toEqual([new Int32Array(0)]);
  });
});

describe('choices of boxes where some pieces are in boxes alone', () => {
  const whole = (need: Int32Array): number => need.reduce((sum, n) => sum + n, 0);
  const choicesFor = (c: ReturnType<typeof compile>, cost: number) => {
    const floor = new LowerBound(c, reachableNeed(c));
    for (let n = 0; n < 60; n++) floor.step(cost);
    const best = { ...new Search(c, seededRandom(1)).best, cost };
    return donorChoices(c, floor, best, reachableNeed(c));
  };

  it.each<[StructureName, number]>([
    ['many boxes', 2003],
    ['many boxes', 2005],
    ['many boxes', 2006],
    ['scarce', 2003],
    ['plain', 2004],
  ])('all have what can be had, %s, seed %i', (structure, seed) => {
    const c = compile(buyingProblem(structure, 'large', seed));
    const all = whole(reachableNeed(c));
    const choices = choicesFor(c, 30_000);
    expect(choices.length).toBeGreaterThan(0);
    for (const copies of choices) expect(whole(reachableNeed({ ...c, donorMax: copies }))).toBe(all);
  });

  it('take the cheaper of two boxes that have them, and as many as it takes', () => {
    const c = compile(
      market({
        lots: [
          ['common', 9],
          ['rare', 5],
        ],
        sellers: [{ id: 's', offers: [['common', 10]] }],
        boxes: [
          { id: 'dear', price: 4000, maxCopies: 5, yields: [['rare', 1]] },
          { id: 'cheap', price: 900, maxCopies: 5, yields: [['rare', 2]] },
        ],
      }),
    );
    expect(choicesFor(c, 3000).map((x) => [...x])).toContainEqual([0, 3]);
    for (const [dear, cheap] of choicesFor(c, 3000)) expect(dear! + 2 * cheap!).toBeGreaterThanOrEqual(5);
  });
});
