import { currentRevision, stepsSince, type FeedItem } from '@/data/actions';
import type { Handle } from '@/data/database';

/** What a window has to catch up with. */
export interface Steps {
  /** Names the opened workspace: another name, and everything has to be fetched anew. */
  readonly workspace: string;
  readonly revision: number;
  /** Null where they cannot be told one by one: then the whole has to be fetched. */
  readonly steps: readonly FeedItem[] | null;
}

/**
 * Names of opened workspaces: a restore and a new start open another one. Kept by the process, since pages and routes are
 * bundled apart and must say the same.
 */
const kept = globalThis as { evarnWorkspaceNames?: WeakMap<Handle, string> };
const names = (kept.evarnWorkspaceNames ??= new WeakMap<Handle, string>());

export function workspaceName(handle: Handle): string {
  const name = names.get(handle) ?? crypto.randomUUID();
  names.set(handle, name);
  return name;
}

/** The steps since a revision. A revision that is none, or of the future, is one that cannot be caught up with. */
export function stepsFrom(handle: Handle, since: number): Steps {
  const revision = currentRevision(handle.db);
  const known = Number.isSafeInteger(since) && since >= 0 && since <= revision;
  const steps = !known ? null : since === revision ? [] : stepsSince(handle.db, since);
  return { workspace: workspaceName(handle), revision, steps };
}
