import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { SETTINGS_ID } from '@/core/records';
import { changeSettings } from '@/core/workbench';
import { asId, type ActionId } from '@/core/shared/ids';
import { undoTargets } from '@/data/actions';
import { readRecord, readRecords } from '@/data/records';
import { copyDemo, isEmptyWorkspace } from './copy-demo';
import { perform } from './perform';
import { keptBackups } from './restore';
import { dropWorkspace, workspace } from './workspace';

let folder = '';
const before = process.env.EVARN_DATA;
beforeEach(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn own-'));
  process.env.EVARN_DATA = folder;
});
afterEach(() => {
  dropWorkspace();
  if (before === undefined) delete process.env.EVARN_DATA;
  else process.env.EVARN_DATA = before;
  fs.rmSync(folder, { recursive: true, force: true });
});

it('comes into an empty workspace alone, is one’s own there, and what was there is kept', async () => {
  const command = changeSettings(undefined, { currency: 'EUR' });
  perform(workspace(), { ...command, id: asId<ActionId>('s1'), scope: SETTINGS_ID }, new Date());
  expect(isEmptyWorkspace(workspace().db)).toBe(true);
  const done = await copyDemo();
  expect(done).toMatchObject({ ok: true });
  const { db } = workspace();
  expect(readRecords(db, 'build').length).toBeGreaterThan(5);
  // Its settings are those of before; nothing that is undone makes it the demo again.
  expect(readRecord(db, 'settings', SETTINGS_ID)).toMatchObject({ currency: 'EUR', isDemo: false });
  expect(undoTargets(db, SETTINGS_ID).undo).toBeNull();
  expect(keptBackups(folder).map((b) => b.why)).toEqual(['before a restore']);
  expect(await copyDemo()).toEqual({ ok: false, reason: { fault: 'not empty' } });
});
