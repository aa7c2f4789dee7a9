import { describe, expect, it } from 'vitest';
import { added, BLANK_ENTRY, changed, entryFault, openPlaceholders, type Intent } from '../ledger';
import {
  donorAccount,
  grade,
  modelAccount,
  orderAccount,
  OUTSIDE,
  ownAccount,
  placeOf,
  shippedAccount,
  sparesAccount,
  stockAccount,
} from '../places';
import type { Entry } from '../records';
import { asId, type CopyId, type EntryId, type OrderId, type WhatIfId } from '../shared/ids';
import { keepWhole, sayRoughly } from '../stock';
import {
  carriedOut,
  did,
  doneAndBack,
  makeWorkbench,
  planned,
  TEST_BUILD,
  TEST_TRAY,
  testSource,
  withBox,
  zoneId,
} from '../testing/workbench';
import { el } from '../testing/world';
import type { Workbench } from '../workbench';
import { needOf } from './need';
import { placeholdersOf, swapPlaceholders } from './placeholders';

const source = testSource();
const [ash, bark] = [el('brick 1x2', 'ash'), el('tile 2x2', 'bark')];
const standIn = (qty: number, more: Partial<Intent> = {}): Partial<Intent> => ({
  kind: 'placeholder',
  on: [{ element: ash, qty }],
  standsFor: bark,
  ...more,
});

/** Ash stands for bark, one piece first and then three, and so much of anything lies in a tray. */
const standing = (stock: string[] = [], ...intents: Partial<Intent>[]): Workbench =>
  carriedOut(
    planned(
      makeWorkbench({
        zones: { Wall: ['6 brick 1x2 slate'], Roof: [] },
        stock: ['9 brick 1x2 ash', ...stock],
      }),
      source,
      ...(intents.length > 0 ? intents : [standIn(1), standIn(3)]),
    ),
  );
const swapOf = (b: Workbench) =>
  swapPlaceholders(b, { element: ash, standsFor: bark, qty: 0 }, testSource('swap'));
const made = (b: Workbench): Entry[] =>
  swapOf(b).diff.added.flatMap((r) => (r.type === 'entry' ? [r.record] : []));
/** What each replacement puts on, and where it comes from. */
const putOn = (b: Workbench) =>
  made(b).map((e) => e.movements.filter((m) => placeOf(m.to) === 'model').map((m) => [m.from, m.qty]));
const tray = stockAccount(TEST_TRAY);

const toSpares = { from: shippedAccount(asId<CopyId>('copy')), to: sparesAccount(TEST_BUILD) };

/** So much of bark comes in: as a spare out of the build's own box, unless another way is named. */
const brought = (b: Workbench, qty: number, way = toSpares, more: Partial<Entry> = {}): Workbench =>
  did(b, {
    label: '',
    diff: added('entry', {
      ...BLANK_ENTRY,
      id: asId<EntryId>(`to ${way.to}`),
      build: TEST_BUILD,
      kind: 'unpack',
      loggedAt: '2026-01-03T00:00:00Z',
      movements: [{ element: bark, grade: grade('used'), qty, worth: null, ...way }],
      ...more,
    }),
  });

