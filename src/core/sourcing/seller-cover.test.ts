import { describe, expect, it } from 'vitest';
import { between, seededRandom } from '../shared/random';
import { buyingProblem } from '../testing/buying-problems';
import { inStock, market } from '../testing/made-market';
import { compile } from './compile';
import { SellerCover } from './seller-cover';

const made = (
  needs: readonly number[],
  sellers: Parameters<typeof market>[0]['sellers'],
  maxSellers: number,
) => compile(market({ lots: needs.map((qty, i) => [`e${i}`, qty] as const), sellers, maxSellers }));

describe('what sellers have together', () => {
  it('is told by what lacks, whatever was chosen before', () => {
    const cover = new SellerCover(
      made([5, 8], [inStock('a', { e0: 5 }), inStock('b', { e1: 3 }), inStock('c', { e1: 9 })], 2),
    );
    expect(cover.lacking).toBe(13);
    cover.begin([0, 1]);
    expect(cover.lacking).toBe(5);
    expect(cover.gainOf(2)).toBe(5);
    cover.begin([2]);
    expect(cover.lacking).toBe(5);
    expect(cover.gainOf(1)).toBe(0);
  });

  it('is as much as boxes can give where nobody is chosen', () => {
    const problem = buyingProblem('many boxes', 'small', 3);
    const [bare, boxes] = [{ ...problem, donors: [] }, problem].map(
      (p) => new SellerCover(compile(p)).lacking,
    );
    expect(boxes).toBeLessThan(bare!);
  });

  it.each([1, 2, 3, 4, 5])(
    'changes by exchanges of two as it would by trying all of them, seed %i',
    (seed) => {
      const random = seededRandom(seed);
      const c = { ...compile(buyingProblem('few parcels', 'small', seed)), maxSellers: 3 };
      const cover = new SellerCover(c);
      const begin = Array.from({ length: 3 }, () => between(random, 0, c.sellers - 1));
      cover.begin([...new Set(begin)]);
      cover.addBest();
      cover.exchange(0);
      cover.exchangePairs();
      const { lacking } = cover;
      const chosen = [...cover.chosen];
      // No two of the others in the place of any two have more.
      for (const kept of chosen)
        for (let a = 0; a < c.sellers; a++)
          for (let b = 0; b < a; b++) {
            if (chosen.includes(a) || chosen.includes(b)) continue;
            cover.begin([kept, a, b]);
            expect(cover.lacking).toBeGreaterThanOrEqual(lacking);
          }
    },
  );
});
