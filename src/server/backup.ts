import Sqlite from 'better-sqlite3';
import fs from 'node:fs';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { fail, ok, type Result } from '@/core/shared/result';
import { copyTo, pendingMigrations, stampOf, type Handle } from '@/data/database';

/** A whole workspace as one file: a consistent copy of its database, packed. */
export function makeBackup(handle: Handle, now: Date): Buffer {
  const file = path.join(path.dirname(handle.file), 'backups', `leaving-${stampOf(now)}.sqlite`);
  try {
    copyTo(handle.sqlite, file);
    return gzipSync(fs.readFileSync(file));
  } finally {
    fs.rmSync(file, { force: true });
  }
}

export type RestoreFault = 'not a backup' | 'damaged' | 'newer program';
const MOST_UNPACKED = 1024 * 1024 * 1024;

/**
 * Puts a backup in the place of the workspace. The backup is checked first: packed right, a sound database, of this
 * program or an older one. The workspace as it was goes to backups/ before anything is touched. `close` closes the
 * open workspace.
 */
export function restoreBackup(
  packed: Uint8Array,
  handle: Handle,
  now: Date,
  close: () => void,
): Result<{ kept: string }, RestoreFault> {
  const folder = path.dirname(handle.file);
  const incoming = path.join(folder, `incoming-${stampOf(now)}.sqlite`);
  try {
    fs.writeFileSync(incoming, gunzipSync(packed, { maxOutputLength: MOST_UNPACKED }));
  } catch {
    fs.rmSync(incoming, { force: true });
    return fail('not a backup');
  }
  const fault = faultOf(incoming);
  if (fault) {
    fs.rmSync(incoming, { force: true });
    return fail(fault);
  }
  const kept = path.join(folder, 'backups', `before-restore-${stampOf(now)}.sqlite`);
  copyTo(handle.sqlite, kept);
  close();
  for (const suffix of ['-wal', '-shm']) fs.rmSync(handle.file + suffix, { force: true });
  fs.renameSync(incoming, handle.file);
  return ok({ kept: path.basename(kept) });
}

function faultOf(file: string): RestoreFault | undefined {
  let sqlite: Sqlite.Database | undefined;
  try {
    sqlite = new Sqlite(file, { readonly: true });
    if (sqlite.pragma('integrity_check', { simple: true }) !== 'ok') return 'damaged';
    sqlite.prepare('SELECT count(*) FROM movements').get();
    return pendingMigrations(sqlite) < 0 ? 'newer program' : undefined;
  } catch {
    return 'not a backup';
  } finally {
    sqlite?.close();
  }
}
