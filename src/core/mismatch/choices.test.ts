import { describe, expect, it } from 'vitest';
import { averageReadings, type LabD65 } from '../colour';
import { asId, type ColourId } from '../shared/ids';
import { makeWorkbench, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { auditColours } from './audit';
import { planRecolour } from '../recolouring';
import type { Register } from './register';
import { isOpen, Prices } from './fixes';

const everything: Register = { look: () => ({ made: true, from: 1990, to: null }) };
const nothing: Register = { look: () => ({ made: false }) };
const YEAR = 2026;

describe('a price that is not known is told from shapes alike', () => {
  const workbench = makeWorkbench({
    zones: { Wall: ['1 brick 1x2 ash'] },
    prices: [
      'brick 1x2 slate 40',
      'brick 1x2 bark 7',
      'brick 1x2 chalk 9',
      'brick 1x2 kelp 11',
      'brick 1x2 dune 8',
    ],
  });
  it('by the median of its other colours, whatever order they stand in', () =>
    expect(new Prices(workbench).of(el('brick 1x2', 'ash'))).toEqual({ each: 9, estimated: true }));
  it('and is not told where nobody knows the shape', () =>
    expect(new Prices(workbench).of(el('arch 1x4', 'ash'))).toBeNull());
});

describe('a fix that costs nothing', () => {
  const zones = { Wall: ['40 brick 1x2 ash', '4 brick 1x2 slate'] };
  const fixOf = (stock: string[], register: Register) => {
    const workbench = makeWorkbench({ zones, stock });
    return auditColours(workbench, register, YEAR).fixes.find(
      (f) => f.mismatch.element === el('brick 1x2', 'slate'),
    )!;
  };
  it('is open though nobody knows a price, and though it was never made: it is at hand', () => {
    const free = fixOf(['4 brick 1x2 ash'], nothing);
    expect([free.cost, free.canBeHad, isOpen(free)]).toEqual([0, true, true]);
  });
  it('needs a price as soon as one piece has to be bought', () => {
    const short = fixOf(['3 brick 1x2 ash'], everything);
    expect([short.toBuy, short.cost, isOpen(short)]).toEqual([1, null, false]);
  });
  it('and is not open where that piece was never made', () =>
    expect(isOpen(fixOf(['3 brick 1x2 ash'], nothing))).toBe(false));
});

describe('the curve of what money buys', () => {
  it('counts all that was bought by then: it never falls, and ends at everything', () => {
    const workbench = makeWorkbench({
      zones: {
        Tower: [
          '60 brick 1x4 chalk',
          '40 brick 2x4 brick-red',
          '6 slope 45 1x2 coral',
          '5 brick 1x2 brick-red',
        ],
        Foot: ['40 brick 1x2 ash', '4 brick 1x2 slate', '20 brick 1x4 ash', '6 brick 1x4 dove'],
      },
      prices: ['brick 1x2 ash 9', 'slope 45 1x2 brick-red 16', 'brick 1x4 ash 14'],
    });
    const { fixes, curve } = auditColours(workbench, everything, YEAR);
    const open = fixes.filter(isOpen);
    expect(open.length).toBeGreaterThan(1);
    const steps = curve.steps;
    for (let i = 1; i < steps.length; i++) {
      expect(steps[i]!.cost).toBeGreaterThan(steps[i - 1]!.cost);
      expect(steps[i]!.value).toBeGreaterThan(steps[i - 1]!.value);
    }
    expect(steps.at(-1)!.cost).toBe(open.reduce((s, f) => s + f.cost!, 0));
    expect(steps.at(-1)!.value).toBeCloseTo(
      open.reduce((s, f) => s + f.mismatch.shows, 0),
      6,
    );
  });
});

describe('the steps of a recolouring', () => {
  const workbench = makeWorkbench({
    zones: {
      Foot: ['4 brick 1x2 slate', '40 brick 1x2 ash'],
      Hull: ['60 brick 2x4 slate', '10 brick 1x2 ash'],
    },
    prices: ['brick 1x2 kelp 5', 'brick 2x4 kelp 5'],
  });
  const ids = (a: string, b: string) => [asId<ColourId>(a), asId<ColourId>(b)] as const;
  const plan = planRecolour(
    workbench,
    {
      pairs: new Map([ids('slate', 'kelp')]),
      zones: null,
      leavePrints: false,
      leaveHidden: false,
      leaveRetired: false,
    },
    everything,
    YEAR,
  );
  it('begin where most of the old colour goes for its money, and each tells how the whole stands by then', () => {
    expect(plan.steps.map((s) => s.zone)).toEqual([zoneId('Hull'), zoneId('Foot')]);
    const [first, last] = plan.steps;
    expect(first!.spent).toBe(first!.cost);
    expect(last!.spent).toBe(first!.cost + last!.cost);
    expect(last!.spent).toBe(plan.cost);
    expect(last!.newShare).toBeGreaterThan(first!.newShare);
    expect(last!.newShare).toBeCloseTo(1, 6);
  });
});

describe('an outlier among readings', () => {
  const at = (l: number): LabD65 => ({ l, a: 0, b: 0, white: 'D65' });
  const steady = [50, 50.2, 49.8, 50.1, 49.9].map(at);
  it.each([
    [52, 1],
    [60, 1],
    [50.6, 0],
  ])('a reading at %f among steady ones at 50: %i left out', (l, leftOut) =>
    expect(averageReadings([...steady, at(l)])).toMatchObject({ leftOut, used: 6 - leftOut }),
  );
  it('is not told among four: there are too few to say which one slipped', () =>
    expect(averageReadings([...steady.slice(0, 3), at(60)]).leftOut).toBe(0));
});
