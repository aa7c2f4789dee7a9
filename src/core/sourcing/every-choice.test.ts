import { describe, expect, it } from 'vitest';
import { between, seededRandom } from '../shared/random';
import { inStock, market } from '../testing/made-market';
import { randomProblem } from '../testing/sourcing';
import { compile, type Compiled } from './compile';
import { everyChoice } from './every-choice';
import { SellerCover } from './seller-cover';

const MANY = 1e9;

/** All sets of just as many sellers as are allowed, and none with fewer, that lack no more; by trying every set. */
function byTrying(c: Compiled, lacking: number): { whole: string[]; smaller: number } {
  const cover = new SellerCover(c);
  const whole: string[] = [];
  let smaller = 0;
  for (let set = 0; set < 1 << c.sellers; set++) {
    const chosen = Array.from({ length: c.sellers }, (_, s) => s).filter((s) => set & (1 << s));
    if (chosen.length > c.maxSellers) continue;
    cover.begin(chosen);
    if (cover.lacking > lacking) continue;
    if (chosen.length === c.maxSellers) whole.push(chosen.join());
    else smaller++;
  }
  return { whole, smaller };
}

describe('every choice that lacks no more', () => {
  it.each([...Array(60).keys()])('is found, once, and no other (%i)', (seed) => {
    const random = seededRandom(seed + 1);
    const c = compile({ ...randomProblem(seed, 8, 9), maxSellers: between(random, 1, 4) });
    const cover = new SellerCover(c);
    cover.addBest();
    const lacking = Math.max(0, cover.lacking + between(random, -3, 12));
    const { whole, smaller } = byTrying(c, lacking);
    const found = everyChoice(c, lacking, MANY);
    // Where fewer than are allowed would do, anybody may join them.
    if (smaller > 0) return expect(found).toBeNull();
    expect(found?.map((chosen) => chosen.join()).toSorted()).toEqual(whole.toSorted());
  });

  const two = (sellers: number) =>
    compile(
      market({
        lots: [
          ['a', 4],
          ['b', 4],
        ],
        sellers: Array.from({ length: sellers }, (_, i) =>
          inStock(`s${i}`, i % 2 === 0 ? { a: 4 } : { b: 4 }),
        ),
        maxSellers: 2,
      }),
    );

  it('is told while there are few', () => {
    expect(everyChoice(two(6), 0, MANY)).toHaveLength(9);
    expect(everyChoice(two(40), 0, MANY)).toBeNull();
  });

  it('lets a lot go on lacking where it may, with nobody who has it', () => {
    expect(everyChoice(two(4), 3, MANY)).toHaveLength(4);
    // All four pieces of one lot may be lacking: a single seller does, and anybody may join.
    expect(everyChoice(two(4), 4, MANY)).toBeNull();
  });

  it('is given up where it takes too long', () => {
    expect(everyChoice(two(6), 0, 1)).toBeNull();
  });

  it('is none where pieces must be lacking', () => {
    const c = compile({ ...randomProblem(3, 8, 9), maxSellers: 1 });
    const cover = new SellerCover(c);
    cover.addBest();
    expect(cover.lacking).toBeGreaterThan(5);
    expect(everyChoice(c, 0, MANY)).toEqual([]);
  });
});
