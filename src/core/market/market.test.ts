import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceWithin } from './market';

describe('when a parcel is there', () => {
  const punctual = { days: 5, spread: 2, late: 0 };

  it('is even odds on the usual day, and follows the normal distribution within a hundredth', () => {
    expect(chanceWithin(punctual, 5)).toBe(0.5);
    // Table of the normal distribution at -2, -1, 1 and 2 standard deviations.
    [0.0228, 0.1587, 0.8413, 0.9772].forEach((share, i) =>
      expect(Math.abs(chanceWithin(punctual, [1, 3, 7, 9][i]!) - share)).toBeLessThan(0.01),
    );
  });

  it('is likelier with every day, and never surer than the seller is punctual', () =>
    fc.assert(
      fc.property(
        fc.record({
          days: fc.integer({ min: 1, max: 40 }),
          spread: fc.double({ min: 0, max: 10, noNaN: true }),
          late: fc.double({ min: 0, max: 1, noNaN: true }),
        }),
        fc.integer({ min: 0, max: 90 }),
        (seller, days) => {
          const chance = chanceWithin(seller, days);
          expect(chance).toBeLessThanOrEqual(chanceWithin(seller, days + 1));
          expect(chance).toBeGreaterThanOrEqual(0);
          expect(chance).toBeLessThanOrEqual(1 - seller.late);
        },
      ),
    ));
});
