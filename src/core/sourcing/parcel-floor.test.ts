import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { market, type MadeMarket } from '../testing/made-market';
import { boughtFor, compile, postageOf, type Compiled } from './compile';
import { ParcelFloor } from './parcel-floor';
import { shapesOf } from './seller-shape';

const floorOf = (c: Compiled) => new ParcelFloor(c, c.need, shapesOf(c));

/** The least that one seller's parcel comes to, less what its pieces are worth: by trying every piece for every lot. */
function leastByTrying(c: Compiled, lambda: Float64Array): number {
  const pairs = [...c.offersOfSeller[0]!].flatMap((o) =>
    c.acceptedBy[c.offerElement[o]!]!.map((lot) => ({ o, lot })),
  );
  const used = new Map<number, number>();
  const served = new Float64Array(c.lots);
  const costNow = (): number => {
    let [value, grams, worth] = [0, 0, 0];
    for (const [o, n] of used) {
      const bought = boughtFor(n, c.offerMin[o]!, c.offerMultiple[o]!);
      value += bought * c.offerPrice[o]!;
      grams += bought * c.grams[c.offerElement[o]!]!;
    }
    served.forEach((n, l) => (worth += n * lambda[l]!));
    return Math.max(value, c.minOrder[0]!) + postageOf(c, 0, grams) - worth;
  };
  const tryFrom = (i: number): number => {
    if (i === pairs.length) return costNow();
    const { o, lot } = pairs[i]!;
    let least = Infinity;
    const before = used.get(o) ?? 0;
    const most = Math.min(c.need[lot]! - served[lot]!, c.offerCap[o]! - before);
    for (let n = 0; n <= most; n++) {
      if (before + n > 0) used.set(o, before + n);
      served[lot]! += n;
      least = Math.min(least, tryFrom(i + 1));
      served[lot]! -= n;
    }
    if (before > 0) used.set(o, before);
    else used.delete(o);
    return least;
  };
  return tryFrom(0);
}

const kinds = ['a', 'b', 'c'];
const small = (from: number, to: number) => fc.integer({ min: from, max: to });
const seller: fc.Arbitrary<MadeMarket> = fc.record({
  lots: fc
    .array(fc.tuple(small(1, 4), fc.subarray(kinds, { minLength: 1 })), { minLength: 1, maxLength: 3 })
    .map((lots) => lots.map(([qty, accept], i) => [`l${i}`, qty, accept] as const)),
  sellers: fc
    .record({
      offers: fc.array(fc.tuple(small(1, 9), small(1, 6), small(1, 3), small(1, 4)), {
        minLength: 3,
        maxLength: 3,
      }),
      minOrder: fc.constantFrom(0, 0, 15, 40),
      light: small(2, 9),
      pence: small(0, 12),
      more: small(1, 12),
    })
    .map(({ offers, minOrder, light, pence, more }) => [
      {
        id: 's',
        minOrder,
        postage: [[light, pence] as const, [1000, pence + more] as const],
        offers: offers.map(
          ([price, stock, multiple, minQty], i) => [kinds[i]!, price, { stock, multiple, minQty }] as const,
        ),
      },
    ]),
  elements: fc.constant(kinds),
});

