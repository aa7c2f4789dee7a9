import fc from 'fast-check';
import { expect, it } from 'vitest';
import { market } from '../testing/made-market';
import { BoxWorth } from './box-worth';
import { compile, type Compiled } from './compile';

/** The most that pieces can be worth, by trying every lot for each of them. */
function mostWorth(c: Compiled, need: number[], pieces: number[], lambda: Float64Array): number {
  const [piece, ...others] = pieces;
  if (piece === undefined) return 0;
  let most = mostWorth(c, need, others, lambda);
  for (const lot of c.acceptedBy[piece]!)
    if (need[lot]! > 0)
      most = Math.max(
        most,
        lambda[lot]! +
          mostWorth(
            c,
            need.map((n, l) => n - Number(l === lot)),
            others,
            lambda,
          ),
      );
  return most;
}

const kinds = ['a', 'b', 'c', 'd'];
const count = fc.integer({ min: 0, max: 3 });

it('is what the pieces bring when each goes where it is worth most, told by trying every way', () =>
  fc.assert(
    fc.property(
      fc.array(fc.tuple(count, fc.subarray(kinds, { minLength: 1 })), { minLength: 1, maxLength: 4 }),
      fc.array(fc.integer({ min: 1, max: 2 }), { minLength: 4, maxLength: 4 }),
      fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 4, maxLength: 4 }),
      (lots, quantities, prices) => {
        const c = compile(
          market({
            lots: lots.map(([qty, accept], i) => [`l${i}`, qty, accept]),
            sellers: [],
            boxes: [{ id: 'X', price: 100, yields: kinds.map((k, i) => [k, quantities[i]!]), maxCopies: 1 }],
            elements: kinds,
          }),
        );
        const lambda = Float64Array.from(lots, (_, l) => prices[l % 4]!);
        const pieces = c.donorYields[0]!.flatMap(([e, qty]) => Array.from({ length: qty }, () => e));
        const taken = new Float64Array(c.lots);
        const worth = new BoxWorth(c, c.need).of(0, 1, lambda, taken);
        expect(worth).toBe(mostWorth(c, [...c.need], pieces, lambda));
        expect(taken.reduce((sum, n, l) => sum + n * lambda[l]!, 0)).toBe(worth);
        taken.forEach((n, l) => expect(n).toBeLessThanOrEqual(c.need[l]!));
      },
    ),
    { numRuns: 300 },
  ));

it('counts a lot that two kinds serve once, and twice the pieces for two copies', () => {
  const c = compile(
    market({
      lots: [['l', 5, ['a', 'b']]],
      sellers: [],
      boxes: [
        {
          id: 'X',
          price: 100,
          yields: [
            ['a', 2],
            ['b', 2],
          ],
          maxCopies: 2,
        },
      ],
      elements: ['a', 'b'],
    }),
  );
  const worth = new BoxWorth(c, c.need);
  expect([0, 1, 2].map((n) => worth.of(0, n, Float64Array.of(10), null))).toEqual([0, 40, 50]);
});
