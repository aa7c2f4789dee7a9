import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readDecimal } from './decimal';
import { formatMoney, moneyAsDecimal, readMoney, splitByLargestRemainder } from './money';

describe('money', () => {
  it('is shared out to the last unit, each share within one of its exact quota', () => {
    fc.assert(
      fc.property(fc.nat(1e7), fc.array(fc.nat(1e5), { minLength: 1, maxLength: 40 }), (total, weights) => {
        const shares = splitByLargestRemainder(total, weights);
        const sum = weights.reduce((a, b) => a + b, 0);
        expect(shares.reduce((a, b) => a + b, 0)).toBe(total);
        shares.forEach((s, i) => {
          const quota = sum ? (total * weights[i]!) / sum : total / weights.length;
          expect(Math.abs(s - quota)).toBeLessThan(1 + 1e-6);
        });
      }),
    );
  });

  it('refuses to share what cannot be shared', () => {
    expect(() => splitByLargestRemainder(1.5, [1])).toThrow(/1.5/);
    expect(() => splitByLargestRemainder(1, [])).toThrow();
    expect(() => splitByLargestRemainder(1, [-1])).toThrow();
  });

  it.each([
    ['0.12', 12],
    ['£1,204.50', 120450],
    ['1.204,50 €', 120450],
    [',07', 7],
    ['12p', 12],
    ['3', 300],
    ['1,204', 120400],
    ['0,125', 13],
    ['', undefined],
    ['-3', undefined],
    ['abc', undefined],
    ['1..2', undefined],
    ['100000000', 10_000_000_000],
    ['100000000.01', undefined],
    ['10000000001p', undefined],
  ])('reads %j as %s', (text, amount) => expect(readMoney(text)).toBe(amount));

  it.each([
    ['1,204.50', 1204.5],
    ['1 204', 1204],
    ["1'204,5", 1204.5],
    ['1.204.000', 1204000],
    ['0.125', 0.125],
    ['12,5', 12.5],
    ['1,2,3', undefined],
    ['1e5', undefined],
    ['.', undefined],
  ])('reads the number %j as %s', (text, n) => expect(readDecimal(text)).toBe(n));

  it('is written for people and for files', () => {
    expect(formatMoney(3140)).toBe('£31.40');
    expect(formatMoney(-95)).toBe('−£0.95');
    expect(formatMoney(1234567)).toBe('£12,345.67');
    expect(moneyAsDecimal(7)).toBe('0.07');
    fc.assert(
      fc.property(fc.nat(1e9), (n) => readMoney(moneyAsDecimal(n)) === n && readMoney(formatMoney(n)) === n),
    );
  });
});
