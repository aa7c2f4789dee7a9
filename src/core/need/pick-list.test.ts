import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { added, BLANK_INTENT, changed, entryFault, joinDiffs, overdrafts, type Intent } from '../ledger';
import { donorAccount, sparesAccount, stockAccount } from '../places';
import { asId, type CopyId, type ModificationId, type TrayId, type WhatIfId } from '../shared/ids';
import { keepWhole } from '../stock';
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
import { planWork, type Workbench } from '../workbench';
import { needOf } from './need';
import { pickList, type PickLine } from './pick-list';
import { pickOut } from './pick-out';

const source = testSource();
const [ash, slate, bark] = [el('brick 1x2', 'ash'), el('brick 1x2', 'slate'), el('tile 2x2', 'bark')];
const long = el('brick 1x4', 'ash');
const [spares, tray] = [sparesAccount(TEST_BUILD), stockAccount(TEST_TRAY)];
const on = (element: Intent['on'][number]['element'], qty: number, more: Partial<Intent> = {}) => ({
  on: [{ element, qty }],
  ...more,
});
const shop = (...stock: string[]) => makeWorkbench({ zones: { Wall: ['6 brick 1x2 slate'] }, stock });
const lineOf = (b: Workbench, element: string): PickLine =>
  pickList(b, 'tray').find((l) => l.element === element)!;

const laden = () =>
  planned(
    shop('6 brick 1x2 ash', '9 tile 2x2 bark', '2 brick 1x4 ash'),
    source,
    { kind: 'remove', off: [{ element: slate, qty: 4 }] },
    on(bark, 3, { source: 'stock' }),
    on(ash, 2, { source: 'stock' }),
    on(ash, 3, { source: 'stock' }),
  );

describe('the pick list', () => {
  it('joins what several plans take of one place, names the place, and keeps which entries ask', () => {
    const b = laden();
    const lines = pickList(b, 'tray');
    expect(lines.map((l) => [l.where, l.element, l.qty, l.entries.length])).toEqual([
      ['A1', ash, 5, 2],
      ['A1', bark, 3, 1],
    ]);
    const box = [...b.records.tray.values()][0]!;
    did(b, { label: '', diff: changed('tray', box, { place: 'left rack', position: 7 }) });
    expect(pickList(b, 'tray')).toMatchObject([{ where: 'A1, left rack', rank: 7, place: 'stock' }, {}]);
  });

  it('is of one modification where that is asked, and says of each line whose it is', () => {
    const b = laden();
    const first = b.entries.find((e) => e.modification)!.modification!;
    did(
      b,
      planWork(
        b,
        [
          {
            title: 'Roof',
            zone: zoneId('Wall'),
            intents: [{ ...BLANK_INTENT, planned: true, source: 'stock', on: [{ element: long, qty: 2 }] }],
          },
        ],
        'plan',
        testSource('roof'),
      ),
    );
    const roof = b.modifications.at(-1)!.id;
    expect(roof).not.toBe(first);
    expect(pickList(b, 'tray', roof).map((l) => [l.element, l.qty, l.modification])).toEqual([
      [long, 2, roof],
    ]);
    expect(pickList(b, 'tray', first).map((l) => l.element)).toEqual([ash, bark]);
    expect(pickList(b, 'tray')).toHaveLength(3);
    expect(pickList(b, 'tray', asId<ModificationId>('another'))).toEqual([]);
  });

  it('has only what is planned in earnest, and only what lies in a place to go to', () => {
    const b = laden();
    const [, tiles, bricks] = b.entries.filter((e) => e.modification);
    did(b, { label: '', diff: changed('entry', tiles!, { whatIf: asId<WhatIfId>('w') }) });
    did(b, { label: '', diff: changed('entry', bricks!, { state: 'done' }) });
    expect(pickList(b, 'tray').map((l) => [l.element, l.qty])).toEqual([[ash, 3]]);
    // What is to be bought, and what nobody counted, lies in no tray.
    planned(b, source, on(long, 9, { source: 'outside' }), on(long, 1, { source: 'own' }));
    expect(pickList(b, 'tray')).toHaveLength(1);
  });

  it('has no more of a lot than is free there, whatever the plans say', () => {
    const b = planned(
      shop('5 brick 1x2 ash', '3 brick 1x2 ash new'),
      source,
      on(ash, 4, { source: 'stock' }),
      on(ash, 6, { source: 'stock' }),
      on(bark, 2, { source: 'stock' }),
    );
    expect(pickList(b, 'tray').map((l) => [l.element, l.grade, l.qty])).toEqual(
      expect.arrayContaining([
        [ash, 'new', 3],
        [ash, 'used', 5],
      ]),
    );
    expect(pickList(b, 'tray')).toHaveLength(2);
    did(b, keepWhole('Lamp', tray, [{ element: ash, qty: 6 }], source));
    expect(pickList(b, 'tray').reduce((s, l) => s + l.qty, 0)).toBe(2);
  });

  it('has the spares first, then the trays as they stand along the racks, then the boxes', () => {
    const b = shop('4 brick 1x2 ash', '4 tile 2x2 bark');
    withBox(b, 'Tram', { [slate]: 5, [bark]: 2 });
    planned(b, source, { kind: 'remove', off: [{ element: slate, qty: 2 }] });
    carriedOut(b);
    planned(
      b,
      source,
      on(slate, 3, { source: 'donor' }),
      on(bark, 3, { source: 'stock' }),
      on(ash, 1, { source: 'stock' }),
      on(slate, 2, { source: 'spares' }),
    );
    expect(pickList(b, 'tray').map((l) => [l.place, l.account, l.where, l.rank, l.element])).toEqual([
      ['spares', spares, 'spares', -1, slate],
      ['stock', tray, 'A1', 1, ash],
      ['stock', tray, 'A1', 1, bark],
      ['donor', donorAccount(asId<CopyId>('box Tram')), 'Tram', 1e6, slate],
    ]);
  });

  it('goes along the racks tray by tray, and by name where two stand at one place', () => {
    const b = shop('4 brick 1x2 ash');
    const trays = ['C3', 'B2'].map((name) => ({ id: asId<TrayId>(name), name, place: '', position: 0 }));
    did(b, { label: '', diff: joinDiffs(...trays.map((t) => added('tray', t))) });
    const row = (at: string, element: typeof ash) => ({
      account: stockAccount(asId<TrayId>(at)),
      element,
      grade: 'used' as never,
      qty: 2,
    });
    b.takeSurroundings({
      surroundings: [row('C3', ash), row('B2', long), { ...row('tray', bark), account: tray }],
      plannedElsewhere: [],
      claims: [],
    });
    planned(
      b,
      source,
      on(ash, 2, { source: 'stock' }),
      on(long, 2, { source: 'stock' }),
      on(bark, 1, { source: 'stock' }),
    );
    expect(pickList(b, 'tray').map((l) => l.where)).toEqual(['B2', 'C3', 'A1']);
  });

  it('goes by family, then by size, then by colour where it is for sorting into cups', () => {
    const kinds = ['tile 2x2 bark', 'brick 1x4 ash', 'brick 1x2 slate', 'tile 1x4 ash', 'brick 1x2 ash'];
    const b = planned(
      shop(...kinds.map((k) => `2 ${k}`)),
      source,
      ...kinds.map((k) =>
        on(el(k.slice(0, k.lastIndexOf(' ')), k.split(' ').at(-1)!), 1, { source: 'stock' }),
      ),
    );
    expect(pickList(b, 'shape').map((l) => l.element)).toEqual([
      ash,
      slate,
      long,
      el('tile 1x4', 'ash'),
      bark,
    ]);
  });
});

