import fs from 'node:fs';
import path from 'node:path';
import { BACKUP } from '@/core/shared/bounds';
import { fail, ok, type Result } from '@/core/shared/result';
import { stampOf, WORKSPACE_FILE } from '@/data/database';
import type { RestoreFault as FileFault } from '@/workers/restore/prepare';
import { announce } from './feed';
import { runOnce } from './threads/run-once';
import { WaitingLine } from './threads/waiting-line';
import { closeWorkspace, holdFolder, workspace, workspaceTrouble } from './workspace';

export type RestoreFault =
  | FileFault
  | { readonly fault: 'too costly' }
  | { readonly fault: 'busy' }
  | { readonly fault: 'no such backup' }
  | { readonly fault: 'cannot be opened' };

/** A copy of the workspace that lies in the backups folder, and why it was made. */
export interface KeptBackup {
  readonly name: string;
  readonly why: 'before a restore' | 'before an update' | 'kept';
  readonly at: string;
  readonly bytes: number;
}

const NAME = /^[\w-]{1,120}\.sqlite$/;

/** The copies in the backups folder, newest first. */
export function keptBackups(folder: string): KeptBackup[] {
  const place = path.join(folder, 'backups');
  if (!fs.existsSync(place)) return [];
  return fs
    .readdirSync(place)
    .filter((name) => NAME.test(name) && !name.startsWith('leaving-'))
    .map((name) => {
      const { mtime, size } = fs.statSync(path.join(place, name));
      const why = name.startsWith('before-restore')
        ? ('before a restore' as const)
        : name.startsWith('before-migration')
          ? ('before an update' as const)
          : ('kept' as const);
      return { name, why, at: mtime.toISOString(), bytes: size };
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1));
}

/** One restore at a time, the process over. */
const kept = globalThis as { evarnRestores?: WaitingLine };
const line = (kept.evarnRestores ??= new WaitingLine(1, 0));

/**
 * Puts a backup in the place of the workspace. It is made ready beside the data first, in a thread with bounds of memory
 * and time: unpacked, compared with what its version must be, its books checked, brought up to date. Only then does it
 * take the place; the workspace as it was stays in backups/, and comes back when the program cannot open the new one.
 * Works with a workspace in trouble too. Gives the name of the copy of what was there, null when nothing was.
 */
export async function restore(
  from: { packed: Uint8Array } | { kept: string },
  folder: string,
  now: Date,
): Promise<Result<{ kept: string | null }, RestoreFault>> {
  holdFolder(folder);
  const leave = await line.enter();
  if (!leave) return fail({ fault: 'busy' });
  const incoming = path.join(folder, `incoming-${stampOf(now)}.sqlite`);
  try {
    const source = 'kept' in from ? keptFile(folder, from.kept) : null;
    if ('kept' in from && !source) return fail({ fault: 'no such backup' });
    const task = { packed: 'packed' in from ? from.packed : null, kept: source, incoming };
    const ran = await runOnce<{ fault: FileFault | null }>('restore', task, BACKUP);
    if (ran.ended !== 'answer')
      return fail(ran.ended === 'broken' ? { fault: 'damaged' } : { fault: 'too costly' });
    if (ran.value.fault) return fail(ran.value.fault);
    return putInPlace(folder, incoming, now);
  } finally {
    for (const suffix of ['', '-wal', '-shm', '-journal']) fs.rmSync(incoming + suffix, { force: true });
    leave();
  }
}

function keptFile(folder: string, name: string): string | null {
  const file = path.join(folder, 'backups', name);
  return NAME.test(name) && fs.existsSync(file) ? file : null;
}

/**
 * The change itself: two renames of whole files. The old file is given its name in backups/ before the new one takes
 * its place, so that whenever this is cut off there is one workspace, the old or the new.
 */
function putInPlace(
  folder: string,
  incoming: string,
  now: Date,
): Result<{ kept: string | null }, RestoreFault> {
  const file = path.join(folder, WORKSPACE_FILE);
  const old = `before-restore-${stampOf(now)}.sqlite`;
  const oldFile = path.join(folder, 'backups', old);
  if (workspaceTrouble() === null) workspace().sqlite.pragma('wal_checkpoint(TRUNCATE)');
  closeWorkspace();
  const was = fs.existsSync(file);
  if (was) keepAs(file, oldFile);
  // A log that a broken file could not be opened with belongs to that file.
  if (fs.existsSync(`${file}-wal`)) fs.renameSync(`${file}-wal`, `${oldFile}-wal`);
  fs.rmSync(`${file}-shm`, { force: true });
  fs.renameSync(incoming, file);
  if (workspaceTrouble() === null) {
    announce();
    return ok({ kept: was ? old : null });
  }
  closeWorkspace();
  fs.rmSync(file, { force: true });
  if (was) fs.renameSync(oldFile, file);
  if (fs.existsSync(`${oldFile}-wal`)) fs.renameSync(`${oldFile}-wal`, `${file}-wal`);
  return fail({ fault: 'cannot be opened' });
}

/** A second name for a file, which costs nothing; a copy where the disk knows no second names. */
function keepAs(file: string, name: string): void {
  try {
    fs.linkSync(file, name);
  } catch {
    fs.copyFileSync(file, name);
  }
}
