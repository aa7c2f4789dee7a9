import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeWorkbench } from '../testing/workbench';
import { baseCopies, boxLots } from './box-lots';
import { countProblem } from './check-off';
import { allThere } from './check-off';
import { printCount, readCount, thumbCounts } from './read-count';

const workbench = makeWorkbench({ zones: { Hull: ['12 brick 2x4 chalk'] } });
const lot = boxLots(workbench, baseCopies(workbench)[0]!.id)[0]!;

describe('a count is typed in one go', () => {
  it.each([
    ['', { there: 12, broken: 0, faded: 0, bare: 0 }],
    ['  ', { there: 12, broken: 0, faded: 0, bare: 0 }],
    ['10', { there: 10, broken: 0, faded: 0, bare: 0 }],
    ['0', { there: 0, broken: 0, faded: 0, bare: 0 }],
    ['b', { there: 11, broken: 1, faded: 0, bare: 0 }],
    ['3b', { there: 9, broken: 3, faded: 0, bare: 0 }],
    [' 11   10f ', { there: 11, broken: 0, faded: 10, bare: 0 }],
    ['f', { there: 12, broken: 0, faded: 12, bare: 0 }],
    ['10 1b 3f', { there: 10, broken: 1, faded: 3, bare: 0 }],
    ['10, 2S', { there: 10, broken: 0, faded: 0, bare: 2 }],
  ])('%j', (text, count) => expect(readCount(text, lot)).toEqual({ ok: true, value: count }));

  it.each([
    ['13', 'more than the box holds'],
    ['12 1b', 'more than the box holds'],
    ['5 6f', 'more worn than there'],
    ['ten', 'not understood'],
    ['5 6', 'not understood'],
    ['2x', 'not understood'],
    ['x2', 'not understood'],
    ['x2b', 'not understood'],
    ['2bx', 'not understood'],
    ['1234567', 'not understood'],
  ])('%j is %s', (text, problem) =>
    expect(readCount(text, lot)).toMatchObject({ ok: false, reason: { problem } }),
  );

  it('is printed with what is said and no more', () => {
    const all = { there: 12, broken: 0, faded: 0, bare: 0 };
    expect(printCount(all, 12)).toBe('');
    expect(printCount(all, 14)).toBe('12');
    expect(printCount({ there: 10, broken: 1, faded: 3, bare: 2 }, 12)).toBe('10 1b 3f 2s');
    expect(printCount({ ...all, bare: 4 }, 12)).toBe('4s');
  });

  it('what is printed is read back as the same count', () =>
    fc.assert(
      fc.property(fc.nat(12), fc.nat(12), fc.nat(12), fc.nat(12), (there, broken, faded, bare) => {
        const count = { there, broken, faded, bare };
        if (countProblem(lot, count)) return;
        expect(readCount(`${there} ${printCount(count, -1).replace(/^\d+ ?/, '')}`, lot)).toEqual({
          ok: true,
          value: count,
        });
        if (there === 12) expect(readCount(printCount(count, 12), lot)).toEqual({ ok: true, value: count });
      }),
    ));
});

describe('keys for a thumb', () => {
  it.each([1, 2, 12])('of %d, each says what its text is read as', (expected) => {
    const box = { ...lot, expected };
    const read = thumbCounts(box).map(({ says, text }) => {
      const count = readCount(text, box);
      return [says, count.ok ? count.value : count.reason] as const;
    });
    const all = allThere(box);
    const one = expected === 1;
    expect(new Map(read)).toEqual(
      new Map(
        one
          ? [
              ['it is there', all],
              ['missing', { ...all, there: 0 }],
              ['broken', { ...all, there: 0, broken: 1 }],
              ['faded', { ...all, faded: 1 }],
            ]
          : [
              [`all ${expected} there`, all],
              ['one missing', { ...all, there: expected - 1 }],
              ['one broken', { ...all, there: expected - 1, broken: 1 }],
              ['all faded', { ...all, faded: expected }],
              ['none there', { ...all, there: 0 }],
            ],
      ),
    );
  });
});
