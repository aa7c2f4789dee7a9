import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { added, changed, joinDiffs, RECORD_TYPES, removed, type Diff, type RecordType } from '@/core/ledger';
import { asId, type BuildId, type ZoneId } from '@/core/shared/ids';
import { el, entry, ZONES, TRAYS, BUILD } from '@/core/testing/world';
import { readCatalogue, readSetLots, writeSet } from './catalogue';
import { inTransaction, openDatabase, stampOf, type Handle } from './database';
import { numbersIn, readRecord, readRecords, writeDiff } from './records';
import { EVERYTHING } from './testing/every-record';

const NOW = new Date('2026-11-24T10:00:00Z');
const memory = () => openDatabase(':memory:', NOW);
const folders: string[] = [];
afterEach(() => folders.splice(0).forEach((f) => fs.rmSync(f, { recursive: true, force: true })));

const write = (handle: Handle, diff: Diff) => inTransaction(handle, () => writeDiff(handle.db, diff));
const all = (handle: Handle, type: RecordType) =>
  (readRecords(handle.db, type) as { id: string }[]).sort((a, b) => (a.id < b.id ? -1 : 1));

describe('records', () => {
  it.each(RECORD_TYPES.map((t) => [t]))('%s: what is written is what is read', (type) => {
    const handle = memory();
    write(handle, EVERYTHING);
    const wanted = EVERYTHING.added.filter((r) => r.type === type).map((r) => r.record as { id: string });
    expect(wanted.length).toBeGreaterThan(0);
    expect(all(handle, type)).toEqual(wanted.sort((a, b) => (a.id < b.id ? -1 : 1)));
    expect(readRecord(handle.db, type, wanted[0]!.id)).toEqual(wanted[0]);
    expect(readRecord(handle.db, type, 'none')).toBeUndefined();
  });

  it('are all taken out again, children first', () => {
    const handle = memory();
    write(handle, EVERYTHING);
    write(handle, { added: [], changed: [], removed: EVERYTHING.added });
    for (const type of RECORD_TYPES) expect(readRecords(handle.db, type)).toEqual([]);
    expect(handle.sqlite.prepare('select count(*) as n from movements').get()).toEqual({ n: 0 });
  });

  it('of a build are those of that build only', () => {
    const handle = memory();
    write(handle, EVERYTHING);
    const other = asId<typeof BUILD>('b2');
    write(
      handle,
      joinDiffs(
        added('build', { id: other, name: 'B', note: '', createdAt: '', archived: true }),
        added('zone', { ...ZONES[0]!, id: asId<ZoneId>('zz'), build: other }),
      ),
    );
    expect(readRecords(handle.db, 'zone', other).map((z) => z.id)).toEqual(['zz']);
    expect(readRecords(handle.db, 'build', other)).toHaveLength(1);
    expect(readRecords(handle.db, 'tray', other)).toHaveLength(TRAYS.length);
    expect([
      numbersIn(handle.db, 'modification', BUILD).top,
      numbersIn(handle.db, 'modification', other).top,
    ]).toEqual([4, 0]);
  });

  it('a change writes all fields of a record, movements too', () => {
    const handle = memory();
    write(handle, EVERYTHING);
    const old = readRecords(handle.db, 'entry', BUILD).find((e) => e.movements.length > 1)!;
    const movements = old.movements.slice(0, 1).map((m) => ({ ...m, qty: m.qty + 1, worth: null }));
    write(handle, changed('entry', old, { note: 'changed', movements }));
    expect(readRecord(handle.db, 'entry', old.id)).toEqual({ ...old, note: 'changed', movements });
  });

  it('take texts of any kind as they are', () => {
    const handle = memory();
    const name = `Robert'); DROP TABLE builds;-- \u202E 🧱 ${'x'.repeat(150)}`;
    write(handle, added('build', { id: BUILD, name, note: '\0\n"', createdAt: '', archived: false }));
    expect(readRecord(handle.db, 'build', BUILD)?.name).toBe(name);
  });
});

describe('a transaction', () => {
  it('keeps all of it or none', () => {
    const handle = memory();
    expect(() =>
      inTransaction(handle, () => {
        writeDiff(handle.db, EVERYTHING);
        throw new Error('no');
      }),
    ).toThrow('no');
    expect(readRecords(handle.db, 'build')).toEqual([]);
  });

  it('ends in an error when something is left without its parent', () => {
    const handle = memory();
    write(handle, EVERYTHING);
    expect(() =>
      write(handle, removed('modification', readRecord(handle.db, 'modification', 'm1')!)),
    ).toThrow(/FOREIGN KEY/);
    expect(() =>
      write(handle, added('entry', entry('lost', 'add', [], { build: asId<BuildId>('nowhere') }))),
    ).toThrow(/FOREIGN KEY/);
  });
});

describe('the file', () => {
  it('is kept in WAL with full sync, and opened again with what was in it', () => {
    const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-db-'));
    folders.push(folder);
    const first = openDatabase(folder, NOW);
    expect(first.sqlite.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(first.sqlite.pragma('synchronous', { simple: true })).toBe(2);
    expect(first.sqlite.pragma('foreign_keys', { simple: true })).toBe(1);
    write(first, EVERYTHING);
    first.sqlite.close();
    const again = openDatabase(folder, NOW);
    expect(readRecords(again.db, 'zone')).toHaveLength(ZONES.length);
    expect(fs.readdirSync(path.join(folder, 'backups'))).toEqual([]);
    again.sqlite.close();
  });

  it('stamps names that sort by time', () => expect(stampOf(NOW)).toBe('20261124-100000-000'));
});

describe('the catalogue', () => {
  it('keeps sets with their lots, and a set of the same code takes the place of the old', () => {
    const handle = memory();
    const lot = { element: el('plate 2x3', 'chalk'), qty: 4, extra: false, zone: 'Deck' };
    const set = { code: 'T 1', name: 'Test', maker: 'Nobody', year: 2020 };
    writeSet(handle.db, set, [lot, { ...lot, qty: 1, extra: true, zone: '' }]);
    expect(readCatalogue(handle.db)).toEqual([{ ...set, pieces: 4, extras: 1 }]);
    writeSet(handle.db, { ...set, name: 'Test again' }, [lot]);
    expect(readCatalogue(handle.db)).toEqual([{ ...set, name: 'Test again', pieces: 4, extras: 0 }]);
    expect(readSetLots(handle.db, 'T 1')).toEqual([lot]);
    expect(readSetLots(handle.db, 'none')).toEqual([]);
  });
});
