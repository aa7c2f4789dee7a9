import { describe, expect, it } from 'vitest';
import { bindToBoxes } from '../pool';
import { added } from '../ledger';
import { asId, type ColourId, type EntryId, type WhatIfId } from '../shared/ids';
import { did, makeWorkbench, planned, TEST_BUILD, testSource, withBox, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import type { Workbench } from '../workbench';
import { restsOnRough, roughlySaid, ROUGH_PIECES, sayRoughly, withAtHand, type AtHand } from './index';

const ash = el('brick 1x2', 'ash');
const ASH = 'ash' as ColourId;

const yard = (): Workbench =>
  withBox(
    makeWorkbench({
      zones: { Wall: ['6 brick 1x2 slate'], Roof: ['20 brick 1x2 ash yellowed', '1 brick 1x2 ash'] },
      stock: ['5 brick 1x2 ash used', '4 brick 1x2 ash yellowed'],
    }),
    'Night tram',
    { [ash]: 3 },
  );

const withHand = (bench: Workbench, look: (at: AtHand) => void): void => withAtHand(bench, look);

const none = { fromSpares: 0, fromBoxes: 0, fromStock: 0, roughly: 0, short: 0 };

describe('what is at hand', () => {
  it('is taken in the order in which the build takes its parts, and once', () =>
    withHand(yard(), (at) => {
      expect(at.count(ash)).toBe(8);
      expect(at.take(ash, 2)).toEqual({ ...none, fromBoxes: 2 });
      expect(at.count(ash)).toBe(6);
      expect(at.take(ash, 9)).toEqual({ ...none, fromBoxes: 1, fromStock: 5, short: 3 });
      expect(at.take(ash, 1)).toEqual({ ...none, short: 1 });
      expect(at.take(ash, 0)).toEqual(none);
    }));

  it('leaves the books as they were, also when the work fails', () => {
    const bench = yard();
    const before = JSON.stringify(bench.planned.balances.rows());
    withAtHand(bench, (at) => at.take(ash, 6, zoneId('Wall')));
    expect(() =>
      withAtHand(bench, (at) => {
        at.buy(ash, 6, zoneId('Wall'));
        throw new Error('failed');
      }),
    ).toThrow('failed');
    expect(JSON.stringify(bench.planned.balances.rows())).toBe(before);
  });

  it('no longer takes pieces that have aged once most around are new', () =>
    withHand(yard(), (at) => {
      at.buy(ash, 30, zoneId('Roof'));
      expect(at.take(ash, 12, zoneId('Roof'))).toEqual({ ...none, fromBoxes: 3, fromStock: 5, short: 4 });
    }));

  it('is of pieces that have aged where those around have aged too', () => {
    const taken = (qty: number, zone: string) => withAtHand(yard(), (at) => at.take(ash, qty, zoneId(zone)));
    expect(taken(8, 'Roof')).toEqual({ ...none, fromBoxes: 3, fromStock: 5 });
    expect(taken(12, 'Roof')).toEqual({ ...none, fromBoxes: 3, fromStock: 9 });
    expect(taken(12, 'Wall')).toEqual({
      ...none,
      fromBoxes: 3,
      fromStock: 5,
      short: 4,
    });
  });

  it('is what is in the boxes for a build that is bound to them', () => {
    const bench = did(yard(), bindToBoxes(yard().records, TEST_BUILD, true));
    did(bench, sayRoughly(bench.records, 'Bricks', ASH, 'plenty'));
    withHand(bench, (at) => {
      expect(at.count(ash)).toBe(3);
      expect(at.take(ash, 5)).toEqual({ ...none, fromBoxes: 3, short: 2 });
    });
  });
});

describe('what is roughly known', () => {
  it('counts as none at hand until something is said', () => {
    const bench = yard();
    expect(roughlySaid(bench.records, ash)).toBeNull();
    expect(withAtHand(bench, (at) => at.countRoughly(ash))).toBe(0);
  });

  it('stands for so many pieces of each kind of the family in the colour, after all that is counted', () => {
    const bench = yard();
    did(bench, sayRoughly(bench.records, 'Bricks', ASH, 'few'));
    withHand(bench, (at) => {
      expect(at.count(ash)).toBe(8 + ROUGH_PIECES.few);
      expect(at.take(ash, 10)).toEqual({ ...none, fromBoxes: 3, fromStock: 5, roughly: 2 });
      expect(at.countRoughly(ash)).toBe(ROUGH_PIECES.few - 2);
      expect(at.take(ash, 4)).toEqual({ ...none, roughly: 1, short: 3 });
      expect(at.count(el('brick 2x4', 'ash'))).toBe(ROUGH_PIECES.few);
      for (const other of [el('brick 2x4', 'slate'), el('plate 2x4', 'ash'), el('brick 1x2', 'ash', 'dial')])
        expect([other, at.count(other)]).toEqual([other, 0]);
    });
  });

  it('is said, said otherwise, and taken back', () => {
    const bench = yard();
    did(bench, sayRoughly(bench.records, 'Bricks', ASH, 'plenty'));
    did(bench, sayRoughly(bench.records, 'Bricks', ASH, 'none'));
    expect(roughlySaid(bench.records, ash)?.amount).toBe('none');
    did(bench, sayRoughly(bench.records, 'Bricks', ASH, null));
    did(bench, sayRoughly(bench.records, 'Bricks', ASH, null));
    expect(bench.records.roughlyKnown.size).toBe(0);
  });

  it('is counted first where plans ask more of it than it stands for', () => {
    const bench = yard();
    did(bench, sayRoughly(bench.records, 'Bricks', ASH, 'plenty'));
    const own = (part: string, qty: number) => ({
      on: [{ element: el(part, 'ash'), qty }],
      source: 'own' as const,
      planned: true,
    });
    planned(bench, testSource('p'), own('brick 1x2', 30), own('tile 1x2', 2), own('brick 2x4', 50), {
      on: [{ element: el('plate 1x2', 'ash'), qty: 4 }],
      source: 'own',
      ownFrom: 'my old tram',
      planned: true,
    });
    expect(restsOnRough(bench)).toEqual([
      { element: el('tile 1x2', 'ash'), planned: 2, said: null, pieces: 0 },
      { element: el('brick 2x4', 'ash'), planned: 50, said: 'plenty', pieces: 40 },
      { element: ash, planned: 30, said: 'plenty', pieces: 40 },
    ]);
  });

  it('counts no what-if, nothing done and nothing that goes off the model; equals by how much is planned, then by name', () => {
    const bench = yard();
    const own = (part: string, qty: number, more: object = {}) => ({
      on: [{ element: el(part, 'ash'), qty }],
      source: 'own' as const,
      ...more,
    });
    planned(bench, testSource('p'), own('tile 1x4', 2), own('tile 1x3', 2), own('tile 1x2', 5));
    const list = restsOnRough(bench).map((r) => [r.element, r.planned]);
    const want = [
      [el('tile 1x2', 'ash'), 5],
      [el('tile 1x3', 'ash'), 2],
      [el('tile 1x4', 'ash'), 2],
    ];
    expect(list).toEqual(want);
    const [plan] = bench.entries.filter((e) => e.state === 'planned');
    const whatIf = { ...plan!, id: asId<EntryId>('w'), whatIf: asId<WhatIfId>('other') };
    const done = { ...plan!, id: asId<EntryId>('d'), state: 'done' as const };
    const away = {
      ...plan!,
      id: asId<EntryId>('a'),
      movements: plan!.movements.map((m) => ({ ...m, from: m.to, to: m.from })),
    };
    did(bench, { label: '', diff: added('entry', whatIf, done, away) });
    expect(restsOnRough(bench).map((r) => [r.element, r.planned])).toEqual(want);
  });
});