describe('placeholders that still stand', () => {
  it('keep the need of what they stand for open: the last placed lack theirs first', () => {
    const none = needOf(standing());
    expect(none).toMatchObject({ missing: 4, placeholders: 4, planned: 0 });
    const some = standing(['2 tile 2x2 bark']);
    const [, last] = some.entries.filter((e) => e.modification);
    expect(needOf(some).lots).toMatchObject([
      { element: bark, qty: 2, sources: [{ entry: last!.id, movement: null, qty: 2 }] },
    ]);
    expect(needOf(standing(['9 tile 2x2 bark']))).toMatchObject({ missing: 0, placeholders: 0 });
  });

  it('are kept apart by what they stand for, and only the part itself fills their place', () => {
    const other = el('tile 1x4', 'bark');
    const b = planned(
      makeWorkbench({
        zones: { Wall: ['6 brick 1x2 slate'] },
        stock: ['4 brick 1x2 ash', '1 tile 2x2 bark', '7 brick 1x1 ash'],
      }),
      source,
      standIn(2),
      standIn(1, { standsFor: other }),
      standIn(1),
    );
    // The last is placed in a what-if only, and stands for nothing here.
    const last = b.entries.filter((e) => e.modification)[2]!;
    did(b, { label: '', diff: changed('entry', last, { whatIf: asId<WhatIfId>('w') }) });
    carriedOut(b);
    const { lots, placeholders } = needOf(b);
    expect(lots.map((l) => [l.element, l.qty])).toEqual(
      expect.arrayContaining([
        [bark, 1],
        [other, 1],
      ]),
    );
    expect(placeholders).toBe(2);
    expect(lots.flatMap((l) => l.sources.map((s) => s.zone))).toEqual([zoneId('Wall'), zoneId('Wall')]);
  });

  it('say how many of the right part are here; what is kept whole is not', () => {
    const b = standing(['5 tile 2x2 bark']);
    expect(placeholdersOf(b)).toEqual([
      { element: ash, standsFor: bark, qty: 4, here: 5, roughly: 0, coming: 0 },
    ]);
    did(b, keepWhole('Floor', tray, [{ element: bark, qty: 3 }], source));
    expect(placeholdersOf(b)).toMatchObject([{ here: 2 }]);
  });

  it('are not there while they are only planned', () => {
    const b = planned(standing(), source, standIn(2));
    expect(placeholdersOf(b)).toMatchObject([{ qty: 4 }]);
  });

  it('tell what lies in the spares from what a parcel brings; what is in a box or on the model is neither', () => {
    const b = standing(['2 tile 2x2 bark']);
    brought(b, 3);
    withBox(b, 'Tram', { [bark]: 8 });
    expect(b.built.balances.at(donorAccount(asId<CopyId>('box Tram')), bark)).toBe(8);
    brought(b, 16, { ...toSpares, to: modelAccount(zoneId('Roof')) });
    expect(placeholdersOf(b)).toMatchObject([{ here: 5, coming: 0 }]);
    const order = asId<OrderId>('o');
    brought(b, 4, { from: OUTSIDE, to: orderAccount(order) }, { kind: 'order', order });
    expect(placeholdersOf(b)).toMatchObject([{ here: 5, coming: 4 }]);
  });
});

