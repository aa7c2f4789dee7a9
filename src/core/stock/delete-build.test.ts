import { describe, expect, it } from 'vitest';
import {
  BLANK_ENTRY,
  entryFault,
  goneAccount,
  grade,
  modelAccount,
  OUTSIDE,
  sparesAccount,
  stockAccount,
  type AccountKey,
  type Build,
  type Entry,
  type Movement,
  type Tray,
  type TypedRecord,
} from '../ledger';
import { asId, countingIds, type BuildId, type EntryId, type TrayId, type ZoneId } from '../shared/ids';
import { el } from '../testing/world';
import { deleteBuild, takeSpares, trayEffect, type FreeSpares } from './index';

const [a, b] = ['a', 'b'].map((t) => stockAccount(asId<TrayId>(t))) as [AccountKey, AccountKey];
const [house, barn] = ['house', 'barn'].map((n) => asId<BuildId>(n)) as [BuildId, BuildId];
const wall = modelAccount(asId<ZoneId>('wall'));
const ash = el('brick 1x2', 'ash');
const [used, fresh] = [grade('used'), grade('new')];
const source = () => ({ newId: countingIds('n'), now: '2026-11-29' });

const move = (from: AccountKey, to: AccountKey, qty: number, more: Partial<Movement> = {}): Movement => ({
  element: ash,
  grade: used,
  qty,
  from,
  to,
  worth: null,
  ...more,
});
let made = 0;
const entry = (movements: readonly Movement[], more: Partial<Entry> = {}): Entry => ({
  ...BLANK_ENTRY,
  id: asId<EntryId>(`e${++made}`),
  build: house,
  kind: 'add',
  no: made,
  loggedAt: '2026-11-28',
  movements,
  ...more,
});

describe('what a build has done to trays', () => {
  it('is netted for each tray, kind and condition, and leaves from or comes to where an entry may', () => {
    const effect = trayEffect([
      entry([move(sparesAccount(house), a, 5), move(sparesAccount(house), b, 1)]),
      entry([move(a, wall, 2), move(b, wall, 4), move(a, wall, 3, { grade: fresh })]),
    ]);
    expect(effect.put).toEqual([move(OUTSIDE, a, 3)]);
    expect(effect.taken).toEqual([
      move(b, goneAccount('sold'), 3),
      move(a, goneAccount('sold'), 3, { grade: fresh }),
    ]);
  });

  it('is nothing where as much came back as was taken, and counts no plan', () => {
    expect(
      trayEffect([
        entry([move(a, wall, 4)]),
        entry([move(wall, a, 4)]),
        entry([move(a, wall, 9)], { state: 'planned' }),
        entry([move(OUTSIDE, wall, 9)]),
      ]),
    ).toEqual({ put: [], taken: [] });
  });

  it('from one tray to another is taken from the one and put into the other, at what is known of its worth', () => {
    const { put, taken } = trayEffect([entry([move(a, b, 6, { worth: 7 }), move(OUTSIDE, b, 1)])]);
    expect(put).toEqual([move(OUTSIDE, b, 7, { worth: 7 })]);
    expect(taken).toEqual([move(a, goneAccount('sold'), 6, { worth: 7 })]);
  });
});

describe('a build that is deleted', () => {
  const build: Build = { id: house, name: 'House', note: '', createdAt: '2026-01-01', archived: false };
  const log = [entry([move(sparesAccount(house), a, 5)]), entry([move(b, wall, 2)])];
  const records = log.map((record): TypedRecord => ({ type: 'entry', record }));

  it('goes with all its records; trays that stay as they lie get entries of own parts for it', () => {
    const { diff, label } = deleteBuild(build, records, true, source());
    expect(label).toBe('delete the build House');
    expect(diff.removed).toEqual([...records, { type: 'build', record: build }]);
    const entries = diff.added.map((r) => r.record as Entry);
    expect(entries.map((e) => [e.kind, e.build, e.movements])).toEqual([
      ['add-stock', null, [move(OUTSIDE, a, 5)]],
      ['transfer', null, [move(b, goneAccount('sold'), 2)]],
    ]);
    for (const e of entries) {
      expect(entryFault(e)).toBeUndefined();
      expect(e.note).toBe('of the build House, which was deleted');
    }
    expect(new Set(entries.map((e) => e.id)).size).toBe(2);
  });

  it('leaves nothing behind where it is to be as if it had never been, or where it touched no tray', () => {
    expect(deleteBuild(build, records, false, source()).diff.added).toEqual([]);
    const apart: TypedRecord[] = [{ type: 'entry', record: entry([move(OUTSIDE, wall, 3)]) }];
    expect(deleteBuild(build, apart, true, source()).diff.added).toEqual([]);
  });
});

describe('spares of several builds', () => {
  const tray: Tray = { id: asId<TrayId>('a'), name: 'A1', place: '', position: 1 };
  const lots: FreeSpares[] = [
    { build: house, element: ash, grade: used, qty: 4 },
    { build: barn, element: ash, grade: fresh, qty: 2 },
    { build: house, element: el('tile 1x2', 'ash'), grade: used, qty: 1 },
  ];

  it('go into a tray in one act, with an entry of each build that says where they went', () => {
    const { diff, label } = takeSpares(lots, tray, source());
    expect(label).toBe('put 7 spares of 2 builds into A1');
    const entries = diff.added.map((r) => r.record as Entry);
    expect(
      entries.map((e) => [e.build, e.kind, e.movements.map((m) => [m.element, m.grade, m.qty])]),
    ).toEqual([
      [
        house,
        'transfer',
        [
          [ash, used, 4],
          [el('tile 1x2', 'ash'), used, 1],
        ],
      ],
      [barn, 'transfer', [[ash, fresh, 2]]],
    ]);
    for (const e of entries) {
      expect(entryFault(e)).toBeUndefined();
      expect(e.note).toBe('to tray A1, for any build');
      for (const m of e.movements) expect([m.from, m.to]).toEqual([sparesAccount(e.build!), a]);
    }
  });

  it('of one build are told as such, and none are no entry', () => {
    expect(takeSpares(lots.slice(1, 2), tray, source()).label).toBe('put 2 spares of a build into A1');
    expect(takeSpares([], tray, source()).diff).toEqual({ added: [], changed: [], removed: [] });
  });
});
