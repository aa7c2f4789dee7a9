import Sqlite from 'better-sqlite3';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase, openFile } from '@/data/database';
import { shippedMigrations } from '@/data/migrations';
import { prepare } from '@/workers/restore/prepare';
import { makeBackup } from './make-backup';
import { keptBackups, restore } from './restore';
import { openWorkbench } from './snapshot';
import { NOW, testBuild, type TestBuild } from './testing/workspace';
import { closeWorkspace, dropWorkspace, workspace } from './workspace';

let folder: string;
let t: TestBuild;
let good: Buffer;

beforeEach(async () => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-restore-'));
  process.env.EVARN_DATA = folder;
  t = testBuild(workspace());
  t.log('-2 plate 2x3 chalk');
  good = await makeBackup(workspace(), NOW);
});
afterEach(() => {
  dropWorkspace();
  delete process.env.EVARN_DATA;
  fs.rmSync(folder, { recursive: true, force: true });
});

const out = () => openWorkbench(workspace(), t.build)!.built.figures({ of: 'build' }).out;

const incoming = () => path.join(folder, 'incoming-prepared.sqlite');

/** A backup with something done to its database behind the program's back. */
function spoiled(change: (db: Sqlite.Database) => void): Uint8Array {
  const file = path.join(folder, 'spoiled.sqlite');
  fs.writeFileSync(file, gunzipSync(good));
  const db = new Sqlite(file);
  db.pragma('foreign_keys = OFF');
  change(db);
  db.close();
  const packed = gzipSync(fs.readFileSync(file));
  fs.rmSync(file);
  return packed;
}

/** What can be wrong with a backup, how it comes to be so, and what is said of it. */
const FAULTS: readonly [what: string, change: (db: Sqlite.Database) => void, reason: object][] = [
  ['a foreign table', (db) => db.exec('CREATE TABLE strange (x)'), { fault: 'not as made' }],
  ['a missing table', (db) => db.exec('DROP TABLE waiting_parts'), { fault: 'not as made' }],
  ['a missing column', (db) => db.exec('ALTER TABLE builds DROP COLUMN note'), { fault: 'not as made' }],
  ['a missing index', (db) => db.exec('DROP INDEX entries_build'), { fault: 'not as made' }],
  [
    'a trigger',
    (db) => db.exec('CREATE TRIGGER t AFTER INSERT ON builds BEGIN DELETE FROM movements; END'),
    { fault: 'not as made', what: expect.stringContaining('trigger') },
  ],
  [
    'an endless view',
    (db) =>
      db.exec(
        'CREATE VIEW v AS WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n) SELECT count(*) FROM n',
      ),
    { fault: 'not as made', what: expect.stringContaining('view') },
  ],
  [
    'a table that is an endless view',
    (db) =>
      db.exec(
        'DROP TABLE __drizzle_migrations; CREATE VIEW __drizzle_migrations AS WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n) SELECT i AS hash, i AS created_at FROM n',
      ),
    { fault: 'not as made' },
  ],
  ['no migration rows', (db) => db.exec('DELETE FROM __drizzle_migrations'), { fault: 'not as made' }],
  [
    'another history',
    (db) => db.exec("UPDATE __drizzle_migrations SET hash = 'x'"),
    { fault: 'not as made' },
  ],
  [
    'a newer program',
    (db) => db.exec("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9e15)"),
    { fault: 'newer program' },
  ],
  [
    'a reference to nothing',
    (db) => db.exec("UPDATE modifications SET zone = 'nowhere'"),
    { fault: 'not as made', what: expect.stringContaining('modifications') },
  ],
  [
    'deleted movements',
    (db) => db.exec("DELETE FROM movements WHERE entry IN (SELECT id FROM entries WHERE kind = 'remove')"),
    { fault: 'books', what: { law: 'entry', where: expect.any(String) } },
  ],
  [
    'a quantity changed',
    (db) => db.exec("UPDATE movements SET qty = qty + 1 WHERE from_account GLOB 'shipped:*'"),
    { fault: 'books', what: { law: 'history', where: expect.any(String) } },
  ],
  [
    'more taken than there was',
    (db) =>
      db.exec(
        "UPDATE movements SET qty = 900 WHERE entry IN (SELECT id FROM entries WHERE kind = 'remove'); DELETE FROM changes; DELETE FROM action_scopes; DELETE FROM actions",
      ),
    { fault: 'books', what: { law: 'overdrawn', where: expect.any(String) } },
  ],
  [
    'zones in a circle',
    (db) => db.exec("UPDATE zones SET parent = id WHERE name = 'Porch'"),
    { fault: 'books', what: { law: 'zones', where: expect.any(String) } },
  ],
  [
    'a record out of shape',
    (db) => db.exec("UPDATE copies SET condition = 'so-so'"),
    { fault: 'books', what: { law: 'shape', where: expect.any(String) } },
  ],
];

/** Those that are put through the whole way, thread and all: of its schema, of its books, and what would run for ever. */
const WHOLE_WAY = [
  'a missing index',
  'a quantity changed',
  'an endless view',
  'a table that is an endless view',
];

