'use client';

import { useRef } from 'react';
import {
  beginWithLine,
  draftModification,
  editEntry,
  logLine,
  readLine,
  type LineReading,
  type Workbench,
} from '@/core/workbench';
import type { Entry, Modification } from '@/core/ledger';
import type { EntryId, ZoneId } from '@/core/shared/ids';
import { useBuildStore, type BuildStore } from '../common/build-store';
import { scopeOf } from './scope';

/** A line as it was typed, and what is set around it. */
interface Typed {
  readonly line: string;
  readonly editing: EntryId | null;
  readonly logPlanned: boolean;
  readonly zone: ZoneId | null;
}

/** What a typed line says in a modification; null where nothing is typed. */
export const readTyped = (
  workbench: Workbench,
  { line, logPlanned, zone }: Omit<Typed, 'editing'>,
  modification: Modification | null,
  old: Entry | undefined,
): LineReading | null =>
  line.trim() && modification
    ? readLine(workbench, line, {
        modification,
        planned: logPlanned,
        without: old ? [old] : [],
        scope: scopeOf(zone),
      })
    : null;

/** Logs a typed line; false where it cannot be logged. What was read of it already is not read again. */
function logged(
  store: BuildStore,
  typed: Typed,
  read?: { readonly reading: LineReading | null; readonly draft: Modification | null },
): boolean {
  const { workbench, selected, perform, set, source } = store.getState();
  const chosen = selected ? workbench.records.modification.get(selected) : undefined;
  const draft = chosen ? null : (read?.draft ?? draftModification(workbench, typed.zone, source()));
  const old = typed.editing ? workbench.records.entry.get(typed.editing) : undefined;
  const said = read ? read.reading : readTyped(workbench, typed, chosen ?? draft, old);
  if (!said?.ready) {
    set({ notice: null });
    return false;
  }
  if (old) perform(editEntry(old, said, source()));
  else if (chosen) perform(logLine(workbench, said, typed.line, source()));
  else if (draft) {
    const begun = beginWithLine(workbench, draft, said, typed.line, source());
    perform(begun);
    set({ selected: begun.id });
  }
  return true;
}

/** How long a line waits before it is said that it does. */
const SAID_AFTER_MS = 800;

/**
 * Logs a line that was entered before all was known, when it is. Who types on has the line to himself meanwhile; what
 * cannot be logged comes back into it, or is told where the next one is typed there.
 */
async function logWhenKnown(store: BuildStore, typed: Typed): Promise<void> {
  const { learn, set } = store.getState();
  const waits = {
    text: `“${typed.line}” is logged when it is known what is at hand.`,
    kind: 'said' as const,
  };
  const timer = setTimeout(() => set({ notice: waits }), SAID_AFTER_MS);
  // It is neither in the field nor sent: who closes the window now is asked.
  window.addEventListener('beforeunload', stay);
  try {
    await learn();
    if (logged(store, typed)) return;
  } finally {
    clearTimeout(timer);
    window.removeEventListener('beforeunload', stay);
  }
  giveBack(store, typed);
}

const stay = (e: BeforeUnloadEvent): void => e.preventDefault();

/** Puts a line that was not logged back, or tells it where the next one is being typed. */
function giveBack(store: BuildStore, { line, editing }: Typed): void {
  const { line: now, set } = store.getState();
  if (now === '') set({ line, editing, notice: null });
  else set({ notice: { text: `“${line}” could not be logged as it is.`, kind: 'refused' } });
}

/**
 * What Enter does with the line. What is at hand decides where a part comes from: so what is entered in the moment after
 * opening is logged when all of that is known, one line after another.
 */
export function useEnter(reading: LineReading | null, draft: Modification | null): () => void {
  const store = useBuildStore();
  const before = useRef(Promise.resolve());
  return () => {
    const { workbench, line, editing, logPlanned, zone, set } = store.getState();
    const typed = { line, editing, logPlanned, zone };
    if (workbench.isComplete) {
      if (logged(store, typed, { reading, draft })) set({ line: '', editing: null });
      return;
    }
    if (!line.trim()) return;
    set({ line: '', editing: null });
    before.current = before.current
      .then(() => logWhenKnown(store, typed))
      .catch(() => giveBack(store, typed));
  };
}
