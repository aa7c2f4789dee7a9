import { describe, expect, it } from 'vitest';
import { market, type MadeMarket } from '../testing/made-market';
import { compile } from './compile';
import { LotPrices } from './lot-prices';
import { shapesOf } from './seller-shape';

/** What a piece is worth to each lot of one seller, after some rounds, and what lots are worth beyond it. */
function worthOf(lots: MadeMarket['lots'], offers: MadeMarket['sellers'][0]['offers'], ...lambda: number[]) {
  const c = compile(market({ lots, sellers: [{ id: 's', offers }] }));
  const prices = new LotPrices(c, c.need, shapesOf(c));
  const at = Float64Array.from(lambda);
  for (let round = 0; round < 5; round++) prices.settle(0, at);
  const worth = Float64Array.from(lambda);
  const beyond = prices.write(0, at, worth);
  return { worth: [...worth], beyond, isFull: lots.map((_, i) => prices.isFull(0, i, at)) };
}

describe('what a piece is worth to a lot that several offers serve', () => {
  it('is what the first offer asks that need not be bought', () =>
    expect(
      worthOf(
        [['l', 6, ['a', 'b', 'c']]],
        [
          ['a', 4, { stock: 3 }],
          ['b', 5, { stock: 3 }],
          ['c', 8],
        ],
        9,
      ),
    ).toEqual({ worth: [8], beyond: 6, isFull: [true] }));

  it('is all that it is priced at where both are needed and do not suffice', () =>
    expect(
      worthOf(
        [['l', 6, ['a', 'b']]],
        [
          ['a', 5, { stock: 2 }],
          ['b', 7, { stock: 3 }],
        ],
        9,
      ),
    ).toEqual({ worth: [9], beyond: 0, isFull: [false] }));

  it('is what the last one asks that is bought in part', () =>
    expect(
      worthOf(
        [['l', 6, ['a', 'b']]],
        [
          ['a', 5, { stock: 4 }],
          ['b', 7, { stock: 4 }],
        ],
        9,
      ),
    ).toMatchObject({ worth: [7], beyond: 12 }));

  it('counts what other lots pay for the same stock', () => {
    // Of five cheap pieces y would pay 8 for four: x has one of them, and pays what b asks for the others.
    const told = worthOf(
      [
        ['x', 4, ['a', 'b']],
        ['y', 4, ['a', 'c']],
      ],
      [
        ['a', 2, { stock: 5 }],
        ['b', 6, { stock: 9 }],
        ['c', 8, { stock: 9 }],
      ],
      10,
      10,
    );
    expect(told).toEqual({ worth: [6, 8], beyond: 4 * 4 + 4 * 2, isFull: [true, true] });
  });
});

it('a market where everything serves everything has no shared lots, so that looking at one comes in time', () => {
  const kinds = Array.from({ length: 60 }, (_, i) => `k${i}`);
  const shapes = (n: number) =>
    shapesOf(
      compile(
        market({
          lots: kinds.slice(0, n).map((_, i) => [`l${i}`, 2, kinds.slice(0, n)]),
          sellers: [{ id: 's', offers: kinds.slice(0, n).map((k) => [k, 3, { stock: 1 }]) }],
        }),
      ),
    );
  expect(shapes(10)[0]!.shared).toHaveLength(10);
  expect(shapes(60)[0]!.shared).toHaveLength(0);
  expect(shapes(60)[0]!.offers).toHaveLength(60);
});
