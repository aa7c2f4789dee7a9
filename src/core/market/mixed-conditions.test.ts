import { describe, expect, it } from 'vitest';
import { conditionBeside, needOf, type NeedLot } from '../need';
import { grade } from '../places';
import { asId } from '../shared/ids';
import { makeWorkbench, planned, testSource } from '../testing/workbench';
import { el } from '../testing/world';
import { forbidMixed, mixedConditions, PREFERENCES } from './index';
import { lotId, offerId } from './problem-ids';

const tile = el('tile 2x2', 'chalk');
const lot = (qty: number, hidden = false): NeedLot => ({ element: tile, qty, hidden, sources: [] });
const buys = (...list: [condition: 'new' | 'used', qty: number][]) => ({
  buys: list.map(([c, qty], i) => ({
    seller: asId<never>(`s${i}`),
    element: asId<never>(offerId(tile, grade(c))),
    qty,
  })),
});

describe('new beside used', () => {
  it('is told of a lot that is seen and comes in both conditions', () =>
    expect(mixedConditions(buys(['new', 9], ['used', 3], ['used', 2]), [lot(14)])).toMatchObject([
      { fresh: 9, used: 5 },
    ]));

  it('is not told where all is alike, or nobody sees it', () => {
    expect(mixedConditions(buys(['used', 9], ['used', 5]), [lot(14)])).toEqual([]);
    expect(mixedConditions(buys(['new', 9], ['used', 5]), [lot(14, true)])).toEqual([]);
    // Five hidden ones may be the used ones.
    expect(mixedConditions(buys(['new', 9], ['used', 5]), [lot(9), lot(5, true)])).toEqual([]);
    expect(mixedConditions(buys(['new', 9], ['used', 6]), [lot(10), lot(5, true)])).toHaveLength(1);
  });
});

describe('mixing forbidden', () => {
  const other = { ...lot(4), element: el('brick 1x2', 'ash') };
  const mixed = [
    { lot: lot(14), fresh: 9, used: 5 },
    { lot: other, fresh: 1, used: 3 },
  ];
  it('puts each lot into the condition that fits, or that there is more of, and leaves the others', () => {
    const before = { ...PREFERENCES, condition: new Map([['plate 1x1|ash', 'used' as const]]) };
    const none = forbidMixed(before, mixed, () => null);
    expect([...none.condition]).toEqual([
      ['plate 1x1|ash', 'used'],
      [lotId(mixed[0]!.lot), 'new'],
      [lotId(other), 'used'],
    ]);
    expect(forbidMixed(PREFERENCES, mixed, () => 'used').condition.get(lotId(lot(14)))).toBe('used');
    expect(
      forbidMixed(PREFERENCES, [{ ...mixed[0]!, used: 9 }], () => null).condition.get(lotId(lot(14))),
    ).toBe('new');
    expect(before.condition.size).toBe(1);
  });
});

describe('the condition that fits', () => {
  const wall = (...lots: string[]) => {
    const bench = planned(
      makeWorkbench({ zones: { Wall: lots, Roof: ['90 tile 2x2 chalk new'] } }),
      testSource('p'),
      {
        on: [{ element: tile, qty: 14 }],
      },
    );
    return conditionBeside(bench, needOf(bench).lots[0]!);
  };

  it('is that of most pieces of the colour where it goes, and not of others or elsewhere', () => {
    expect(wall('40 brick 1x2 chalk', '3 brick 1x4 chalk new')).toBe('used');
    expect(wall('4 brick 1x2 chalk', '30 brick 1x4 chalk new', '90 brick 1x2 ash')).toBe('new');
    expect(wall('4 brick 1x2 chalk yellowed', '3 brick 1x2 chalk new')).toBe('used');
  });

  it('is any where nothing of its colour is there, or nobody sees it', () => {
    expect(wall('90 brick 1x2 ash')).toBeNull();
    expect(conditionBeside(makeWorkbench({ zones: { Wall: [] } }), lot(3, true))).toBeNull();
  });
});