describe('a restore', () => {
  it('brings the whole workspace back, keeps what was there, and that comes back too', async () => {
    t.log('-5 plate 2x3 chalk');
    expect(out()).toBe(7);
    const done = await restore({ packed: good }, folder, NOW);
    expect(done).toMatchObject({ ok: true, value: { kept: expect.stringMatching(/^before-restore-/) } });
    expect(out()).toBe(2);
    const [before] = keptBackups(folder);
    expect(before).toMatchObject({ why: 'before a restore', name: done.ok && done.value.kept });
    expect(await restore({ kept: before!.name }, folder, new Date(NOW.getTime() + 1000))).toMatchObject({
      ok: true,
    });
    expect(out()).toBe(7);
    expect(keptBackups(folder)).toHaveLength(2);
  });

  it.each(FAULTS)(
    'is refused for %s, says what is wrong, and leaves nothing behind',
    async (_, change, reason) => {
      const before = fs.readdirSync(folder).sort();
      const packed = spoiled(change);
      // What the thread does, without the wait for a thread.
      expect(await prepare({ packed, kept: null, incoming: incoming() }, () => {})).toMatchObject(reason);
      expect(fs.readdirSync(folder).sort()).toEqual(before);
    },
  );

  it.each(FAULTS.filter(([what]) => WHOLE_WAY.includes(what)))(
    'that is refused for %s leaves everything as it was, and the next is taken',
    async (_, change, reason) => {
      const before = fs.readdirSync(folder).sort();
      const packed = spoiled(change);
      expect(await restore({ packed }, folder, NOW)).toMatchObject({ ok: false, reason });
      expect(out()).toBe(2);
      expect(fs.readdirSync(folder).sort()).toEqual(before);
      expect(keptBackups(folder)).toEqual([]);
      expect(await restore({ packed: good }, folder, NOW)).toMatchObject({ ok: true });
    },
  );

  it('refuses what is no backup, damaged, or unpacks to more than the bound', async () => {
    const broken = gunzipSync(good);
    broken.fill(0xff, 4096, 12_288);
    const huge = gzipSync(Buffer.alloc(1), { level: 1 });
    for (const [packed, fault] of [
      [new TextEncoder().encode('nonsense'), 'not a backup'],
      [gzipSync('still nonsense'), 'not a backup'],
      [good.subarray(0, good.length - 40), 'not a backup'],
      [gzipSync(broken), expect.stringMatching(/damaged|not a backup|not as made/)],
      [huge, 'not a backup'],
    ] as const)
      expect(await restore({ packed }, folder, NOW)).toMatchObject({ ok: false, reason: { fault } });
    expect(await restore({ kept: '../../etc/passwd' }, folder, NOW)).toMatchObject({
      reason: { fault: 'no such backup' },
    });
    expect(fs.readdirSync(folder).filter((f) => f.startsWith('incoming'))).toEqual([]);
  });

  it('takes a backup of every earlier version', async () => {
    const all = shippedMigrations();
    for (let n = 1; n < all.length; n++) {
      const file = path.join(folder, `old-${n}.sqlite`);
      const db = new Sqlite(file);
      // A file that is thrown away need not be on the disk after each statement.
      db.pragma('synchronous = OFF');
      db.pragma('journal_mode = MEMORY');
      for (const m of all.slice(0, n)) for (const s of m.sql) db.exec(s);
      db.exec(
        'CREATE TABLE "__drizzle_migrations" (id SERIAL PRIMARY KEY, hash text NOT NULL, created_at numeric)',
      );
      for (const m of all.slice(0, n))
        db.prepare('INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)').run(
          m.hash,
          m.folderMillis,
        );
      db.exec("INSERT INTO builds VALUES ('b', 'Old house', '', '2026', 0)");
      db.exec("INSERT INTO zones VALUES ('z', 'b', NULL, 'Whole model', 0)");
      db.close();
      const packed = gzipSync(fs.readFileSync(file));
      fs.rmSync(file);
      expect([n, await prepare({ packed, kept: null, incoming: incoming() }, () => {})]).toEqual([
        n,
        undefined,
      ]);
      const handle = openFile(incoming());
      expect([n, openWorkbench(handle, 'b' as never)?.rootZone.name]).toEqual([n, 'Whole model']);
      handle.sqlite.close();
      fs.rmSync(incoming());
      if (n > 1) continue;
      // The oldest takes the whole way.
      expect(await restore({ packed }, folder, NOW)).toMatchObject({ ok: true });
      expect(openWorkbench(workspace(), 'b' as never)?.rootZone.name).toBe('Whole model');
    }
  });
});

describe('a workspace in trouble', () => {
  it('is mended by a restore; the broken file is kept', async () => {
    closeWorkspace();
    fs.writeFileSync(
      path.join(folder, 'evarn.sqlite'),
      'not a database, but something a person may want back',
    );
    expect(() => workspace()).toThrow('damaged');
    closeWorkspace();
    expect(await restore({ packed: good }, folder, NOW)).toMatchObject({ ok: true });
    expect(out()).toBe(2);
    const [kept] = keptBackups(folder);
    expect(fs.readFileSync(path.join(folder, 'backups', kept!.name), 'utf8')).toContain(
      'a person may want back',
    );
  });

  it('migrates only after a copy was made', () => {
    closeWorkspace();
    const later = path.join(folder, 'drizzle');
    fs.cpSync('drizzle', later, { recursive: true });
    const journal = path.join(later, 'meta/_journal.json');
    const read = JSON.parse(fs.readFileSync(journal, 'utf8')) as { entries: object[] };
    const last = read.entries.at(-1) as { idx: number; when: number };
    read.entries.push({ ...last, idx: last.idx + 1, when: last.when + 1, tag: '9999_later' });
    fs.writeFileSync(journal, JSON.stringify(read));
    fs.writeFileSync(path.join(later, '9999_later.sql'), 'CREATE TABLE later (id text);');
    const again = openDatabase(folder, NOW, later);
    const [backup] = keptBackups(folder);
    expect(backup).toMatchObject({ why: 'before an update' });
    again.sqlite.close();
    // Once more with the newer file and the older program: it is told, and nothing is written.
    expect(() => workspace()).toThrow('newer program');
    expect(keptBackups(folder)).toHaveLength(1);
  });
});
