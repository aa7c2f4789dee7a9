'use client';

import { useCallback, useEffect, useRef } from 'react';
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
import { useBuildStore, type BuildStore } from '../common/build-store';
import { scopeOf } from './scope';
import { keepLine, takeLinesLeft, type Typed } from './waiting-lines';

/** What a typed line says in a modification; null where nothing is typed. */
export const readTyped = (
  workbench: Workbench,
  { line, logPlanned, zone }: Pick<Typed, 'line' | 'logPlanned' | 'zone'>,
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
  const { workbench, perform, set, source } = store.getState();
  // A line that waited may have begun the modification that the next one goes into.
  const selected = typed.selected ?? store.getState().selected;
  const chosen = selected ? workbench.records.modification.get(selected) : undefined;
  const draft = chosen ? null : (read?.draft ?? draftModification(workbench, typed.zone, source()));
  const old = entryOf(store, typed) ?? undefined;
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
 * cannot be logged comes back into it, or is told where the next one is typed there. True when it was logged.
 */
async function logWhenKnown(store: BuildStore, typed: Typed): Promise<boolean> {
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
    // An entry that was deleted meanwhile is not logged anew by what would have changed it.
    if (entryOf(store, typed) !== null && logged(store, typed)) return true;
  } finally {
    clearTimeout(timer);
    window.removeEventListener('beforeunload', stay);
  }
  giveBack(store, typed);
  return false;
}

const stay = (e: BeforeUnloadEvent): void => e.preventDefault();

/** The entry that a line changes: undefined where it changes none, null where that is gone. */
const entryOf = (store: BuildStore, { editing }: Typed): Entry | undefined | null =>
  editing ? (store.getState().workbench.records.entry.get(editing) ?? null) : undefined;

/** Puts a line that was not logged back, or tells it where the next one is being typed. */
function giveBack(store: BuildStore, typed: Typed): void {
  const { line } = typed;
  const { line: now, set } = store.getState();
  if (now === '') set({ line, editing: entryOf(store, typed) ? typed.editing : null, notice: null });
  else set({ notice: { text: `“${line}” could not be logged as it is.`, kind: 'refused' } });
}

/**
 * What Enter does with the line. What is at hand decides where a part comes from: so what is entered in the moment after
 * opening is logged when all of that is known, one line after another, and by the next page where this one is closed before.
 */
export function useEnter(reading: LineReading | null, draft: Modification | null): () => void {
  const store = useBuildStore();
  const before = useRef(Promise.resolve());
  const wait = useCallback(
    (typed: Typed, onLogged: () => void = () => undefined): void => {
      const forget = keepLine(store.getState().workbench.build, typed);
      before.current = before.current
        .then(() => logWhenKnown(store, typed))
        .then((isLogged) => void (isLogged && onLogged()))
        .catch(() => giveBack(store, typed))
        .finally(forget);
    },
    [store],
  );
  useEffect(() => {
    const { workbench, set } = store.getState();
    void takeLinesLeft(workbench.build, (typed) =>
      wait(typed, () => {
        const text = `“${typed.line}” was entered before the page was closed, and is logged now.`;
        set({ notice: { text, kind: 'elsewhere' } });
      }),
    );
  }, [store, wait]);
  return () => {
    const { workbench, line, editing, logPlanned, zone, selected, set } = store.getState();
    const typed = { line, editing, logPlanned, zone, selected };
    if (workbench.isComplete) {
      if (logged(store, typed, { reading, draft })) set({ line: '', editing: null });
      return;
    }
    if (!line.trim()) return;
    set({ line: '', editing: null });
    wait(typed);
  };
}
