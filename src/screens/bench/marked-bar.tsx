'use client';

import type { Modification } from '@/core/ledger';
import { ActSelect } from '@/ui/act-select';
import { Button } from '@/ui/button';
import { modNo } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { copiedNotice, copyNow } from './copy-entries';
import type { BenchDialogs } from './dialogs';

/** What can be done with the entries that are marked. */
export function MarkedBar({ dialogs }: { dialogs: BenchDialogs }) {
  const marked = useBuild((s) => s.marked);
  const workbench = useBuild((s) => s.workbench);
  const set = useBuild((s) => s.set);
  if (marked.size === 0) return null;
  const entries = workbench.entries.filter((e) => marked.has(e.id));
  const moved = (target: Modification) => dialogs.moveTo(entries, target);
  return (
    <div
      role="toolbar"
      aria-label="Marked entries"
      className="border-rule bg-wash mx-4 mb-2 flex flex-wrap items-center gap-2 rounded-md border px-3 py-1.5"
    >
      <b>{entries.length === 1 ? '1 entry' : `${entries.length} entries`} marked</b>
      <span className="flex-1" />
      <Button onClick={() => dialogs.open({ dialog: 'again', entries })}>Again…</Button>
      <Button onClick={() => dialogs.place(entries)}>Placed</Button>
      <Button onClick={() => dialogs.plan(entries)}>Planned</Button>
      <ActSelect
        label="Move marked entries to"
        verb="Move"
        none="Move to…"
        options={workbench.modifications.map((m) => ({
          value: m.id,
          words: `${modNo(m.no)} ${m.title.slice(0, 40)}`,
        }))}
        onAct={(id) => {
          const target = workbench.records.modification.get(id);
          if (target) moved(target);
        }}
        className="w-48"
      />
      <Button onClick={() => dialogs.remove(entries)}>Delete</Button>
      <Button
        title="As lines that the log line takes back, and as cells for a spreadsheet"
        onClick={() => void copyNow(workbench, entries).then((n) => set({ notice: copiedNotice(n) }))}
      >
        Copy
      </Button>
      <Button look="bare" onClick={() => set({ marked: new Set() })}>
        Unmark
      </Button>
    </div>
  );
}
