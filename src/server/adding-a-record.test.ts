import { generateSQLiteDrizzleJson, generateSQLiteMigration } from 'drizzle-kit/api';
import fs from 'node:fs';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { actionSchema, readModFile } from '@/core/formats';
import { added, changed, removed, type RecordType, type RecordTypes } from '@/core/ledger';
import { booksFault } from '@/data/check-books';
import { openDatabase, type Handle } from '@/data/database';
import { readRecords } from '@/data/records';
import * as schema from '@/data/schema';
import { wholeFile } from './export-file';
import { importModFile } from './import-mod-file';
import { undoOrRedo } from './perform';
import { takeSnapshot } from './snapshot';
import { NOW, testBuild, type TestBuild } from './testing/workspace';

// One line in the registry, as a person who adds a kind of record writes it. `displayLabel` is one file.
vi.mock(import('@/core/records/all'), async (original) => {
  const { RECORDS } = await original();
  const { displayLabel } = await import('./testing/display-label');
  return { RECORDS: [...RECORDS.slice(0, -1), displayLabel, ...RECORDS.slice(-1)] as never };
});

const TYPE = 'displayLabel' as RecordType;

interface Label {
  readonly id: string;
  readonly build: string;
  readonly zone: string;
  readonly tells: readonly string[];
  readonly beside: string | null;
  readonly text: string;
}

let t: TestBuild;
let label: Label;
const labels = () => readRecords(t.handle.db, TYPE) as unknown as Label[];
const asRecord = (l: Label) => l as unknown as RecordTypes[typeof TYPE];
const act = (diff: ReturnType<typeof added>) => t.act({ label: 'label', diff });

/** The migration that `npm run db:generate` would write for the new kind. */
async function migrate({ sqlite }: Handle) {
  const last = fs
    .readdirSync('drizzle/meta')
    .filter((f) => f.endsWith('_snapshot.json'))
    .sort()
    .at(-1)!;
  const before = JSON.parse(fs.readFileSync(`drizzle/meta/${last}`, 'utf8')) as { id: string };
  const tables = { ...schema, ...Object.fromEntries(schema.RECORD_TABLES) };
  const now = await generateSQLiteDrizzleJson(tables, before.id, 'snake_case');
  const statements = await generateSQLiteMigration(before as never, now);
  expect(statements.join('\n')).toContain('CREATE TABLE `display_labels`');
  for (const s of statements) sqlite.exec(s);
}

beforeAll(async () => {
  const handle = openDatabase(':memory:', NOW);
  await migrate(handle);
  t = testBuild(handle);
  const workbench = t.open();
  const zone = workbench.zones.find((z) => z.name === 'Porch')!.id;
  label = {
    id: 'l1',
    build: t.build,
    zone,
    tells: [workbench.modifications[0]!.id],
    beside: `model:${zone}`,
    text: 'The porch',
  };
});

describe('a kind of record that is added in one file and one line', () => {
  it('is checked at the door by its fields', () => {
    const at = (record: object) =>
      actionSchema.safeParse({
        id: 'a',
        scope: t.build,
        label: '',
        diff: { added: [{ type: TYPE, record }], changed: [], removed: [] },
      });
    expect(at(label).success).toBe(true);
    for (const bad of [{ text: '' }, { zone: null }, { beside: 'nowhere' }, { tells: [7] }, { more: 1 }])
      expect([bad, at({ ...label, ...bad }).success]).toEqual([bad, false]);
  });

  it('is stored, changed, deleted and undone like any other', () => {
    expect(act(added(TYPE, asRecord(label))).ok).toBe(true);
    expect(labels()).toEqual([label]);
    expect(act(changed(TYPE, asRecord(label), { text: 'The old porch' } as never)).ok).toBe(true);
    expect(undoOrRedo(t.handle, 'u1', t.build, 'undo').ok).toBe(true);
    expect(labels()).toEqual([label]);
    expect(act(removed(TYPE, asRecord(label))).ok).toBe(true);
    expect(labels()).toEqual([]);
    expect(undoOrRedo(t.handle, 'u2', t.build, 'undo').ok).toBe(true);
    expect(takeSnapshot(t.handle, t.build)?.records.filter((r) => r.type === TYPE)).toEqual([
      { type: TYPE, record: label },
    ]);
    expect(booksFault(t.handle.db)).toBeUndefined();
  });

  it('is refused where what it refers to is not there, and keeps it from being deleted', () => {
    expect(act(added(TYPE, asRecord({ ...label, id: 'l2', zone: 'none' })))).toMatchObject({
      reason: { refused: 'belongs to nothing' },
    });
    expect(act(added(TYPE, asRecord({ ...label, id: 'l2', beside: 'model:none' })))).toMatchObject({
      reason: { refused: 'belongs to nothing' },
    });
    const zone = t.open().zones.find((z) => z.id === label.zone)!;
    expect(act(removed('zone', zone)).ok).toBe(false);
  });

  it('travels in a mod file and arrives with new ids throughout', () => {
    const text = wholeFile(t.handle, t.build, 'mod.json')!;
    expect(JSON.parse(text)).toMatchObject({ displayLabels: [label] });
    const brought = importModFile(text, 'again', { handle: t.handle, newId: t.newId, now: NOW });
    if (!brought.ok) throw new Error(JSON.stringify(brought.reason));
    const arrived = labels().find((l) => l.build === brought.value.build)!;
    const zones = readRecords(t.handle.db, 'zone', brought.value.build);
    const porch = zones.find((z) => z.name === 'Porch')!.id;
    const [modification] = readRecords(t.handle.db, 'modification', brought.value.build);
    expect(arrived).toEqual({
      id: arrived.id,
      build: brought.value.build,
      zone: porch,
      tells: [modification!.id],
      beside: `model:${porch}`,
      text: 'The porch',
    });
    expect([arrived.id, arrived.zone]).not.toContain(label.id);
  });

  it('keeps a mod file out whose label refers to nothing', () => {
    const file = JSON.parse(wholeFile(t.handle, t.build, 'mod.json')!) as object;
    const said = (change: Partial<Label>) =>
      readModFile(JSON.stringify({ ...file, displayLabels: [{ ...label, ...change }] }));
    expect(said({})).toMatchObject({ ok: true });
    for (const change of [{ zone: 'none' }, { tells: ['none'] }, { beside: 'donor:none' }])
      expect(said(change)).toMatchObject({
        reason: { fault: 'refers to nothing', id: 'none', where: 'displayLabels' },
      });
  });
});
