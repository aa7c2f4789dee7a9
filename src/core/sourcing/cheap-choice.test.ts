import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared/random';
import { buyingProblem } from '../testing/buying-problems';
import { inStock, market } from '../testing/made-market';
import { cheapChoice } from './cheap-choice';
import { ChoiceCost } from './choice-cost';
import { compile } from './compile';
import { filledForMost } from './first-plans';
import { sellersForMost } from './most-met';
import { SellerCover } from './seller-cover';
import { sellersOf } from './state';

const offer = (element: string, price: number, stock: number) => [element, price, { stock }] as const;

describe('about what it costs to buy from some sellers', () => {
  const c = compile(
    market({
      lots: [
        ['e0', 10],
        ['e1', 4],
      ],
      sellers: [
        { id: 'near', offers: [offer('e0', 5, 6), offer('e1', 5, 4)], postage: 100 },
        { id: 'cheap', offers: [offer('e0', 2, 6)], postage: 300 },
        { id: 'strict', offers: [offer('e0', 3, 20), offer('e1', 3, 20)], postage: 50, minOrder: 60 },
      ],
    }),
  );
  const cost = new ChoiceCost(c);

  it('is each lot from the cheapest of them, as far as he has it, and their postage', () => {
    // Six at 2, four at 5, four at 5, and both parcels.
    expect(cost.of([0, 1])).toBe(12 + 20 + 20 + 400);
    // What was asked before leaves nothing behind.
    expect(cost.of([1, 0])).toBe(cost.of([0, 1]));
  });

  it('has what a least order lacks in it', () => {
    expect(cost.of([2])).toBe(60 + 50);
    expect(cost.of([1, 2])).toBe(12 + 12 + 12 + (60 - 24) + 350);
  });

  it('has the boxes in it that what lacks comes from, less what they save', () => {
    const boxed = market({
      lots: [
        ['e0', 4],
        ['e1', 3],
      ],
      sellers: [{ id: 'one', offers: [offer('e1', 7, 9)], postage: 100 }],
      boxes: [
        {
          id: 'd',
          price: 500,
          maxCopies: 2,
          yields: [
            ['e0', 2],
            ['e1', 1],
          ],
        },
      ],
    });
    // Two boxes for the four of e0; of the three of e1, bought at 7, they bring two.
    expect(new ChoiceCost(compile(boxed)).of([0])).toBe(2 * 500 + 3 * 7 - 2 * 7 + 100);
  });

  it.each([3013, 3015, 3028])('tells which of many choices are worth a search, seed %i', (seed) => {
    const of = compile(buyingProblem('few parcels', 'medium', seed));
    const plans = filledForMost({ c: of, random: seededRandom(1), donors: null });
    const estimate = new ChoiceCost(of);
    const least = plans[0]!.unmet;
    const rows = plans
      .filter((p) => p.unmet === least)
      .map((p) => ({ told: estimate.of(sellersOf(of, p.save())), cost: p.cost }))
      .sort((x, y) => x.told - y.told);
    const mean = (part: typeof rows): number => part.reduce((sum, r) => sum + r.cost, 0) / part.length;
    const third = Math.floor(rows.length / 3);
    expect(rows.length).toBeGreaterThan(50);
    expect(mean(rows.slice(0, third))).toBeLessThan(0.95 * mean(rows.slice(-third)));
  });
});

describe('a cheap choice of sellers', () => {
  const c = compile(buyingProblem('few parcels', 'large', 3101));
  const [first] = sellersForMost(new SellerCover(c), seededRandom(1));
  const cost = new ChoiceCost(c);
  const chosen = (seed: number, looks: number): number[] => {
    const cover = new SellerCover(c);
    cover.begin(first!.chosen);
    return cheapChoice(cover, cost, seededRandom(seed), looks);
  };

  it('has as much as what it was begun with, from as many, and costs less', () => {
    const begun = cost.of(first!.chosen);
    for (const seed of [1, 2]) {
      const cheap = chosen(seed, 400);
      const cover = new SellerCover(c);
      cover.begin(cheap);
      expect(cover.lacking).toBeLessThanOrEqual(first!.lacking);
      expect(new Set(cheap).size).toBe(first!.chosen.length);
      expect(cost.of(cheap)).toBeLessThan(begun);
    }
  });

  it('is as cheap as any single exchange of it', () => {
    const cheap = chosen(1, 1500);
    const least = cost.of(cheap);
    const cover = new SellerCover(c);
    const better: number[] = [];
    cheap.forEach((_, at) => {
      const kept = cheap.filter((__, i) => i !== at);
      cover.begin(kept);
      for (let s = 0; s < c.sellers; s++)
        if (
          !cheap.includes(s) &&
          cover.lacking - cover.gainOf(s) <= first!.lacking &&
          cost.of([...kept, s]) < 0.99 * least
        )
          better.push(s);
    });
    expect(better).toEqual([]);
  });

  it('is what it was begun with where there is no other', () => {
    const cover = new SellerCover(
      compile(
        market({
          lots: [['e0', 5]],
          sellers: [inStock('only', { e0: 5 }), inStock('none', { e0: 1 })],
          maxSellers: 1,
        }),
      ),
    );
    cover.begin([0]);
    expect(cheapChoice(cover, new ChoiceCost(cover.c), seededRandom(1), 50)).toEqual([0]);
  });
});