describe('the least of a parcel', () => {
  it('is never above what any parcel comes to', () =>
    fc.assert(
      fc.property(seller, fc.array(small(0, 14), { minLength: 3, maxLength: 3 }), (made, prices) => {
        const c = compile(market(made));
        const lambda = Float64Array.from({ length: c.lots }, (_, l) => prices[l]!);
        const true_ = leastByTrying(c, lambda);
        const floor = floorOf(c);
        // The first look has no prices of shared lots yet; later ones have, and every one is a floor.
        for (let look = 0; look < 6; look++) {
          for (const upTo of [0, 12, Infinity])
            expect(floor.least(0, lambda, 0, upTo)).toBeLessThanOrEqual(true_ + 1e-6);
        }
      }),
      { numRuns: 400 },
    ));

  it('stays so as prices rise and fall, also where a seller is not looked at again', () =>
    fc.assert(
      fc.property(
        seller,
        fc.array(fc.array(small(0, 14), { minLength: 3, maxLength: 3 }), { minLength: 2, maxLength: 8 }),
        (made, walk) => {
          const c = compile(market(made));
          const floor = floorOf(c);
          for (const prices of walk) {
            const lambda = Float64Array.from({ length: c.lots }, (_, l) => prices[l]! / 2);
            const [least] = floor.leasts(lambda, new Float64Array(c.sellers), () => 0);
            expect(Math.min(0, least!)).toBeLessThanOrEqual(Math.min(0, leastByTrying(c, lambda)) + 1e-6);
          }
        },
      ),
      { numRuns: 200 },
    ));

  const leastOf = (made: MadeMarket, ...lambda: number[]): number => {
    const floor = floorOf(compile(market(made)));
    let least = NaN;
    for (let look = 0; look < 9; look++) least = floor.least(0, Float64Array.from(lambda), 0, 0);
    return least;
  };
  const one = (more: Partial<MadeMarket['sellers'][0]>): MadeMarket => ({
    lots: [['a', 10]],
    sellers: [{ id: 's', postage: 20, offers: [['a', 5]], ...more }],
  });

  it('is postage less what the pieces bring', () => {
    expect(leastOf(one({}), 8)).toBe(20 - 10 * 3);
  });

  it('pays the least order, in part by pieces', () => {
    // Ten pieces come to 50 p of the 70 p.
    expect(leastOf(one({ minOrder: 70 }), 10)).toBeCloseTo(70 + 20 - 100, 6);
  });

  it('pays what a pack leaves over', () => {
    expect(leastOf(one({ offers: [['a', 5, { multiple: 12, stock: 96 }]] }), 9)).toBe(20 + 60 - 90);
    // Two of the second pack's five would be worth less than it costs.
    expect(leastOf(one({ offers: [['a', 5, { multiple: 8, stock: 96 }]] }), 9)).toBe(20 + 40 - 72);
  });

  it('pays what a pack leaves over where another kind would do as well', () => {
    const made: MadeMarket = {
      lots: [['l', 3, ['a', 'b']]],
      sellers: [
        {
          id: 's',
          postage: 1,
          offers: [
            ['a', 5, { multiple: 10 }],
            ['b', 12],
          ],
        },
      ],
    };
    expect(leastOf(made, 15)).toBe(1 + 36 - 45);
  });

  it('gives out stock that two lots want once', () => {
    const made: MadeMarket = {
      lots: [
        ['x', 6, ['a']],
        ['y', 6, ['a']],
      ],
      sellers: [{ id: 's', postage: 10, offers: [['a', 5, { stock: 6 }]] }],
    };
    expect(leastOf(made, 9, 8)).toBe(10 - 6 * 4);
  });

  it('gives a lot that two kinds serve no more than it needs', () => {
    const made: MadeMarket = {
      lots: [['l', 6, ['a', 'b']]],
      sellers: [
        {
          id: 's',
          postage: 10,
          offers: [
            ['a', 5],
            ['b', 6],
          ],
        },
      ],
    };
    expect(leastOf(made, 9)).toBe(10 - 6 * 4);
  });

  it('pays for a heavier parcel, or leaves pieces out', () => {
    const bands = one({
      postage: [
        [6, 20],
        [100, 40],
      ],
    });
    expect(leastOf(bands, 15)).toBe(40 - 100);
    expect(leastOf(bands, 9)).toBe(20 - 24);
  });
});

it('what it notes is what the parcel takes', () => {
  const c = compile(
    market({
      lots: [
        ['a', 10],
        ['b', 4],
      ],
      sellers: [
        {
          id: 's',
          postage: 10,
          offers: [
            ['a', 5, { stock: 7 }],
            ['b', 9],
          ],
        },
      ],
    }),
  );
  const [floor, taken] = [floorOf(c), new Float64Array(2)];
  const lambda = Float64Array.of(8, 6);
  expect(floor.least(0, lambda, 0, 0)).toBe(10 - 21);
  floor.note(0, lambda, taken);
  expect([...taken]).toEqual([7, 0]);
});
