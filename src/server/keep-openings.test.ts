import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { waitFor } from '@/core/market';
import { el } from '@/core/testing/world';
import { asId, type ActionId, type BuildId } from '@/core/shared/ids';
import { STOCK_SCOPE } from '@/core/ledger';
import { openDatabase } from '@/data/database';
import { packedOpening } from './keep-openings';
import { perform } from './perform';
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
const unpacked = (bytes: Uint8Array | null) => joined(gunzipSync(bytes!).toString());
/** The lines as the page joins them. */
function joined(text: string): unknown {
  const [first, ...records] = text.split('\n').map((line) => JSON.parse(line) as unknown);
  const { value } = first as { value: object };
  return { ...value, records: records.flat() };
}
const now = () => JSON.parse(JSON.stringify(takeOpening(t.handle, t.build))) as unknown;

it('a build is read beside the server as it is read by it, once for many who ask', async () => {
  t.log('-2 plate 2x3 chalk');
  const [first, second] = await Promise.all([packed(), packed()]);
  expect(unpacked(first)).toEqual(now());
  expect(second).toBe(first);
  expect(await packed()).toBe(first);
});

it('is kept while other things are done, and read anew when something was done to the build', async () => {
  const before = await packed();
  const wait = waitFor(el('brick 1x2', 'ash'), 3, { newId: t.newId, now: '2026-11-24' });
  perform(t.handle, { id: asId<ActionId>('w1'), scope: STOCK_SCOPE, ...wait }, NOW);
  expect(await packed()).toBe(before);
  t.log('+1 brick 1x2 slate at 0.12');
  const after = await packed();
  expect(after).not.toBe(before);
  expect(unpacked(after)).toEqual(now());
});

it('is nothing of a build that is not there', async () => {
  expect(await packedOpening(t.handle, asId<BuildId>('nobody'))).toBeNull();
});
