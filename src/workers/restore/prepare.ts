import Sqlite from 'better-sqlite3';
import fs from 'node:fs';
import type { Trouble } from '@/core/shared/trouble';
import { forgetSummaries } from '@/data/build-summaries';
import { booksFault, type BooksFault } from '@/data/check-books';
import { schemaFault } from '@/data/check-schema';
import { openFile } from '@/data/database';
import { dataFaultOf } from '@/data/faults';
import { NotUnpacked, unpack } from './unpack';

/** A backup to be made ready beside the data: bytes that were uploaded, or a file that lies in the backups folder. */
export interface RestoreTask {
  readonly packed: Uint8Array | null;
  readonly kept: string | null;
  readonly incoming: string;
}

export type RestoreFault =
  | { readonly fault: 'not a backup' }
  | { readonly fault: 'damaged' }
  | { readonly fault: 'too large' }
  | { readonly fault: 'no space' }
  | { readonly fault: 'newer program' }
  | { readonly fault: 'not as made'; readonly what: string }
  | { readonly fault: 'books'; readonly what: BooksFault };

const SQLITE_HEAD = 'SQLite format 3\0';

/**
 * Makes a backup ready to be put in place of the workspace, beside it: unpacked, looked at without being changed,
 * brought to this program's version, and its books held against the laws. Undefined when it is ready; otherwise what is
 * wrong, and nothing is left behind.
 */
export async function prepare(
  task: RestoreTask,
  onStep: (share: number) => void,
): Promise<RestoreFault | undefined> {
  let ready = false;
  try {
    if (task.packed) await unpack(task.packed, task.incoming);
    else if (task.kept) fs.copyFileSync(task.kept, task.incoming);
    onStep(0.1);
    const fault = fileFault(task.incoming) ?? booksOf(task.incoming, onStep);
    ready = !fault;
    return fault;
  } catch (error) {
    return faultOf(error);
  } finally {
    for (const suffix of ['-wal', '-shm', '-journal']) fs.rmSync(task.incoming + suffix, { force: true });
    if (!ready) fs.rmSync(task.incoming, { force: true });
  }
}

function faultOf(error: unknown): RestoreFault {
  if (error instanceof NotUnpacked) return { fault: error.fault };
  const fault = dataFaultOf(error)?.fault;
  if (fault === 'no space') return { fault };
  if (fault === 'damaged' || fault === 'constraint') return { fault: 'damaged' };
  throw error;
}

/** What is wrong with a file before anything of it is run or changed. */
function fileFault(file: string): RestoreFault | undefined {
  const head = Buffer.alloc(SQLITE_HEAD.length);
  const fd = fs.openSync(file, 'r');
  fs.readSync(fd, head);
  fs.closeSync(fd);
  if (head.toString('latin1') !== SQLITE_HEAD) return { fault: 'not a backup' };
  const sqlite = new Sqlite(file, { readonly: true });
  try {
    // The file is a stranger's: nothing that its schema names is run, and its pages are checked as they are read.
    sqlite.pragma('trusted_schema = OFF');
    sqlite.pragma('cell_size_check = ON');
    sqlite.pragma('mmap_size = 0');
    const trouble: Trouble | undefined = schemaFault(sqlite);
    if (trouble?.trouble === 'newer program') return { fault: 'newer program' };
    if (trouble?.trouble === 'not as made') return { fault: 'not as made', what: trouble.what };
    if (!hasTables(sqlite)) return { fault: 'not a backup' };
    if (sqlite.pragma('integrity_check', { simple: true }) !== 'ok') return { fault: 'damaged' };
    const [broken] = sqlite.pragma('foreign_key_check') as { table: string; parent: string }[];
    if (broken)
      return { fault: 'not as made', what: `a row of ${broken.table} refers to no row of ${broken.parent}` };
    return undefined;
  } finally {
    sqlite.close();
  }
}

const hasTables = (sqlite: Sqlite.Database): boolean =>
  sqlite.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'builds'").get() !== undefined;

/** Brings the file to this program's version, and holds its books against the laws. */
function booksOf(file: string, onStep: (share: number) => void): RestoreFault | undefined {
  const handle = openFile(file);
  try {
    const after = schemaFault(handle.sqlite);
    if (after) return { fault: 'not as made', what: 'what' in after ? after.what : after.trouble };
    const broken = booksFault(handle.db, (share) => onStep(0.3 + 0.6 * share));
    if (broken) return { fault: 'books', what: broken };
    forgetSummaries(handle.db);
    // One file and no log beside it: what is renamed into place must be whole.
    handle.sqlite.pragma('wal_checkpoint(TRUNCATE)');
    handle.sqlite.pragma('journal_mode = DELETE');
    return undefined;
  } finally {
    handle.sqlite.close();
  }
}
