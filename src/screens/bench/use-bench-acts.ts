'use client';

import { useContext, useMemo } from 'react';
import { deleteEntries, markDone, markPlanned, moveEntries, moveModification } from '@/core/workbench';
import { printIntent } from '@/core/log-line';
import { intentOf, type Entry, type Modification } from '@/core/ledger';
import { draftProblemWords } from '../words/log-line';
import { BuildContext, entriesOf } from '../common/build-store';
import type { BenchDialogs, OpenDialog } from './dialogs';

/** What can be done to entries and modifications from anywhere on the bench. */
export function useBenchActs(open: (dialog: OpenDialog) => void): BenchDialogs {
  const store = useContext(BuildContext);
  if (!store) throw new Error('useBenchActs is for the parts of the bench');
  return useMemo((): BenchDialogs => {
    const now = () => store.getState();
    return {
      open,
      place: (entries, steps) => {
        const { workbench, perform, set, source } = now();
        const planned = entries.filter((e) => e.state === 'planned');
        if (planned.length === 0)
          return set({ notice: { text: 'Nothing of that is planned any more.', kind: 'said' } });
        const command = markDone(workbench, planned, source(), steps);
        if (command.ok) perform(command.value);
        else set({ notice: { text: draftProblemWords(command.reason, workbench.records), kind: 'refused' } });
      },
      plan: (entries) => {
        const done = entries.filter((e) => e.state === 'done' && e.kind !== 'order');
        if (done.length > 0) now().perform(markPlanned(done));
      },
      remove: (entries) => {
        now().perform(deleteEntries(entries));
        now().set({ marked: new Set() });
      },
      edit: (entry) => {
        const { workbench, set } = now();
        const intent = intentOf(entry);
        if (!intent) return;
        const home = entry.modification ? workbench.records.modification.get(entry.modification)?.zone : null;
        const shown = intent.kind !== 'move' && intent.zone === home ? { ...intent, zone: null } : intent;
        const line = printIntent(shown, workbench.printContext);
        set({ editing: entry.id, line, selected: entry.modification, logPlanned: false });
        document.getElementById('log-line')?.focus();
      },
      moveTo: (entries: readonly Entry[], target: Modification) => {
        now().perform(moveEntries(now().workbench, entries, target.id, null));
        now().set({ selected: target.id, marked: new Set() });
      },
      shift: (entry, by) => {
        const { workbench, perform } = now();
        if (!entry.modification) return;
        const list = entriesOf(workbench, entry.modification);
        const at = list.findIndex((e) => e.id === entry.id);
        if (at + by < 0 || at + by >= list.length) return;
        const before = by < 0 ? list[at - 1] : list[at + 2];
        perform(moveEntries(workbench, [entry], entry.modification, before ?? null));
      },
      shiftModification: (modification, by) => {
        const { workbench, perform } = now();
        const list = workbench.modifications;
        const at = list.findIndex((m) => m.id === modification.id);
        if (at + by < 0 || at + by >= list.length) return;
        const before = by < 0 ? list[at - 1] : list[at + 2];
        perform(moveModification(workbench, modification, before ?? null));
      },
    };
  }, [store, open]);
}
