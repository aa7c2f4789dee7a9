import { spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { changeSettings } from '@/core/workbench';
import { SETTINGS_ID, type Settings } from '@/core/records';
import { fail, type Result } from '@/core/shared/result';
import { asId, type ActionId } from '@/core/shared/ids';
import { dataFolder, openDatabase, WORKSPACE_FILE, type Database } from '@/data/database';
import { readRecord, readRecords } from '@/data/records';
import { perform } from './perform';
import { restore, type RestoreFault } from './restore';
import { workspace } from './workspace';

export type CopyDemoFault = { readonly fault: 'not empty' } | { readonly fault: 'not seeded' } | RestoreFault;

/** Whether there is nothing in a workspace that a copy of the demo would take the place of. */
export const isEmptyWorkspace = (db: Database): boolean =>
  (['build', 'tray', 'price'] as const).every((type) => readRecords(db, type).length === 0);

/**
 * Puts a copy of the demo's builds, own parts and prices into a workspace in which there is nothing yet, and leaves it one's own. The
 * demo is seeded by a process of its own, so that this one goes on answering, and comes in as a backup does: what was here is kept.
 */
export async function copyDemo(): Promise<Result<{ kept: string | null }, CopyDemoFault>> {
  const folder = dataFolder();
  const before = workspace().db;
  if (!isEmptyWorkspace(before)) return fail({ fault: 'not empty' });
  const settings = readRecord(before, 'settings', SETTINGS_ID);
  const seeded = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-demo-'));
  try {
    if ((await seed(seeded)) !== 0 || !makeOwn(seeded, settings)) return fail({ fault: 'not seeded' });
    const name = `demo-${Date.now()}.sqlite`;
    const kept = path.join(folder, 'backups', name);
    fs.copyFileSync(path.join(seeded, WORKSPACE_FILE), kept);
    const done = await restore({ kept: name }, folder, new Date());
    fs.rmSync(kept, { force: true });
    return done;
  } finally {
    fs.rmSync(seeded, { recursive: true, force: true });
  }
}

/**
 * Takes the mark of the demo from a seeded file, and gives it the settings of the workspace that it goes to. Done to the file, so that
 * nobody sees it as the demo; and in no list that a person can undo, since that would make it the demo again.
 */
function makeOwn(folder: string, settings: Settings | undefined): boolean {
  const handle = openDatabase(folder, new Date());
  try {
    const seeded = readRecord(handle.db, 'settings', SETTINGS_ID);
    const command = changeSettings(seeded, { ...settings, isDemo: false });
    return perform(handle, { ...command, id: asId<ActionId>('demo-made-own'), scope: 'demo' }, new Date()).ok;
  } finally {
    handle.sqlite.close();
  }
}

/** Runs the seeding as a person would, on a folder of its own; its exit code. */
function seed(folder: string): Promise<number> {
  const root = /* turbopackIgnore: true */ process.cwd();
  const program = path.join(root, 'node_modules/tsx/dist/cli.mjs');
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [program, path.join(root, 'scripts/seed.ts')], {
      cwd: root,
      env: { ...process.env, EVARN_DATA: folder },
      stdio: 'ignore',
    });
    child.on('error', () => resolve(1));
    child.on('close', (code) => resolve(code ?? 1));
  });
}
