import fs from 'node:fs';
import path from 'node:path';
import type { Trouble } from '@/core/shared/trouble';
import { BUSY } from '@/core/shared/bounds';
import { dataFolder, openDatabase, openFault, type Handle } from '@/data/database';
import { dataFaultOf } from '@/data/faults';
import { lockFolder, type FolderLock } from '@/data/folder-lock';
import { settle } from './settings';

/** Thrown where the workspace is asked for and is not available; every route and page makes a sentence of it. */
export class WorkspaceTrouble extends Error {
  constructor(readonly trouble: Trouble) {
    super(trouble.trouble);
  }
}

/** What this process holds, on globalThis: pages, routes and the start are bundled apart and must share it. */
interface Held {
  evarnWorkspace?: Handle | undefined;
  evarnLock?: { folder: string; lock: FolderLock } | undefined;
  evarnTrouble?: { trouble: Trouble; until: number } | undefined;
}
const held = globalThis as typeof globalThis & Held;
/** How long a trouble is told again before the file is looked at anew. */
const TELL_AGAIN_MS = 3000;

/** The open workspace. Throws `WorkspaceTrouble` with the reason when there is none. */
export function workspace(): Handle {
  if (held.evarnWorkspace) return held.evarnWorkspace;
  const known = held.evarnTrouble;
  if (known && known.until > Date.now()) throw new WorkspaceTrouble(known.trouble);
  try {
    held.evarnWorkspace = open(dataFolder());
    settle(held.evarnWorkspace.db);
    held.evarnTrouble = undefined;
    return held.evarnWorkspace;
  } catch (error) {
    const trouble = troubleOf(error);
    if (!trouble) throw error;
    held.evarnTrouble = { trouble, until: Date.now() + TELL_AGAIN_MS };
    throw new WorkspaceTrouble(trouble);
  }
}

function open(folder: string): Handle {
  holdFolder(folder);
  const fault = openFault(folder);
  if (fault) throw new WorkspaceTrouble(fault);
  return openDatabase(folder, new Date());
}

/** Takes the folder for this process, once. */
export function holdFolder(folder: string): void {
  makeFolder(path.join(folder, 'backups'));
  fs.accessSync(folder, fs.constants.W_OK);
  if (held.evarnLock?.folder === folder) return;
  const port = process.env.PORT;
  const got = lockFolder(folder, {
    pid: process.pid,
    since: new Date().toISOString(),
    url: port ? `http://127.0.0.1:${port}` : null,
  });
  if ('heldBy' in got) {
    const { pid = null, url = null, since = null } = got.heldBy ?? {};
    throw new WorkspaceTrouble({ trouble: 'held', pid, url, since });
  }
  held.evarnLock = { folder, lock: got.lock };
  // What a restore of an earlier process left behind when it was cut off.
  for (const name of fs.readdirSync(folder))
    if (name.startsWith('incoming-')) fs.rmSync(path.join(folder, name), { force: true });
}

/**
 * Makes a folder and those above it. On a read-only disk the system's answer to that is that a folder is missing: the
 * nearest one that is there says what the matter really is.
 */
function makeFolder(folder: string): void {
  try {
    fs.mkdirSync(folder, { recursive: true });
  } catch (error) {
    let above = folder;
    while (!fs.existsSync(above)) above = path.dirname(above);
    fs.accessSync(above, fs.constants.W_OK);
    throw error;
  }
}

/** Closes the workspace, so that its file can be put in place of another. The next use opens it again. */
export function closeWorkspace(): void {
  held.evarnWorkspace?.sqlite.close();
  held.evarnWorkspace = undefined;
  held.evarnTrouble = undefined;
}

/** Closes the workspace and lets go of its folder, for tests that use several in one process. */
export function dropWorkspace(): void {
  closeWorkspace();
  held.evarnLock?.lock.release();
  held.evarnLock = undefined;
}

/** The trouble behind an error, if the workspace or its disk is the reason. */
export function troubleOf(error: unknown): Trouble | undefined {
  if (error instanceof WorkspaceTrouble) return error.trouble;
  const fault = dataFaultOf(error);
  return fault && fault.fault !== 'constraint' ? { trouble: fault.fault } : undefined;
}

/** The trouble that the workspace is in, or null when it can be worked with. */
export function workspaceTrouble(): Trouble | null {
  try {
    workspace();
    return null;
  } catch (error) {
    const trouble = troubleOf(error);
    if (trouble) return trouble;
    throw error;
  }
}

/**
 * Does some work on the workspace, and does it again as long as another program holds the file: the server goes on
 * answering others meanwhile. The work must be one that can be begun anew; a transaction is, since it wrote nothing.
 */
export async function patiently<T>(work: (handle: Handle) => T): Promise<Awaited<T>> {
  const until = Date.now() + BUSY.seconds * 1000;
  for (;;) {
    try {
      return await work(workspace());
    } catch (error) {
      if (troubleOf(error)?.trouble !== 'busy' || Date.now() > until) throw error;
      await new Promise((done) => setTimeout(done, BUSY.pauseMs));
    }
  }
}
