import { describe, expect, it } from 'vitest';
import { Coolings } from './coolings';

/** What a search of so many steps, evenly over its time, is told. */
const told = (most: number, steps: number): number[] => {
  const coolings = new Coolings(most);
  return Array.from({ length: steps }, (_, i) => coolings.fractionAt(i / steps));
};
/** How often it begins anew. */
const begunAnew = (fractions: readonly number[]): number =>
  fractions.filter((f, i) => i > 0 && f < fractions[i - 1]! - 0.3).length;

describe('coolings', () => {
  it.each([
    [1000, 400, 0],
    [1000, 1000, 0],
    [1000, 2000, 1],
    [1000, 5000, 4],
    [Infinity, 50_000, 0],
  ])('of %d steps each, where there are %d: begun anew %d times', (most, steps, times) =>
    expect(begunAnew(told(most, steps))).toBe(times),
  );

  it('stay between 0 and 1, rise within each, and the last comes to its end with the time', () => {
    const fractions = told(300, 1500);
    for (const f of fractions) {
      expect(f).toBeGreaterThanOrEqual(0);
      expect(f).toBeLessThanOrEqual(1);
    }
    expect(fractions.filter((f, i) => i > 0 && f < fractions[i - 1]!)).toHaveLength(begunAnew(fractions));
    expect(fractions.at(-1)).toBeGreaterThan(0.99);
    expect(new Coolings(300).fractionAt(1)).toBe(1);
  });
});
