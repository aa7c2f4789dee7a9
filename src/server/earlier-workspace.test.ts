import Sqlite from 'better-sqlite3';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { readModFile } from '@/core/formats';
import { openPlaceholders, placeOf, STOCK_SCOPE, type RecordType } from '@/core/ledger';
import { booksFault } from '@/data/check-books';
import { openFile, type Handle } from '@/data/database';
import { shippedMigrations } from '@/data/migrations';
import { readRecord, readRecords } from '@/data/records';
import { undoOrRedo } from './perform';
import { openWorkbench } from './snapshot';

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-earlier-'));
afterAll(() => fs.rmSync(folder, { recursive: true }));

const ELEMENT = 'plate 2x3|chalk';
const move = (from: string, to: string, qty: number) => ({
  element: ELEMENT,
  grade: 'used',
  qty,
  from,
  to,
  worth: null,
});
const entry = (id: string, more: object) => ({
  id,
  build: null,
  modification: null,
  kind: 'stock',
  state: 'done',
  no: 0,
  position: 0,
  why: null,
  note: '',
  hidden: false,
  standsFor: null,
  whatIf: null,
  assembly: null,
  order: null,
  line: null,
  counted: null,
  loggedAt: '2026-01-01',
  movements: [],
  ...more,
});

/** What was logged: parts put in the stores, lent and had back, and a slip put right with a stand-in. */
const LOGGED = [
  entry('in', { movements: [move('outside', 'stores:t', 9)] }),
  entry('lent', { kind: 'transfer', note: 'Wren', movements: [move('stores:t', 'gone:lent', 3)] }),
  entry('back', { kind: 'transfer', line: 'lent', movements: [move('gone:lent', 'stores:t', 1)] }),
  entry('slip', {
    build: 'b',
    modification: 'm',
    kind: 'stand-in',
    why: 'slip',
    no: 1,
    line: 'gone',
    standsFor: 'plate 2x3|ash',
    movements: [move('stores:t', 'model:z', 2)],
  }),
];

/** A workspace as the program before plain words left it: six tables and many values had other names. */
function earlierWorkspace(): Handle {
  const file = path.join(folder, 'evarn.sqlite');
  const db = new Sqlite(file);
  const had = shippedMigrations().slice(0, 7);
  for (const m of had) for (const s of m.sql) db.exec(s);
  db.exec(
    'CREATE TABLE "__drizzle_migrations" (id SERIAL PRIMARY KEY, hash text NOT NULL, created_at numeric)',
  );
  for (const m of had)
    db.prepare('INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)').run(
      m.hash,
      m.folderMillis,
    );
  const rows: [string, unknown[]][] = [
    ['builds', ['b', 'House', '', '2026', 0]],
    ['zones', ['z', 'b', null, 'Whole model', 0]],
    ['trays', ['t', 'A1', '', 1]],
    ['settings', ['pool:b', '[1]']],
    ['settings', ['rank:b', '[4]']],
    ['settings', ['fading', '[1,2,3,4]']],
    ['settings', ['clock', '[12]']],
    ['watches', ['w', ELEMENT, 2, '', '2026']],
    ['column_memories', ['stores part|colour', '["part","colour"]']],
    ['left_slips', [`z|${ELEMENT}`, 'b', 'z', ELEMENT, 'it is the lamp']],
    ['survey_cards', ['b', 'b', 'all round', '[]', null, null]],
  ];
  for (const [table, values] of rows)
    db.prepare(`INSERT INTO ${table} VALUES (${values.map(() => '?').join(', ')})`).run(...values);
  db.exec(`INSERT INTO modifications (id, build, no, title, zone, why, note, position) VALUES ('m', 'b', 1, 'Lamp', 'z', '', '', 0);
    INSERT INTO findings (id, build, kind, zone, lots, note, matters, dropped, at) VALUES ('f', 'b', 'slip', 'z', '[]', '', 2, 0, '2026');
    INSERT INTO accounts (id, place, tray) VALUES ('stores:t', 'stores', 't');
    INSERT INTO accounts (id, place, zone) VALUES ('model:z', 'model', 'z');
    INSERT INTO accounts (id, place) VALUES ('outside', 'outside'), ('gone:lent', 'gone')`);
  LOGGED.forEach((e, i) => {
    const { movements, order, hidden, whatIf, standsFor, loggedAt, ...plain } = e as typeof e & {
      order: null;
    };
    const row = {
      ...plain,
      order_id: order,
      hidden: hidden ? 1 : 0,
      what_if: whatIf,
      stands_for: standsFor,
      logged_at: loggedAt,
    };
    const keys = Object.keys(row);
    db.prepare(
      `INSERT INTO entries (${keys.map((k) => `"${k}"`).join(', ')}) VALUES (${keys.map(() => '?').join(', ')})`,
    ).run(...Object.values(row));
    for (const m of movements as ReturnType<typeof move>[])
      db.prepare('INSERT INTO movements VALUES (?, 0, ?, ?, ?, ?, ?, ?)').run(
        e.id,
        m.element,
        m.grade,
        m.qty,
        m.from,
        m.to,
        m.worth,
      );
    const scope = e.build ?? 'stores';
    const diff = JSON.stringify({ added: [{ type: 'entry', record: e }], changed: [], removed: [] });
    db.prepare("INSERT INTO actions VALUES (?, ?, 'logged', ?, 'done', ?, '2026-01-01')").run(
      `a${i}`,
      scope,
      diff,
      i + 1,
    );
    db.prepare("INSERT INTO action_scopes VALUES (?, ?, 'done', ?)").run(scope, `a${i}`, i + 1);
    db.prepare("INSERT INTO changes (revision, request, action, direction) VALUES (?, ?, ?, 'do')").run(
      i + 1,
      `a${i}`,
      `a${i}`,
    );
  });
  db.close();
  return openFile(file);
}

