import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared/random';
import { buyingProblem, type SizeName, type StructureName } from '../testing/buying-problems';
import { anneal } from './anneal';
import { Beginnings } from './beginnings';
import { compile } from './compile';
import { Search } from './search';
import { scoreOf, sellersOf } from './state';

const searchOf = (structure: StructureName, seed: number, size: SizeName = 'medium') =>
  new Search(compile(buyingProblem(structure, size, seed)), seededRandom(seed));

const sellersIn = ({ c, state }: Search): string =>
  sellersOf(c, state.save())
    .sort((a, b) => a - b)
    .join();

/** Cools down so often, and gives what that came to. */
function coolings(search: Search, times: number, steps: number, begin: () => void): number {
  for (let n = 0; n < times; n++) {
    begin();
    for (let i = 0; i < steps; i++) anneal(search, i / steps);
  }
  return scoreOf(search.best);
}

describe('other choices of sellers to begin from', () => {
  it('are looked at, each by one of the threads, fewer and longer from round to round, and begun from, the best first', () => {
    const looked = [0, 1].map((at) => {
      const search = searchOf('few parcels', 3010);
      const beginnings = new Beginnings(search, { of: 2, at });
      let n = 0;
      while (beginnings.look()) n++;
      const scores: number[] = [];
      const sellers = new Set<string>();
      for (let i = 0; i < 3; i++) {
        beginnings.begin();
        scores.push(search.state.score);
        sellers.add(sellersIn(search));
      }
      expect(scores).toEqual([...scores].sort((a, b) => a - b));
      expect(sellers.size).toBeGreaterThan(1);
      expect(scoreOf(search.best)).toBeLessThanOrEqual(scores[0]! + 1e-6);
      // When there is none left the search goes on from where it is.
      const last = search.state.score;
      beginnings.begin();
      expect(search.state.score).toBe(last);
      return n;
    });
    const { beginnings: all, best } = searchOf('few parcels', 3010);
    const equal = Math.min(64, all.filter((b) => b.unmet <= best.unmet).length);
    // Each of one thread's share once, half of those again, and so forth, until three are left.
    const rounds = (n: number): number => (n <= 3 ? n : n + rounds(Math.max(3, n >> 1)));
    expect(looked).toEqual([rounds(Math.ceil(equal / 2)), rounds(equal >> 1)]);
  });

  it('that were not looked at for want of time are begun from as they were found', () => {
    const search = searchOf('few parcels', 3005);
    const beginnings = new Beginnings(search, { of: 1, at: 0 });
    const best = Math.min(...search.beginnings.map(scoreOf));
    beginnings.begin();
    expect(search.state.score).toBeCloseTo(best, 6);
  });

  it('are looked for by what they are estimated to cost where there are too many to fill each', () => {
    const search = searchOf('few parcels', 23, 'large');
    const beginnings = new Beginnings(search, { of: 1, at: 0 });
    const filled = scoreOf(search.best);
    const before = beginnings.left;
    for (let n = 0; n < 3; n++) expect(beginnings.look()).toBe(true);
    expect(beginnings.left).toBe(3);
    expect(before).toBeLessThanOrEqual(3);
    // Not searched from yet, the best of them is cheaper than all that were filled.
    beginnings.begin();
    expect(search.state.score).toBeLessThan(0.97 * filled);
  });

  it('are none where there are parcels to spare', () => {
    for (const structure of ['plain', 'many sellers', 'cheap postage'] as const)
      expect(new Beginnings(searchOf(structure, 602), { of: 1, at: 0 }).look()).toBe(false);
  });

  it('lead to plans that a search from one beginning does not come to', () => {
    const seeds = [603, 604, 605, 606];
    const [one, several] = [0, 0].map((_, isSeveral) =>
      seeds.reduce((sum, seed) => {
        const search = searchOf('few parcels', seed);
        const beginnings = new Beginnings(search, { of: 1, at: 0 });
        if (isSeveral) while (beginnings.look());
        return sum + coolings(search, 3, 120, () => isSeveral && beginnings.begin());
      }, 0),
    );
    expect(several).toBeLessThan(one!);
  });
});
