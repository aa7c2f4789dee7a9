import { describe, expect, it } from 'vitest';
import { changed, type Intent } from '../ledger';
import { keepWhole } from '../stock';
import { stockAccount } from '../places';
import { asId, type BuildId, type WhatIfId } from '../shared/ids';
import { did, makeWorkbench, planned, TEST_TRAY, testSource, used, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import type { Workbench } from '../workbench';
import { familyOf, needBy, needOf, sameNeed } from './need';

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
