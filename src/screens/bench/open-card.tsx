import { useEffect, useMemo, useRef, useState, type ClipboardEvent } from 'react';
import type { Entry, Modification } from '@/core/ledger';
import type { EntryId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { count, modNo } from '@/ui/numbers';
import { useBuild, type BuildState } from '../common/build-store';
import { copiedNotice, copyInto } from './copy-entries';
import type { BenchDialogs } from './dialogs';
import { entryHandle, Sortable } from './drag-list';
import { EntryRow } from './entry-row';

interface OpenCardProps {
  readonly modification: Modification;
  readonly entries: readonly Entry[];
  readonly dialogs: BenchDialogs;
  readonly found?: ReadonlySet<EntryId> | undefined;
}

/** Entries that an open modification shows at first: the last ones, which are being worked on. */
const MOST_ROWS = 32;

/** An open modification: why it is made, and its entries. */
export function OpenCard({ modification, entries: all, dialogs, found }: OpenCardProps) {
  // Where the words are the modification's own, all of its entries are meant.
  const some = found && all.some((e) => found.has(e.id));
  const entries = some ? all.filter((e) => found.has(e.id)) : all;
  const shown = useBuild((s) => s.shownEntry);
  const [opened, setWhole] = useState(false);
  const at = entries.findIndex((e) => e.id === shown);
  const whole = opened || (at >= 0 && at < entries.length - MOST_ROWS);
  const earlier = whole ? 0 : Math.max(0, entries.length - MOST_ROWS);
  const rows = useRef<HTMLUListElement>(null);
  const workbench = useBuild((s) => s.workbench);
  const marked = useBuild((s) => s.marked);
  const set = useBuild((s) => s.set);
  const shownRows = entries.slice(earlier);
  const among = useMemo(() => entries.map((e) => e.id), [entries]);
  const last = entries.at(-1);
  const seen = useRef(last?.id);
  // What was just logged comes into sight, where the list is longer than the screen.
  useEffect(() => {
    if (last && last.id !== seen.current)
      rows.current?.lastElementChild?.scrollIntoView({ block: 'nearest' });
    seen.current = last?.id;
  }, [last]);
  // An entry that was asked for by itself is in sight and in focus.
  useEffect(() => {
    const row = at < 0 ? undefined : rows.current?.children[at - earlier];
    if (row instanceof HTMLElement) row.focus();
    row?.scrollIntoView({ block: 'nearest' });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once for each that is asked for, not for each that is logged
  }, [shown]);
  return (
    <div className="border-rule border-t border-dashed pb-2">
      {(modification.why || modification.note) && (
        <p className="text-soft pt-2 whitespace-pre-line">
          <bdi>{[modification.why, modification.note].filter(Boolean).join('\n')}</bdi>
        </p>
      )}
      {entries.length === 0 && (
        <p className="text-soft py-3">
          Nothing is logged in it yet. Type a line below, or take a part from the tray.
        </p>
      )}
      {earlier > 0 && (
        <Button look="bare" className="text-soft mt-1" onClick={() => setWhole(true)}>
          Show {count(earlier)} earlier {earlier === 1 ? 'entry' : 'entries'}
        </Button>
      )}
      <Sortable ids={shownRows.map(entryHandle)}>
        <ul
          ref={rows}
          aria-label={`Entries of ${modNo(modification.no)}`}
          onCopy={(e) => copyRows(e, workbench, shownRows, marked, set)}
        >
          {shownRows.map((e) => (
            <EntryRow key={e.id} entry={e} dialogs={dialogs} among={among} />
          ))}
        </ul>
      </Sortable>
      {some && entries.length < all.length && (
        <p className="text-soft">
          {count(all.length - entries.length)} more{' '}
          {all.length - entries.length === 1 ? 'entry has' : 'entries have'} not what is looked for.
        </p>
      )}
      <Button
        look="bare"
        className="text-soft mt-1"
        onClick={() => dialogs.open({ dialog: 'act', element: null })}
      >
        + Put a part on…
      </Button>
    </div>
  );
}

/** Ctrl+C on a row copies what is marked, or the row itself: lines for the log line, cells for a spreadsheet. */
function copyRows(
  e: ClipboardEvent,
  workbench: BuildState['workbench'],
  rows: readonly Entry[],
  marked: ReadonlySet<EntryId>,
  set: BuildState['set'],
): void {
  const own = rows.find(
    (r) => String(r.no) === (document.activeElement as HTMLElement | null)?.dataset.entry,
  );
  const meant = marked.size > 0 ? workbench.entries.filter((r) => marked.has(r.id)) : own ? [own] : [];
  // Text that is selected is copied as it is.
  if (meant.length === 0 || !document.getSelection()?.isCollapsed) return;
  e.preventDefault();
  set({ notice: copiedNotice(copyInto(e.clipboardData, workbench, meant)) });
}
