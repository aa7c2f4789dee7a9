import { describe, expect, it } from 'vitest';
import { changed, type Intent } from '../ledger';
import { keepWhole } from '../stock';
import { sparesAccount, stockAccount } from '../places';
import { asId, type BuildId, type ModificationId, type WhatIfId } from '../shared/ids';
import {
  did,
  makeWorkbench,
  planned,
  TEST_BUILD,
  TEST_TRAY,
  testSource,
  used,
  zoneId,
} from '../testing/workbench';
import { el } from '../testing/world';
import type { Workbench } from '../workbench';
import { familyOf, needBy, needOf, sameNeed } from './need';
import { pickList } from './pick-list';
import { pickOut } from './pick-out';
import { placeholdersOf, swapPlaceholders } from './placeholders';

const source = testSource();
const [ash, slate, bark] = [el('brick 1x2', 'ash'), el('brick 1x2', 'slate'), el('tile 2x2', 'bark')];
const on = (
  element: Intent['on'][number]['element'],
  qty: number,
  more: Partial<Intent> = {},
): Partial<Intent> => ({
  on: [{ element, qty }],
  ...more,
});
const shop = (stock: string[], wall = ['6 brick 1x2 slate']) =>
  makeWorkbench({ zones: { Wall: wall }, stock });

/** Puts an entry's state, or the what-if it belongs to, another way. */
function turn(workbench: Workbench, n: number, to: { state?: 'done'; whatIf?: WhatIfId }): Workbench {
  const entry = workbench.entries.filter((e) => e.modification)[n]!;
  return did(workbench, { label: '', diff: changed('entry', entry, to) });
}

describe('what is needed', () => {
  it('is short by what the place lacks when the entry has its turn: what comes off later frees nothing for it', () => {
    const before = planned(shop([]), source, on(slate, 2, { source: 'spares' }), {
      kind: 'remove',
      off: [{ element: slate, qty: 6 }],
    });
    expect(needOf(before).missing).toBe(2);
    const after = planned(
      shop([]),
      source,
      { kind: 'remove', off: [{ element: slate, qty: 6 }] },
      on(slate, 8),
    );
    expect(needOf(after)).toMatchObject({ fromSpares: 6, missing: 2, planned: 8 });
  });

  it('counts nothing twice: two entries share what one tray has, the earlier first', () => {
    const b = planned(
      shop(['5 brick 1x2 ash']),
      source,
      on(ash, 4, { source: 'stock' }),
      on(ash, 4, { source: 'stock' }),
    );
    const need = needOf(b);
    expect(need).toMatchObject({ fromStock: 5, missing: 3, planned: 8 });
    const [, later] = b.entries.filter((e) => e.modification);
    expect(need.lots).toMatchObject([
      { element: ash, qty: 3, sources: [{ entry: later!.id, movement: 1, qty: 3, zone: zoneId('Wall') }] },
    ]);
  });

  it('leaves what is kept whole, and what builds before this one claim', () => {
    const b = planned(shop(['6 brick 1x2 ash']), source, on(ash, 4, { source: 'stock' }));
    expect(needOf(b).missing).toBe(0);
    did(b, keepWhole('Lamp', stockAccount(TEST_TRAY), [{ element: ash, qty: 3 }], source));
    expect(needOf(b).missing).toBe(1);
    const claim = {
      build: asId<BuildId>('first'),
      account: stockAccount(TEST_TRAY),
      element: ash,
      grade: used,
      qty: 2,
    };
    b.takeSurroundings({
      surroundings: [{ account: stockAccount(TEST_TRAY), element: ash, grade: used, qty: 6 }],
      plannedElsewhere: [],
      claims: [claim],
    });
    expect(needOf(b).missing).toBe(3);
  });

  it('hidden pieces are a kind of their own, since their colour does not matter', () => {
    const b = planned(shop([]), source, on(ash, 2), on(ash, 3, { hidden: true }));
    expect(needOf(b).lots.map((l) => [l.qty, l.hidden])).toEqual([
      [2, false],
      [3, true],
    ]);
  });

  it('what-ifs are nobody’s need, and what is done is needed no more', () => {
    const b = planned(shop([]), source, on(ash, 2), on(bark, 3));
    expect(needOf(turn(b, 0, { whatIf: asId<WhatIfId>('w') }))).toMatchObject({ missing: 3, planned: 3 });
    expect(needOf(turn(b, 1, { state: 'done' }))).toMatchObject({ missing: 0, planned: 0, lots: [] });
  });

  it('says what runs low: two left or fewer, the emptiest first, and nothing that no plan takes', () => {
    const b = planned(
      shop(['9 brick 1x2 ash', '5 tile 2x2 bark', '8 brick 1x4 ash', '1 brick 1x1 ash']),
      source,
      on(ash, 7, { source: 'stock' }),
      on(bark, 5, { source: 'stock' }),
      on(el('brick 1x4', 'ash'), 5, { source: 'stock' }),
      // None of it is there: nothing of it was taken, and so it does not run low, it is missing.
      on(el('wheel 2x2', 'soot'), 3, { source: 'stock' }),
    );
    expect(needOf(b).runningLow).toEqual([
      { element: bark, taken: 5, left: 0 },
      { element: ash, taken: 7, left: 2 },
    ]);
  });

  it('is divided by zone, modification or family, most first, and adds up', () => {
    const b = planned(shop([]), source, on(bark, 2), on(ash, 5), on(el('brick 1x4', 'ash'), 4));
    const { lots } = needOf(b);
    expect(needBy(lots, familyOf)).toEqual([
      ['Bricks', 9],
      ['Tiles', 2],
    ]);
    expect(needBy(lots, (_, s) => s.zone)).toEqual([[zoneId('Wall'), 11]]);
    expect(needBy(lots, (_, s) => s.modification)).toHaveLength(1);
    // Whichever is met first: the part of which least is needed comes last.
    const rising = needOf(
      planned(shop([]), source, on(ash, 2), on(bark, 7), on(el('wheel 2x2', 'soot'), 4)),
    ).lots;
    expect(needBy(rising, (l) => l.element).map(([, n]) => n)).toEqual([7, 4, 2]);
  });

  it('is the same only for the same pieces, by the same entries, in the same shapes', () => {
    const b = planned(shop([]), source, on(ash, 5));
    const { lots } = needOf(b);
    const [lot] = lots;
    const [s] = lot!.sources;
    expect(sameNeed(lots, structuredClone(lots) as never)).toBe(true);
    for (const other of [
      [{ ...lot!, qty: 4 }],
      [{ ...lot!, hidden: true }],
      [{ ...lot!, element: bark }],
      [{ ...lot!, sources: [{ ...s!, per: 2 }] }],
      [{ ...lot!, sources: [{ ...s!, movement: 1 }] }],
      [],
    ])
      expect(sameNeed(lots, other)).toBe(false);
    expect(sameNeed(lots, [{ ...lot!, sources: [{ ...s!, per: 1 }] }])).toBe(true);
  });
});

