'use client';

import clsx from 'clsx';
import { MoreHorizontal } from 'lucide-react';
import { useEffect, useMemo, useRef, useState, type ClipboardEvent } from 'react';
import type { EntryId } from '@/core/shared/ids';
import { placeOf, type Entry, type Figures, type Modification } from '@/core/ledger';
import { deleteModification, toBuy } from '@/core/workbench';
import { offPieces, sizeOf } from '@/core/ledger';
import { Button } from '@/ui/button';
import { LotGlyph } from '@/ui/glyph';
import { MARK_OF } from '@/ui/mark';
import { Menu } from '@/ui/menu';
import { count, knownMoney, modNo, pieces, signed } from '@/ui/numbers';
import { booksInView, entriesOf, useBuild, type BuildState } from '../common/build-store';
import { copiedNotice, copyInto } from './copy-entries';
import { cardHandle, entryHandle, Sortable, useDragged } from './drag-list';
import type { BenchDialogs } from './dialogs';
import { EntryRow } from './entry-row';
import { kindsOf } from '../words/entry-words';

/** Where a card stands in a list of which only what shows is in the page. */
export interface ListPlace {
  readonly index: number;
  readonly of: number;
  readonly measure: (node: HTMLElement | null) => void;
}

interface CardProps {
  readonly modification: Modification;
  /** Its place in the list, where not all of the list is in the page. */
  readonly place?: ListPlace;
  readonly open: boolean;
  /** False in a long list: a drawing for each of hundreds of lots is more than a page can carry. */
  readonly drawn: boolean;
  readonly dialogs: BenchDialogs;
  /** Where something is looked for: the entries that have it, and no others are listed. */
  readonly found?: ReadonlySet<EntryId> | undefined;
}

/** A modification: one row when closed, its entries when open. */
export function ModificationCard({ modification, open, drawn, dialogs, place, found }: CardProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const view = useBuild((s) => s.view);
  const set = useBuild((s) => s.set);
  const entries = entriesOf(workbench, modification.id);
  const [setNodeRef, style, grip] = useDragged(cardHandle(modification));
  const scope = { of: 'modification', modification: modification.id } as const;
  const figures = booksInView({ workbench, view, version }).figures(scope);
  const zone = workbench.records.zone.get(modification.zone);
  const head = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (open) head.current?.scrollIntoView({ block: 'nearest' });
  }, [open]);
  const phase = modification.phase ? workbench.records.phase.get(modification.phase) : undefined;
  return (
    <li
      ref={(node) => {
        place?.measure(node);
        setNodeRef(node);
      }}
      style={style}
      data-index={place?.index}
      aria-posinset={place && place.index + 1}
      aria-setsize={place?.of}
      aria-current={open ? 'true' : undefined}
      className={clsx(
        'border-rule',
        open ? 'border-ink bg-sheet my-1.5 rounded-lg border px-3' : 'border-b px-3',
      )}
    >
      <div ref={head} className="flex min-h-14 scroll-my-20 items-center gap-3 py-2">
        <span className="self-stretch max-xl:hidden">{grip}</span>
        <button
          type="button"
          id={`modification-${modification.id}`}
          onClick={() => set({ selected: modification.id, shownEntry: null, marked: new Set() })}
          aria-expanded={open}
          className="flex min-w-0 flex-1 items-baseline gap-3 text-left"
        >
          <span className="text-faint w-10 shrink-0 font-mono text-[12px] max-sm:w-9">
            {modNo(modification.no)}
          </span>
          <span className="min-w-0 flex-1">
            <span className="block truncate">
              <bdi className="text-[14px] font-semibold">{modification.title}</bdi>
              <span className={clsx('text-faint', open && 'block truncate')}>
                {zone && zone.parent && (
                  <bdi>
                    {open ? '' : ' · '}
                    {zone.name}
                  </bdi>
                )}
                {phase && <bdi> · {phase.name}</bdi>}
                {placedWords(entries)}
              </span>
            </span>
            {!open && <Summary entries={entries} drawn={drawn} />}
          </span>
        </button>
        <Numbers figures={figures} dialogs={dialogs} scope={scope} entries={entries} />
        {open && <CardMenu modification={modification} entries={entries} dialogs={dialogs} />}
      </div>
      {open && <OpenCard modification={modification} entries={entries} dialogs={dialogs} found={found} />}
    </li>
  );
}

function placedWords(entries: readonly Entry[]): string {
  const size = (state: Entry['state']) =>
    entries.filter((e) => e.state === state && e.kind !== 'order').reduce((s, e) => s + sizeOf(e), 0);
  const [done, planned] = [size('done'), size('planned')];
  if (planned === 0) return '';
  return done === 0 ? ` · planned ${planned}` : ` · ${done} of ${done + planned} placed`;
}

