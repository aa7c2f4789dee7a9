import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { forgetSummaries } from '@/data/build-summaries';
import { openDatabase } from '@/data/database';
import { recordTable } from '@/data/schema';
import { summariseBuild } from '@/data/summarise-build';
import { readBuilds } from './build-list';
import { NOW, testBuild, type TestBuild } from './testing/workspace';
import * as threads from './threads/run-once';

let folder: string;
let t: TestBuild;
beforeAll(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-summaries-'));
  t = testBuild(openDatabase(folder, NOW));
  t.log('-2 plate 2x3 chalk');
  // A log as long as this is told by its numbers.
  const entries = recordTable('entry');
  t.handle.db.update(entries).set({ no: 2000 }).where(eq(entries.no!, 1)).run();
});
afterAll(() => {
  t.handle.sqlite.close();
  fs.rmSync(folder, { recursive: true });
});

const figures = () => readBuilds(t.handle).builds[0]!.figures;
const settled = () => vi.waitFor(() => expect(readBuilds(t.handle).waiting).toBe(0), { timeout: 20_000 });

it('what a long log comes to is worked out beside the server, once for many who look', async () => {
  const ran = vi.spyOn(threads, 'runOnce');
  expect([figures(), figures(), readBuilds(t.handle).waiting]).toEqual([null, null, 1]);
  expect(ran).toHaveBeenCalledTimes(1);
  await settled();
  expect(figures()).toEqual(summariseBuild(t.handle.db, t.build));
  expect(figures()).toMatchObject({ onModel: 110, sparesLeft: 4 });
  ran.mockRestore();
});

it('and anew when something was logged, with nothing of before meanwhile', async () => {
  t.log('+1 brick 1x2 ash');
  expect(figures()).toBeNull();
  await settled();
  expect(figures()).toMatchObject({ onModel: 111 });
});

it('is worked out here where no thread can do it', async () => {
  vi.spyOn(threads, 'runOnce').mockResolvedValueOnce({ ended: 'broken' });
  forgetSummaries(t.handle.db);
  expect(figures()).toBeNull();
  await vi.waitFor(() => expect(figures()).toMatchObject({ onModel: 111 }));
});
