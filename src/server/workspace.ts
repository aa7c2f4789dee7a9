import 'server-only';
import { dataFolder, openDatabase, type Handle } from '@/data/database';

/** The one open workspace of this process. Kept on globalThis, so that a reload in development does not open a second. */
const held = globalThis as typeof globalThis & { evarnWorkspace?: Handle };

export function workspace(): Handle {
  held.evarnWorkspace ??= openDatabase(dataFolder(), new Date());
  return held.evarnWorkspace;
}

/** Closes the workspace, so that its file can be put in place of another. The next use opens it again. */
export function closeWorkspace(): void {
  held.evarnWorkspace?.sqlite.close();
  held.evarnWorkspace = undefined;
}