describe('a workspace of before plain words', () => {
  const handle = earlierWorkspace();
  const read = <T extends RecordType>(type: T, id: string) => readRecord(handle.db, type, id);

  it('has every record under its name of today', () => {
    expect(read('buildSources', 'b')).toEqual({ id: 'b', build: 'b', boxesOnly: true, elsewhere: null });
    expect(read('claimRank', 'b')).toEqual({ id: 'b', rank: 4 });
    expect(read('fadingGrades', 'fading')).toEqual({ id: 'fading', from: [1, 2, 3, 4] });
    expect(read('simulatedClock', 'clock')).toEqual({ id: 'clock', daysAhead: 12 });
    expect(read('columnMemory', 'stock part|colour')).toMatchObject({ roles: ['part', 'colour'] });
    expect(read('waiting', 'w')).toMatchObject({ element: ELEMENT, qty: 2 });
    expect(read('leftMismatch', `z|${ELEMENT}`)).toMatchObject({ reason: 'it is the lamp' });
    expect(read('inspectionCard', 'b')).toMatchObject({ display: 'all round' });
    expect(read('finding', 'f')).toMatchObject({ kind: 'mismatch' });
    expect(read('entry', 'slip')).toMatchObject({
      kind: 'placeholder',
      why: 'mismatch',
      splitFrom: 'gone',
      loan: null,
    });
    expect(read('entry', 'back')).toMatchObject({ splitFrom: null, loan: 'lent' });
    expect(read('entry', 'in')).toMatchObject({ kind: 'add-stock', movements: [{ to: 'stock:t' }] });
  });

  it('has its books in balance, and its history says the same as its log', () => {
    expect(booksFault(handle.db)).toBeUndefined();
    const workbench = openWorkbench(handle, 'b' as never)!;
    expect(workbench.built.balances.rows((a) => placeOf(a) === 'stock')).toMatchObject([{ qty: 5 }]);
    expect(openPlaceholders(workbench.entries)).toHaveLength(1);
  });

  it('can be undone, step by step, as it was logged', () => {
    expect(undoOrRedo(handle, 'u1', 'b', 'undo').ok).toBe(true);
    for (const n of [1, 2, 3])
      expect([n, undoOrRedo(handle, `s${n}`, STOCK_SCOPE, 'undo').ok]).toEqual([n, true]);
    expect(readRecords(handle.db, 'entry')).toEqual([]);
    expect(undoOrRedo(handle, 'r1', STOCK_SCOPE, 'redo').ok).toBe(true);
    expect(read('entry', 'in')).toMatchObject({ kind: 'add-stock' });
    expect(booksFault(handle.db)).toBeUndefined();
  });
});

describe('a mod file of before plain words', () => {
  const file = {
    schema: 'evarn-mod/1',
    build: { id: 'b', name: 'House', note: '', createdAt: '2026', archived: false },
    copies: [],
    zones: [{ id: 'z', build: 'b', parent: null, name: 'Whole model', position: 0 }],
    phases: [],
    modifications: [],
    whatIfs: [],
    assemblies: [],
    orders: [],
    customColours: [],
    surveyCards: [{ id: 'b', build: 'b', display: 'hung', away: ['z'], found: null, built: null }],
    leftSlips: [{ id: `z|${ELEMENT}`, build: 'b', zone: 'z', element: ELEMENT, reason: 'so it stays' }],
    bound: true,
    kept: [{ id: 'k', name: 'Lamp', account: 'spares:b', lots: [{ element: ELEMENT, qty: 2 }] }],
    entries: [
      entry('e', {
        build: 'b',
        kind: 'refresh',
        movements: [move('stores:t', 'model:z', 2), move('model:z', 'spares:b', 2)],
      }),
    ],
    stores: [{ tray: 't', trayName: 'A1', element: ELEMENT, grade: 'used', qty: 2 }],
  };

  it('is read with its lists and records under their names of today', () => {
    const read = readModFile(JSON.stringify(file));
    expect(read).toMatchObject({
      ok: true,
      value: {
        inspectionCards: [{ display: 'hung' }],
        leftMismatches: [{ reason: 'so it stays' }],
        buildSources: [{ id: 'b', build: 'b', boxesOnly: true, elsewhere: null }],
        keptAssemblies: [{ name: 'Lamp' }],
        entries: [{ kind: 'renew', movements: [{ from: 'stock:t' }, { to: 'spares:b' }] }],
        stock: [{ trayName: 'A1', qty: 2 }],
      },
    });
  });

  it('one that is not bound to its boxes stays so', () => {
    const read = readModFile(JSON.stringify({ ...file, bound: false }));
    expect(read.ok && read.value.buildSources).toBeUndefined();
  });
});
