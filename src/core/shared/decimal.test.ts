import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readTyped } from './decimal';
import { DEFAULT_FORMS, editNumber, formatFixed, type Forms } from './forms';

const comma: Forms = { ...DEFAULT_FORMS, decimal: 'comma' };

describe('a number that is typed into a field', () => {
  it.each([
    ['12', 12],
    ['0,5', 0.5],
    ['.5', 0.5],
    [' 3. ', 3],
    ['1.204', 1.204],
    ['-2', -2],
    ['−2,5', -2.5],
  ])('%s is %d', (text, n) => expect(readTyped(text)).toBe(n));

  it.each(['', ' ', '.', '-', '1,2,3', '1.204,5', '1 000', '1e3', '0x10', 'Infinity', '5 mm', '--1'])(
    'is none: “%s”',
    (text) => expect(readTyped(text)).toBeNaN(),
  );

  it('is what the field showed, with either mark, and what is shown elsewhere to be copied from', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -9_999_999, max: 9_999_999 }),
        fc.constantFrom(DEFAULT_FORMS, comma),
        (n, form) => {
          expect(readTyped(editNumber(n / 1000, form))).toBe(n / 1000);
          expect(readTyped(formatFixed((n % 9999) / 10, 1, form))).toBeCloseTo((n % 9999) / 10, 6);
        },
      ),
    ));
});