/** The first few lots, marked by what happened to them. */
function Summary({ entries, drawn }: { entries: readonly Entry[]; drawn: boolean }) {
  const logged = entries.filter((e) => e.kind !== 'order');
  if (logged.length === 0) return <span className="text-faint block">nothing logged yet</span>;
  if (!drawn)
    return (
      <span className="text-faint block">
        {count(logged.length)} {logged.length === 1 ? 'entry' : 'entries'}
      </span>
    );
  const lots = firstLots(logged);
  const rest = logged.reduce((n, e) => n + sizeOf(e), 0) - lots.reduce((n, l) => n + l.qty, 0);
  return (
    <span className="mt-0.5 flex flex-wrap items-center gap-x-3">
      {lots.map((l) => (
        <LotGlyph key={l.key} element={l.element} qty={l.qty} mark={l.mark} was={l.was} size={28} />
      ))}
      {rest > 0 && <span className="text-faint">and {pieces(rest)} more</span>}
    </span>
  );
}

/** Lots of a closed modification that are drawn. */
const MOST_LOTS = 6;

/** The first lots, every kind of an entry for itself, marked by what happened to them. */
function firstLots(entries: readonly Entry[]) {
  const lots = [];
  for (const e of entries) {
    if (lots.length >= MOST_LOTS) break;
    const was = e.kind === 'recolour' || e.kind === 'replacement' ? offPieces(e)[0]?.element : undefined;
    const mark = e.kind === 'swap' ? ('in' as const) : MARK_OF[e.kind];
    for (const p of kindsOf(e)) lots.push({ key: `${e.id}${p.element}`, ...p, mark, was });
  }
  return lots.slice(0, MOST_LOTS);
}

interface NumbersProps {
  readonly figures: Figures;
  readonly entries: readonly Entry[];
  readonly scope: { readonly of: 'modification'; readonly modification: Modification['id'] };
  readonly dialogs: BenchDialogs;
}

function Numbers({ figures: f, dialogs, scope, entries }: NumbersProps) {
  const buys = toBuy(entries).reduce(
    (s, e) => s + e.movements.reduce((t, m) => t + (placeOf(m.from) === 'outside' ? m.qty : 0), 0),
    0,
  );
  const detail = [
    f.out || f.in ? `${count(f.out)} out · ${count(f.in)} in` : '',
    f.recoloured ? `${count(f.recoloured)} recoloured` : '',
    f.renewed ? `${count(f.renewed)} renewed` : '',
    f.moved ? `${count(f.moved)} moved` : '',
    f.missing ? `${count(f.missing)} missing` : '',
    f.missingReplaced ? `${count(f.missingReplaced)} replaced` : '',
    f.replaced ? `${count(f.replaced)} replaced` : '',
  ].filter(Boolean);
  return (
    <span className="flex shrink-0 gap-3 text-right">
      <button
        type="button"
        className="w-36 hover:underline max-sm:w-12"
        onClick={() => dialogs.open({ dialog: 'figure', figure: 'net', scope })}
      >
        <b className="font-head block text-[16px] leading-tight">{signed(f.net)}</b>
        <span className="text-soft block truncate text-[12px] max-sm:hidden">
          {detail.slice(0, 2).join(' · ') || 'net pieces'}
        </span>
      </button>
      <button
        type="button"
        className="w-24 hover:underline max-sm:w-14"
        onClick={() => dialogs.open({ dialog: 'figure', figure: 'outOfPocket', scope })}
      >
        <b className="font-head block text-[15px] leading-tight">
          {knownMoney(f.outOfPocket, f.boughtUnpriced)}
        </b>
        <span className="text-soft block text-[12px] max-sm:hidden">
          {f.boughtUnpriced > 0
            ? `${count(f.boughtUnpriced)} unpriced`
            : buys > 0
              ? `buy ${count(buys)}`
              : f.outOfPocket > 0
                ? 'bought'
                : 'own parts'}
        </span>
      </button>
    </span>
  );
}

function CardMenu({
  modification,
  entries,
  dialogs,
}: Pick<CardProps, 'modification' | 'dialogs'> & { entries: readonly Entry[] }) {
  const perform = useBuild((s) => s.perform);
  const workbench = useBuild((s) => s.workbench);
  return (
    <Menu
      label="Modification"
      trigger={
        <button
          type="button"
          aria-label={`More for ${modNo(modification.no)}`}
          className="hover:bg-wash grid size-7 place-items-center rounded-md"
        >
          <MoreHorizontal size={16} aria-hidden />
        </button>
      }
      items={[
        {
          label: 'Title, zone, why and note…',
          onSelect: () => dialogs.open({ dialog: 'modification', modification }),
        },
        {
          label: 'Place all planned',
          disabled: !entries.some((e) => e.state === 'planned'),
          onSelect: () => dialogs.place(entries),
        },
        {
          label: 'Order what is to buy…',
          disabled: toBuy(entries).length === 0,
          onSelect: () => dialogs.open({ dialog: 'order', modification }),
        },
        { label: 'Move up', onSelect: () => dialogs.shiftModification(modification, -1) },
        { label: 'Move down', onSelect: () => dialogs.shiftModification(modification, 1) },
        {
          label: 'Delete with its entries',
          onSelect: () => perform(deleteModification(workbench, modification)),
        },
      ]}
    />
  );
}

/** Entries that an open modification shows at first: the last ones, which are being worked on. */
const MOST_ROWS = 32;

function OpenCard({
  modification,
  entries: all,
  dialogs,
  found,
}: Pick<CardProps, 'modification' | 'dialogs' | 'found'> & { entries: readonly Entry[] }) {
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
