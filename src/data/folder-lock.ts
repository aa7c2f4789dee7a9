import Sqlite from 'better-sqlite3';
import fs from 'node:fs';
import path from 'node:path';

/** Who has a data folder open. */
export interface Holder {
  readonly pid: number;
  readonly since: string;
  /** Where it answers, if it is a server. */
  readonly url: string | null;
}

export interface FolderLock {
  release(): void;
}

/**
 * Takes a data folder for this process alone. The lock is the operating system's own, on a small SQLite file held in an
 * exclusive transaction: it goes with the process, however that ends, and never has to be cleaned up. Gives who holds
 * it when somebody does. Throws what the file system says when the folder cannot be written.
 */
export function lockFolder(folder: string, me: Holder): { lock: FolderLock } | { heldBy: Holder | null } {
  const note = path.join(folder, 'lock.json');
  const sqlite = new Sqlite(path.join(folder, 'lock.sqlite'), { timeout: 0 });
  try {
    sqlite.pragma('journal_mode = DELETE');
    sqlite.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    sqlite.close();
    if (!(error instanceof Error && 'code' in error && String(error.code).startsWith('SQLITE_BUSY')))
      throw error;
    return { heldBy: readHolder(note) };
  }
  fs.writeFileSync(note, JSON.stringify(me));
  return {
    lock: {
      release() {
        fs.rmSync(note, { force: true });
        sqlite.close();
      },
    },
  };
}

function readHolder(note: string): Holder | null {
  try {
    return JSON.parse(fs.readFileSync(note, 'utf8')) as Holder;
  } catch {
    return null;
  }
}

/** Who has a data folder open now; null = nobody. Takes and leaves the lock, so it never names one that has ended. */
export function holderOf(folder: string): Holder | null {
  const got = lockFolder(folder, { pid: process.pid, since: '', url: null });
  if ('heldBy' in got) return got.heldBy ?? { pid: 0, since: '', url: null };
  got.lock.release();
  return null;
}
