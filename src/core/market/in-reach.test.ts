import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ElementKey } from '../parts';
import { makeWorkbench } from '../testing/workbench';
import { el } from '../testing/world';
import { chanceWithin, type MarketAnswer, type MarketSeller } from './market';
import { daysFor, inReach, othersToAsk } from './in-reach';
import { PREFERENCES } from './preferences';

const palette = makeWorkbench({ zones: {} }).palette;
const ash = el('plate 2x4', 'ash');
const offer = (element: ElementKey, price: number, stock: number, grade = 'new') => ({
  element,
  grade: grade as never,
  price,
  stock,
  minQty: 1,
  multiple: 1,
});
const seller = (
  name: string,
  offers: MarketSeller['offers'],
  more: Partial<MarketSeller> = {},
): MarketSeller => ({
  id: name,
  name,
  place: 'Hollin',
  genuine: true,
  minOrder: 0,
  postage: [{ maxGrams: 5000, pence: 150 }],
  days: 4,
  spread: 1,
  late: 0.05,
  short: 0,
  wrong: 0,
  offers,
  ...more,
});
const market = (...sellers: MarketSeller[]): MarketAnswer => ({ sellers, boxes: [] });
const reach = (
  m: MarketAnswer,
  preferences: Partial<typeof PREFERENCES> = {},
  buys: never[] | object[] = [],
) => inReach(ash, { buys: buys as never }, m, { ...PREFERENCES, ...preferences }, palette);

describe('what is in reach of a lot that is not available', () => {
  it('nothing, where nobody has anything like it', () =>
    expect(reach(market(seller('Near', [])))).toEqual([]));

  it('the element used, where only new is allowed', () => {
    const m = market(seller('Near', [offer(ash, 9, 4, 'used')]), seller('Far', [offer(ash, 7, 2, 'worn')]));
    expect(reach(m, { used: false })).toEqual([{ kind: 'used', pieces: 6, price: 7, seller: 'Near' }]);
  });

  it('a later day, the soonest that is sure enough, and not from one who is late too often', () => {
    const m = market(
      seller('Slow', [offer(ash, 9, 4)], { days: 20 }),
      seller('Slower', [offer(ash, 1, 90)], { days: 30 }),
      seller('Never sure', [offer(ash, 1, 90)], { days: 9, late: 0.5 }),
    );
    expect(reach(m, { within: 7 })).toEqual([
      {
        kind: 'later',
        days: daysFor(m.sellers[0]!, PREFERENCES.chance),
        pieces: 4,
        price: 9,
        seller: 'Slow',
      },
    ]);
  });

  it('a seller who was shut out, and a parcel more', () => {
    const m = market(seller('Near', [offer(ash, 9, 4)]));
    expect(reach(m, { never: new Set(['Near']) })).toMatchObject([{ kind: 'shut out', pieces: 4 }]);
    expect(reach(m, { maxParcels: 1 })).toMatchObject([{ kind: 'another parcel', pieces: 4 }]);
  });

  it('says so when one preference given up would not bring it', () => {
    const m = market(seller('Near', [offer(ash, 9, 4, 'used')], { days: 20 }));
    expect(reach(m, { used: false, within: 3 })).toEqual([
      { kind: 'several limits', pieces: 4, price: 9, seller: 'Near' },
    ]);
    expect(reach(m, { within: 3 })).toMatchObject([{ kind: 'later' }]);
  });

  it('less what the plan buys already', () => {
    const m = market(seller('Near', [offer(ash, 9, 4, 'used')]));
    const buys = [{ seller: 'Near', element: `${ash}#used`, qty: 4 }];
    expect(reach(m, { maxParcels: 1 }, buys)).toEqual([]);
  });

  it('the nearest colours, nearest first, and parts that make up its shape', () => {
    const in_ = (part: string, colour: string, stock: number) => offer(el(part, colour), 5, stock);
    const m = market(
      seller('Near', [
        in_('plate 2x4', 'soot', 9),
        in_('plate 2x4', 'slate', 3),
        in_('plate 1x4', 'ash', 5),
        in_('plate 2x2', 'slate', 50),
      ]),
    );
    const found = reach(m);
    expect(found.map((f) => [f.kind, f.pieces])).toEqual([
      ['colour', 3],
      ['colour', 9],
      // Five of half the width make two, and the fifth none.
      ['shape', 2],
    ]);
    expect(found[2]).toMatchObject({ price: 10, parts: [{ element: el('plate 1x4', 'ash'), qty: 2 }] });
    // Out of reach by the same limit: none of it is told.
    expect(reach(m, { never: new Set(['Near']) })).toEqual([]);
  });

  it('no clear colour for an opaque one, and no shape twice', () => {
    const square = el('brick 2x2', 'ash');
    const clear = palette.find((c) => c.finish !== palette.find((p) => p.name === 'ash')?.finish);
    expect(clear).toBeDefined();
    const m = market(
      seller('Near', [offer(el('brick 2x2', clear?.id ?? ''), 5, 9), offer(el('brick 1x2', 'ash'), 5, 9)]),
    );
    const found = inReach(square, { buys: [] }, m, PREFERENCES, palette);
    expect(found.map((f) => [f.kind, f.pieces])).toEqual([['shape', 4]]);
  });

  it('is all asked for', () => {
    const asked = othersToAsk([ash], palette);
    expect(asked).toEqual(expect.arrayContaining([ash, el('plate 2x4', 'slate'), el('plate 1x4', 'ash')]));
    expect(new Set(asked).size).toBe(asked.length);
  });
});

it('the days for a chance are the first on which it is reached', () =>
  fc.assert(
    fc.property(
      fc.record({
        days: fc.integer({ min: 1, max: 40 }),
        spread: fc.integer({ min: 1, max: 8 }),
        late: fc.double({ min: 0, max: 0.4, noNaN: true }),
      }),
      fc.constantFrom(0.5, 0.8, 0.95),
      (s, chance) => {
        const days = daysFor(s, chance);
        if (days === null) expect(1 - s.late).toBeLessThan(chance + 0.01);
        else {
          expect(chanceWithin(s, days)).toBeGreaterThanOrEqual(chance);
          if (days > 0) expect(chanceWithin(s, days - 1)).toBeLessThan(chance);
        }
      },
    ),
  ));
