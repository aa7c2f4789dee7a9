import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { added, STOCK_SCOPE } from '@/core/ledger';
import { waitFor } from '@/core/market';
import { asId, type ActionId, type BuildId, type EntryId } from '@/core/shared/ids';
import { el } from '@/core/testing/world';
import { caughtUp, recordsOfLine, type BuildSnapshot, type News, type RecordLine } from '@/core/workbench';
import { openDatabase } from '@/data/database';
import { deleteBuildOf } from './delete-build';
import { packedOpening, readLongLogs } from './keep-openings';
import { perform, undoOrRedo } from './perform';
import { takeOpening } from './snapshot';
import { NOW, testBuild, type TestBuild } from './testing/workspace';

let folder: string;
let t: TestBuild;
beforeAll(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-openings-'));
  t = testBuild(openDatabase(folder, NOW));
});
afterAll(() => {
  t.handle.sqlite.close();
  fs.rmSync(folder, { recursive: true });
});

const packed = () => packedOpening(t.handle, t.build);
type Line = { readonly value: BuildSnapshot } | { readonly news: News } | RecordLine;

/** The lines as the page joins them, and how many things it was told behind them. */
function joined(bytes: Uint8Array | null): { readonly snapshot: BuildSnapshot; readonly told: number } {
  const lines = gunzipSync(bytes!).toString().split('\n');
  const read = lines.map((line) => JSON.parse(line) as Line);
  const [first] = read.flatMap((l) => ('value' in l ? [l.value] : []));
  const [news] = read.flatMap((l) => ('news' in l ? [l.news] : []));
  const snapshot = {
    ...first!,
    records: read.flatMap((l) => ('value' in l || 'news' in l ? [] : recordsOfLine(l))),
  };
  return { snapshot: news ? caughtUp(snapshot, news) : snapshot, told: news?.diffs.length ?? 0 };
}
const now = () => JSON.parse(JSON.stringify(takeOpening(t.handle, t.build))) as BuildSnapshot;
/** What a build has, in whatever order; what it opens with of other builds and prices is asked for apart. */
const ownOf = ({ records, revision, undoRedo }: BuildSnapshot) => {
  const own = records.filter((r) => r.type !== 'price');
  return { revision, undoRedo, own: new Map(own.map((r) => [`${r.type} ${r.record.id}`, r.record])) };
};
const turn = (direction: 'undo' | 'redo') => undoOrRedo(t.handle, t.newId(), t.build, direction);

it('a build is read beside the server as it is read by it, once for many who ask', async () => {
  t.log('-2 plate 2x3 chalk');
  const [first, second] = await Promise.all([packed(), packed()]);
  expect(joined(first)).toEqual({ snapshot: now(), told: 0 });
  expect(second).toEqual(first);
  expect(await packed()).toEqual(first);
});

it('is not read anew for what was done since, in this build or elsewhere: that is told behind it', async () => {
  const wait = waitFor(el('brick 1x2', 'ash'), 3, { newId: t.newId, now: '2026-11-24' });
  perform(t.handle, { id: asId<ActionId>('w1'), scope: STOCK_SCOPE, ...wait }, NOW);
  expect(joined(await packed()).told).toBe(1);
  t.log('+1 brick 1x2 slate at 0.12');
  t.log('~2 brick 1x2 ash > chalk');
  turn('undo');
  turn('undo');
  turn('redo');
  const after = joined(await packed());
  expect(after.told).toBe(6);
  expect(ownOf(after.snapshot)).toEqual(ownOf(now()));
  expect(ownOf(now()).own.size).toBeGreaterThan(5);
});

it('is read anew beside once much was done, and at once where that is too much to be told', async () => {
  for (let n = 0; n < 45; n++) t.log('+1 brick 1x2 slate at 0.12');
  const behind = joined(await packed());
  expect(behind.told).toBe(51);
  expect(ownOf(behind.snapshot)).toEqual(ownOf(now()));
  await vi.waitFor(async () => expect(joined(await packed()).told).toBe(0), 10_000);
  const one = t.open().entries.at(-1)!;
  const more = Array.from({ length: 2000 }, (_, i) => ({
    ...one,
    id: asId<EntryId>(t.newId()),
    no: one.no + 1 + i,
  }));
  t.act({ label: 'two thousand more', diff: added('entry', ...more) });
  const anew = joined(await packed());
  expect(anew.told).toBe(0);
  expect(ownOf(anew.snapshot)).toEqual(ownOf(now()));
});

it('is read before anybody asks, where the log is long', async () => {
  const held = globalThis as { evarnOpenings?: Map<BuildId, unknown> };
  const small = testBuild(t.handle, 'small');
  held.evarnOpenings!.clear();
  await readLongLogs(t.handle);
  expect([...held.evarnOpenings!.keys()]).toEqual([t.build]);
  expect(small.open().entries.length).toBeGreaterThan(0);
});

it('is gone on with however much was done in another build', async () => {
  await packed();
  const before = joined(await packed()).told;
  const other = testBuild(t.handle, 'much');
  const one = other.open().entries.at(-1)!;
  const more = Array.from({ length: 2000 }, (_, i) => ({
    ...one,
    id: asId<EntryId>(other.newId()),
    no: one.no + 1 + i,
  }));
  other.act({ label: 'two thousand elsewhere', diff: added('entry', ...more) });
  const after = await packed();
  expect(joined(after).told).toBeGreaterThan(before);
  expect(ownOf(joined(after).snapshot)).toEqual(ownOf(now()));
});

it('is nothing of a build that is not there, or no longer', async () => {
  expect(await packedOpening(t.handle, asId<BuildId>('nobody'))).toBeNull();
  const other = testBuild(t.handle, 'other');
  expect(await packedOpening(t.handle, other.build)).not.toBeNull();
  const all = { build: other.build, request: other.newId(), traysStay: true };
  expect(deleteBuildOf(t.handle, all, other.newId, NOW).ok).toBe(true);
  expect(await packedOpening(t.handle, other.build)).toBeNull();
});
