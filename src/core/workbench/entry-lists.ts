import type { Entry } from '../ledger';
import type { ModificationId } from '../shared/ids';
import { byPlace } from './list-places';

/** The entries as they are asked for: all, by modification in their order there, and the last number given. */
export interface EntryLists {
  readonly entries: readonly Entry[];
  readonly byModification: ReadonlyMap<ModificationId | null, readonly Entry[]>;
  readonly lastNo: number;
}

/**
 * The entries in one walk; `lastNo` is 0 where there is none.
 *
 * @example listsOf(records.entry.values()).byModification.get(modification)
 */
export function listsOf(all: Iterable<Entry>): EntryLists {
  const entries = [...all];
  const byModification = new Map<ModificationId | null, Entry[]>();
  let lastNo = 0;
  for (const e of entries) {
    lastNo = Math.max(lastNo, e.no);
    const held = byModification.get(e.modification);
    if (held) held.push(e);
    else byModification.set(e.modification, [e]);
  }
  for (const list of byModification.values()) list.sort(byPlace);
  return { entries, byModification, lastNo };
}
