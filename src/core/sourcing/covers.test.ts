import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { market } from '../testing/made-market';
import { compile } from './compile';
import { CoverFinder, roundingAt } from './covers';

describe('a rounded need', () => {
  it('is met by every number of sellers and copies that meets the need itself', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.array(fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 3 })), {
          minLength: 1,
          maxLength: 8,
        }),
        fc.integer({ min: 0, max: 7 }),
        fc.constantFrom(1, 2, 3),
        (need, bought, which, part) => {
          const step = bought[which % bought.length]![0] / part;
          const { fraction, least, weightOf } = roundingAt(need, step);
          fc.pre(fraction >= 0.02);
          fc.pre(bought.reduce((sum, [size, times]) => sum + size * times, 0) >= need);
          const sum = bought.reduce((all, [size, times]) => all + weightOf(size) * times, 0);
          expect(sum).toBeGreaterThanOrEqual(least - 1e-6);
        },
      ),
      { numRuns: 2000 },
    ));

  it('of twenty in steps of eight is three steps', () => {
    const { least, fraction, weightOf } = roundingAt(20, 8);
    expect([least, fraction, weightOf(8), weightOf(4), weightOf(2)]).toEqual([3, 0.5, 1, 1, 0.5]);
  });
});

describe('covers', () => {
  const eights = compile(
    market({
      lots: [['a', 20]],
      sellers: ['A', 'B', 'C', 'D'].map((id) => ({ id, offers: [['a', 5, { stock: 8 }]] })),
    }),
  );
  const need = Int32Array.of(20);

  it('say that three must be open where two and a half would do by pieces', () => {
    const [cover] = new CoverFinder(eights, need).violatedBy(
      Float64Array.of(1, 1, 0.5, 0),
      new Float64Array(0),
    );
    expect(cover!.least).toBe(3);
    expect([...cover!.sellers.of]).toEqual([0, 1, 2, 3]);
    expect([...cover!.sellers.weight]).toEqual([1, 1, 1, 1]);
  });

  it('are none where enough are open, and each is found once', () => {
    expect(
      new CoverFinder(eights, need).violatedBy(Float64Array.of(1, 1, 1, 0), new Float64Array(0)),
    ).toEqual([]);
    const finder = new CoverFinder(eights, need);
    expect(finder.violatedBy(Float64Array.of(1, 1, 0.5, 0), new Float64Array(0))).toHaveLength(1);
    expect(finder.violatedBy(Float64Array.of(1, 1, 0.5, 0), new Float64Array(0))).toEqual([]);
  });

  it('count a box by what a copy gives', () => {
    const c = compile(
      market({
        lots: [['a', 20]],
        sellers: [{ id: 'A', offers: [['a', 5, { stock: 8 }]] }],
        boxes: [{ id: 'X', price: 300, yields: [['a', 8]], maxCopies: 3 }],
      }),
    );
    const [cover] = new CoverFinder(c, need).violatedBy(Float64Array.of(1), Float64Array.of(1.5));
    expect(cover!.least).toBe(3);
    expect([...cover!.boxes.weight]).toEqual([1]);
  });
});