describe('a swap', () => {
  it('takes the last placed first, with one entry for each, and no more than are here', () => {
    const b = standing(['3 tile 2x2 bark']);
    const before = b.built.figures({ of: 'build' });
    const swap = swapPlaceholders(b, placeholdersOf(b)[0]!, source);
    expect(b.built.figures({ of: 'build' })).toEqual(before);
    expect(swap.label).toBe('swap 3 placeholders');
    expect(swap.diff.added.map((r) => r.type === 'entry' && [r.record.kind, r.record.no])).toEqual([
      ['replacement', b.nextEntry(null).no],
    ]);
    did(b, swap);
    expect(placeholdersOf(b)).toMatchObject([{ qty: 1, here: 0 }]);
    expect(swapOf(standing(['1 tile 2x2 bark'])).label).toBe('swap 1 placeholder');
  });

  it('is logged where each was placed: its modification, its zone, the next numbers and places in the log', () => {
    const b = standing(['9 tile 2x2 bark']);
    const next = b.nextEntry(null).no;
    const modification = b.entries.find((e) => e.kind === 'placeholder')!.modification!;
    const { position } = b.nextEntry(modification);
    expect(made(b)).toMatchObject([
      { no: next, position, modification, standsFor: bark, state: 'done', loggedAt: source.now },
      { no: next + 1, position: position + 1, modification, standsFor: bark },
    ]);
    expect(made(b).map((e) => e.movements)).toMatchObject([
      [
        { element: ash, qty: 3, from: modelAccount(zoneId('Wall')) },
        { element: bark, qty: 3, from: tray, to: modelAccount(zoneId('Wall')) },
      ],
      [
        { element: ash, qty: 1 },
        { element: bark, qty: 1 },
      ],
    ]);
    doneAndBack(b, swapOf(b));
    expect(placeholdersOf(b)).toEqual([]);
    // The right part in a placeholder's place is neither in nor out.
    expect(b.built.figures({ of: 'build' }).onModel).toBe(10);
    expect(b.built.balances.at(sparesAccount(TEST_BUILD), ash)).toBe(4);
    expect(b.entries.map(entryFault).filter(Boolean)).toEqual([]);
  });

  it('leaves both books as they were, the planned one too', () => {
    const b = standing(['9 tile 2x2 bark']);
    const books = () => [b.built, b.planned].map((k) => k.balances.rows(() => true));
    const before = books();
    swapOf(b);
    expect(books()).toEqual(before);
  });

  it('takes what is counted first, and the rest of what is only roughly known', () => {
    const b = did(
      standing(['2 tile 2x2 bark']),
      sayRoughly(standing().records, 'Tiles', asId('bark'), 'plenty'),
    );
    expect(placeholdersOf(b)).toMatchObject([{ qty: 4, here: 2, roughly: 40 }]);
    expect(putOn(b)).toEqual([[[tray, 2]], [[ownAccount(), 1]], [[ownAccount(), 1]]]);
    expect(swapOf(b).label).toBe('swap 4 placeholders');
    did(b, swapOf(b));
    expect(openPlaceholders(b.entries)).toEqual([]);
  });

  it('with none counted takes no more than what was said stands for', () => {
    const b = did(standing(), sayRoughly(standing().records, 'Tiles', asId('bark'), 'few'));
    expect(putOn(b)).toEqual([[[ownAccount(), 3]]]);
  });

  it('takes no more out of a place than still stands there', () => {
    const b = standing(['9 tile 2x2 bark']);
    planned(b, source, { kind: 'remove', off: [{ element: ash, qty: 2 }] });
    carriedOut(b, 2);
    expect(made(b).flatMap((e) => e.movements.filter((m) => m.element === ash).map((m) => m.qty))).toEqual([
      2,
    ]);
  });

  it('goes on where an earlier one stopped: what it swapped is not swapped again', () => {
    const b = standing(['2 tile 2x2 bark']);
    did(b, swapOf(b));
    brought(b, 9);
    expect(swapOf(b).label).toBe('swap 2 placeholders');
    did(b, swapPlaceholders(b, { element: ash, standsFor: bark, qty: 0 }, testSource('again')));
    expect(placeholdersOf(b)).toEqual([]);
    expect(b.built.balances.at(modelAccount(zoneId('Wall')), bark)).toBe(4);
  });

  it('passes by what stands for another part, or is another part that stands for the same', () => {
    const slate = el('brick 1x2', 'slate');
    const other = el('tile 1x4', 'bark');
    const b = standing(
      ['9 tile 2x2 bark', '9 tile 1x4 bark', '9 brick 1x2 slate'],
      standIn(1),
      standIn(2, { standsFor: other }),
      standIn(3, { on: [{ element: slate, qty: 3 }] }),
    );
    expect(made(b).map((e) => e.movements.map((m) => [m.element, m.qty]))).toEqual([
      [
        [ash, 1],
        [bark, 1],
      ],
    ]);
  });

  it('swaps nothing that is only planned, and nothing where nothing is at hand or nothing stands', () => {
    const b = planned(standing(['9 tile 2x2 bark'], standIn(1)), source, standIn(2));
    expect(swapOf(b).label).toBe('swap 1 placeholder');
    const none = swapOf(standing());
    expect([none.label, none.diff.added]).toEqual(['swap 0 placeholders', []]);
    const strange = swapPlaceholders(b, { element: ash, standsFor: el('brick 1x2', 'kelp'), qty: 1 }, source);
    expect(strange.diff.added).toEqual([]);
  });

  it('swaps pieces of two conditions that one entry placed', () => {
    const b = standing(
      ['3 brick 1x2 ash new', '9 tile 2x2 bark'],
      // Nine used and three new of ash are at hand.
      standIn(11, { source: 'stock' }),
    );
    expect(b.entries.find((e) => e.kind === 'placeholder')!.movements).toHaveLength(2);
    brought(b, 9);
    expect(swapOf(b).label).toBe('swap 11 placeholders');
    did(b, swapOf(b));
    expect(placeholdersOf(b)).toEqual([]);
    expect(b.built.balances.at(modelAccount(zoneId('Wall')), ash)).toBe(0);
  });
});