describe('picking', () => {
  it('takes a line in hand: it is the build’s, and the plans take it from there', () => {
    const b = laden();
    const line = lineOf(b, ash);
    expect(line).toMatchObject({ place: 'stock', qty: 5 });
    doneAndBack(b, pickOut(b, line, source));
    expect(b.built.balances.at(spares, ash)).toBe(5);
    expect(b.built.balances.at(tray, ash)).toBe(1);
    expect(lineOf(b, ash)).toMatchObject({ place: 'spares', qty: 5 });
    expect(needOf(b)).toMatchObject({ missing: 0, fromSpares: 5, fromStock: 3 });
    expect(b.entries.every((e) => entryFault(e) === undefined)).toBe(true);
  });

  it('in any order changes no need, and leaves nothing below zero', () =>
    fc.assert(
      fc.property(fc.array(fc.nat(5), { maxLength: 4 }), (order) => {
        const b = laden();
        const before = needOf(b).missing;
        for (const n of order) {
          const lines = pickList(b, 'tray');
          did(b, pickOut(b, lines[n % lines.length]!, source));
        }
        expect(needOf(b).missing).toBe(before);
        expect(overdrafts(b.built.balances)).toEqual([]);
      }),
    ));

  it('in part comes from the spares for those who asked first, and the rest stays in the tray', () => {
    const b = laden();
    const pick = pickOut(b, { ...lineOf(b, ash), qty: 4 }, source);
    expect(pick.label).toBe('pick 4');
    did(b, pick);
    const ends = b.entries.flatMap((e) =>
      e.state === 'planned' ? e.movements.filter((m) => m.element === ash).map((m) => [m.from, m.qty]) : [],
    );
    expect(ends).toEqual([
      [spares, 2],
      [spares, 2],
      [tray, 1],
    ]);
    expect(pickOut(b, lineOf(b, ash), source)).toMatchObject({ label: 'pick nothing', diff: { added: [] } });
  });

  it('of one is for the first alone, and the second is left as it was', () => {
    const b = laden();
    const second = b.entries.filter((e) => e.modification)[3]!;
    did(b, pickOut(b, { ...lineOf(b, ash), qty: 2 }, source));
    expect(b.records.entry.get(second.id)!.movements).toEqual(second.movements);
  });

  it('touches nothing of another kind, condition or place that the same entry takes', () => {
    const b = planned(shop('2 brick 1x2 ash new', '3 brick 1x2 ash', '4 tile 2x2 bark'), source, {
      on: [
        { element: ash, qty: 5 },
        { element: bark, qty: 2 },
      ],
      source: 'stock',
    });
    const line = pickList(b, 'tray').find((l) => l.grade === 'used' && l.element === ash)!;
    did(b, pickOut(b, line, source));
    expect(pickList(b, 'tray').map((l) => [l.place, l.element, l.grade, l.qty])).toEqual([
      ['spares', ash, 'used', 3],
      ['stock', ash, 'new', 2],
      ['stock', bark, 'used', 2],
    ]);
  });

  it('passes by an entry that is gone meanwhile', () => {
    const b = laden();
    const line = lineOf(b, bark);
    const { diff } = pickOut(b, { ...line, entries: [asId('gone'), ...line.entries] }, source);
    expect(diff.changed).toHaveLength(1);
  });
});
