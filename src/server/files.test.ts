import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { afterEach, describe, expect, it } from 'vitest';
import writeXlsxFile from 'write-excel-file/node';
import { countingIds } from '@/core/shared/ids';
import { FIGURES } from '@/core/ledger';
import { MOST_BYTES } from '@/core/formats';
import { openDatabase, pendingMigrations } from '@/data/database';
import { readRecords } from '@/data/records';
import { makeBackup, restoreBackup } from './backup';
import { bringModFile } from './bring-mod-file';
import { readUpload } from './read-upload';
import { openWorkbench } from './snapshot';
import { FILES, takeAway } from './take-away';
import { NOW, testBuild } from './testing/workspace';

const folders: string[] = [];
const folder = () => {
  const made = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-'));
  folders.push(made);
  return made;
};
afterEach(() => folders.splice(0).forEach((f) => fs.rmSync(f, { recursive: true, force: true })));
const bytes = (text: string) => new TextEncoder().encode(text);

describe('reading uploads by their content', () => {
  it('reads XLSX', async () => {
    const cells = [
      ['What', 'Shade', 'How many'].map((value) => ({ value })),
      [{ value: 'plate 2x3' }, { value: 'chalk' }, { value: 4, type: Number }],
    ];
    const file = await writeXlsxFile(cells as never).toBuffer();
    const read = await readUpload(file);
    expect(read).toMatchObject({
      ok: true,
      value: { heading: ['What', 'Shade', 'How many'], rows: [['plate 2x3', 'chalk', '4']] },
    });
  });

  it.each([
    ['UTF-8', bytes('part,colour,qty\nplate 2x3,chälk,4')],
    [
      'UTF-16 with its mark',
      Uint8Array.from([0xff, 0xfe, ...Buffer.from('part,colour,qty\nplate 2x3,chälk,4', 'utf16le')]),
    ],
    [
      'the old Western encoding',
      Uint8Array.from(Buffer.from('part,colour,qty\nplate 2x3,chälk,4', 'latin1')),
    ],
  ])('reads text in %s', async (_, data) =>
    expect(await readUpload(data)).toMatchObject({
      ok: true,
      value: { rows: [['plate 2x3', 'chälk', '4']] },
    }),
  );

  it('refuses what is too large, damaged, old or no table', async () => {
    expect(await readUpload(new Uint8Array(MOST_BYTES + 1))).toMatchObject({
      reason: { fault: 'too large' },
    });
    expect(await readUpload(Uint8Array.from([0x50, 0x4b, 3, 4, 9, 9, 9]))).toMatchObject({
      reason: { fault: 'unreadable' },
    });
    expect(await readUpload(Uint8Array.from([0xd0, 0xcf, 0x11, 0xe0, 1]))).toMatchObject({
      reason: { fault: 'old spreadsheet' },
    });
    expect(await readUpload(Uint8Array.from([0, 1, 2, 0]))).toMatchObject({
      reason: { fault: 'not a table' },
    });
    expect(await readUpload(bytes(''))).toMatchObject({ reason: { fault: 'empty' } });
    const rows = `part,colour,qty\n${'brick 1x2,ash,1\n'.repeat(50_001)}`;
    expect(await readUpload(bytes(rows))).toMatchObject({ reason: { fault: 'too many rows' } });
  });

  it('refuses a small file that says it unpacks to a huge one', async () => {
    const bomb = new Uint8Array(80);
    const view = new DataView(bomb.buffer);
    view.setUint32(0, 0x04034b50, true);
    view.setUint32(20, 0x02014b50, true);
    view.setUint32(44, 0xfffffff0, true);
    expect(await readUpload(bomb)).toMatchObject({ reason: { fault: 'too large' } });
  });
});