describe('placeholders', () => {
  const standing = (stock: string[]) => {
    const b = planned(
      shop(['4 brick 1x2 ash', ...stock]),
      source,
      on(ash, 1, { kind: 'placeholder', standsFor: bark }),
      on(ash, 3, { kind: 'placeholder', standsFor: bark }),
    );
    return turn(turn(b, 0, { state: 'done' }), 1, { state: 'done' });
  };

  it('keep the need of what they stand for open: the last placed lack theirs first', () => {
    const none = needOf(standing([]));
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
      shop(['4 brick 1x2 ash', '1 tile 2x2 bark', '7 brick 1x1 ash']),
      source,
      on(ash, 2, { kind: 'placeholder', standsFor: bark }),
      on(ash, 1, { kind: 'placeholder', standsFor: other }),
      on(ash, 1, { kind: 'placeholder', standsFor: bark }),
    );
    // The last is placed in a what-if only, and stands for nothing here.
    const whatIf = asId<WhatIfId>('w');
    turn(turn(turn(b, 0, { state: 'done' }), 1, { state: 'done' }), 2, { state: 'done', whatIf });
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
    did(b, keepWhole('Floor', stockAccount(TEST_TRAY), [{ element: bark, qty: 3 }], source));
    expect(placeholdersOf(b)).toMatchObject([{ here: 2 }]);
  });

  it('are swapped last placed first, with one entry for each, and no more than are here', () => {
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
    const one = swapPlaceholders(
      standing(['1 tile 2x2 bark']),
      { element: ash, standsFor: bark, qty: 4 },
      source,
    );
    expect(one.label).toBe('swap 1 placeholder');
  });
});

describe('the pick list', () => {
  const laden = () => {
    const b = shop(['6 brick 1x2 ash', '9 tile 2x2 bark', '2 brick 1x4 ash']);
    return planned(
      b,
      source,
      { kind: 'remove', off: [{ element: slate, qty: 4 }] },
      on(bark, 3, { source: 'stock' }),
      on(ash, 2, { source: 'stock' }),
      on(ash, 3, { source: 'stock' }),
    );
  };

  it('joins what several plans take of one place, names the place, and keeps which entries ask', () => {
    const b = laden();
    const lines = pickList(b, 'tray');
    expect(lines.map((l) => [l.where, l.element, l.qty, l.entries.length])).toEqual([
      ['A1', ash, 5, 2],
      ['A1', bark, 3, 1],
    ]);
    expect(pickList(b, 'tray', asId<ModificationId>('another'))).toEqual([]);
    const tray = [...b.records.tray.values()][0]!;
    did(b, { label: '', diff: changed('tray', tray, { place: 'left rack', position: 7 }) });
    expect(pickList(b, 'tray')).toMatchObject([{ where: 'A1, left rack', rank: 7, place: 'stock' }, {}]);
  });

  it('has the spares first, and sorts by shape where that is asked', () => {
    const b = laden();
    turn(b, 0, { state: 'done' });
    planned(
      b,
      source,
      on(slate, 2, { source: 'spares' }),
      on(el('brick 1x4', 'ash'), 1, { source: 'stock' }),
    );
    expect(pickList(b, 'tray').map((l) => [l.where, l.rank])).toEqual([
      ['spares', -1],
      ['A1', 1],
      ['A1', 1],
      ['A1', 1],
    ]);
    expect(pickList(b, 'shape').map((l) => l.element)).toEqual([ash, slate, el('brick 1x4', 'ash'), bark]);
  });

  it('a line taken in hand comes from the spares for all who asked, and what is over stays in the tray', () => {
    const b = laden();
    const line = pickList(b, 'tray').find((l) => l.element === ash)!;
    const pick = pickOut(b, { ...line, qty: 4 }, source);
    expect(pick.label).toBe('pick 4');
    did(b, pick);
    const ends = b.entries.flatMap((e) =>
      e.state === 'planned' ? e.movements.filter((m) => m.element === ash).map((m) => [m.from, m.qty]) : [],
    );
    expect(ends).toEqual([
      [sparesAccount(TEST_BUILD), 2],
      [sparesAccount(TEST_BUILD), 2],
      [stockAccount(TEST_TRAY), 1],
    ]);
    expect(
      pickOut(
        b,
        pickList(b, 'tray').find((l) => l.place === 'spares')!,
        source,
      ).diff.added,
    ).toEqual([]);
  });
});