describe('backup and restore', () => {
  it('brings the whole workspace back, and keeps what was there', () => {
    const place = folder();
    let handle = openDatabase(place, NOW);
    const t = testBuild(handle);
    t.log('-2 plate 2x3 chalk');
    const packed = makeBackup(handle, NOW);
    t.log('-5 plate 2x3 chalk');
    const done = restoreBackup(packed, handle, NOW, () => handle.sqlite.close());
    expect(done.ok).toBe(true);
    handle = openDatabase(place, NOW);
    expect(openWorkbench(handle, t.build)!.built.figures({ of: 'build' }).out).toBe(2);
    const kept = fs.readdirSync(path.join(place, 'backups'));
    expect(kept).toEqual([done.ok && done.value.kept]);
    handle.sqlite.close();
  });

  it('refuses what is no backup, and changes nothing', () => {
    const place = folder();
    const handle = openDatabase(place, NOW);
    const t = testBuild(handle);
    const packed = makeBackup(handle, NOW);
    const file = gunzipSync(packed);
    file.fill(0xff, 4096, 12_288);
    for (const [data, reason] of [
      [bytes('nonsense'), 'not a backup'],
      [gzipSync('still nonsense'), 'not a backup'],
      [gzipSync(file), expect.stringMatching(/damaged|not a backup/)],
    ] as const)
      expect(restoreBackup(data, handle, NOW, () => expect.unreachable())).toEqual({ ok: false, reason });
    expect(t.open().built.figures({ of: 'build' }).onModel).toBe(112);
    expect(fs.readdirSync(place).filter((f) => f.startsWith('incoming'))).toEqual([]);
    handle.sqlite.close();
  });

  it('copies the file before it migrates it', () => {
    const place = folder();
    const handle = openDatabase(place, NOW);
    testBuild(handle);
    expect(pendingMigrations(handle.sqlite)).toBe(0);
    handle.sqlite.close();
    const later = path.join(folder(), 'drizzle');
    fs.cpSync('drizzle', later, { recursive: true });
    const journal = path.join(later, 'meta/_journal.json');
    const read = JSON.parse(fs.readFileSync(journal, 'utf8')) as { entries: object[] };
    const last = read.entries.at(-1) as { idx: number; when: number };
    read.entries.push({ ...last, idx: last.idx + 1, when: last.when + 1, tag: '9999_later' });
    fs.writeFileSync(journal, JSON.stringify(read));
    fs.writeFileSync(path.join(later, '9999_later.sql'), 'CREATE TABLE later (id text);');
    const again = openDatabase(place, NOW, later);
    expect(readRecords(again.db, 'build')).toHaveLength(1);
    const [backup] = fs.readdirSync(path.join(place, 'backups'));
    expect(backup).toMatch(/^before-migration-20261124/);
    again.sqlite.close();
  });
});

describe('taking a build away', () => {
  it('makes every file, under a name that is safe everywhere', () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk "=danger"');
    const build = t.open().records.build.get(t.build)!;
    t.act({
      label: 'x',
      diff: {
        added: [],
        removed: [],
        changed: [{ type: 'build', from: build, to: { ...build, name: '../<b>"Ü🧱\r\nX: y' } }],
      },
    });
    for (const file of FILES) {
      const made = takeAway(t.handle, t.build, file)!;
      expect(made.name).toMatch(/^[\w-]+\.(csv|json)$/);
      expect(made.text.length).toBeGreaterThan(10);
    }
    expect(takeAway(t.handle, t.build, 'worklog.csv')!.text).toContain("'=danger");
  });

  it('a mod file brought in beside its build gives the same books', () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk; +3 tile 2x2 slate at 0.15; ~4 arch 1x4 ash > bark @gallery');
    const file = takeAway(t.handle, t.build, 'mod.json')!.text;
    const brought = bringModFile(file, 'r', { handle: t.handle, newId: countingIds('m'), now: NOW });
    if (!brought.ok) throw new Error(JSON.stringify(brought.reason));
    const [old, now] = [t.open(), openWorkbench(t.handle, brought.value.build)!];
    for (const f of FIGURES)
      expect(now.built.figures({ of: 'build' })[f]).toBe(old.built.figures({ of: 'build' })[f]);
  });
});
