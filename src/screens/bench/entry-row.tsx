'use client';

import clsx from 'clsx';
import { MoreHorizontal } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { ENTRY_KINDS, offPieces, onPieces, sizeOf, stepsOf, type Entry, type RecordSet } from '@/core/ledger';
import { elementName, splitElementKey, type ElementKey } from '@/core/parts';
import { markParts } from '@/core/brief';
import { PART_MARKS, type PartMarkName } from '@/core/records';
import { PART_MARK_WORDS } from '../words/brief';
import { actText } from '../words/stickers';
import { Glyph } from '@/ui/glyph';
import { Mark, MARK_OF } from '@/ui/mark';
import { Menu } from '@/ui/menu';
import { count } from '@/ui/numbers';
import type { EntryId } from '@/core/shared/ids';
import { useBuild, useBuildStore, type BuildStore } from '../common/build-store';
import { entryName, sourceWords } from '../words/entry-words';
import type { BenchDialogs } from './dialogs';
import { entryHandle, useDragged } from './drag-list';
import { markAll, markRow } from './marks';
import { showEntry } from './use-bench-address';

interface EntryRowProps {
  readonly entry: Entry;
  readonly dialogs: BenchDialogs;
  /** The rows it stands among, for marking several at once. */
  readonly among: readonly EntryId[];
}

/**
 * One entry of the open modification. Space marks it and Shift all from the last one marked, Ctrl+A marks all, Ctrl+C
 * copies; Enter edits, D places, R does it again, Delete deletes, Alt and arrows move it.
 */
export function EntryRow({ entry, dialogs, among }: EntryRowProps) {
  const marked = useBuild((s) => s.marked.has(entry.id));
  const editing = useBuild((s) => s.editing === entry.id);
  const all = useBuild((s) => s.marked);
  const records = useBuild((s) => s.workbench.records);
  const set = useBuild((s) => s.set);
  const from = useBuild((s) => s.markedFrom);
  const [setNodeRef, style, grip] = useDragged(entryHandle(entry));
  const toggle = (shift: boolean) =>
    set({ marked: markRow(among, all, entry.id, shift ? from : null), markedFrom: entry.id });
  const markEvery = () => set({ marked: markAll(among, all), markedFrom: null });
  const onKeyDown = (e: KeyboardEvent<HTMLLIElement>) => {
    if (e.target !== e.currentTarget) return;
    const act = keyAction(e, entry, dialogs, { toggle, markEvery });
    if (!act) return;
    e.preventDefault();
    act();
  };
  const name = stickerText(entry, records) ?? entryName(entry);
  return (
    <li
      ref={setNodeRef}
      style={style}
      tabIndex={0}
      onKeyDown={onKeyDown}
      data-entry={entry.no}
      className={clsx(
        'group grid min-h-9 grid-cols-[auto_auto_auto_minmax(2rem,max-content)_auto_1fr_auto_auto] items-center gap-x-2 rounded-md max-sm:grid-cols-[auto_auto_auto_minmax(2rem,max-content)_auto_1fr_auto]',
        marked && 'bg-wash',
        editing && 'outline-ink outline-2',
      )}
    >
      {grip}
      <input
        type="checkbox"
        checked={marked}
        onChange={(e) => toggle((e.nativeEvent as MouseEvent).shiftKey)}
        aria-label={`Mark entry ${entry.no}: ${name}`}
        className="size-4"
      />
      <Mark mark={MARK_OF[entry.kind]} label={ENTRY_KINDS[entry.kind].label} />
      <b className="text-right">{count(sizeOf(entry) || entry.movements.reduce((s, m) => s + m.qty, 0))}</b>
      <EntryGlyph entry={entry} />
      <span className={clsx('min-w-0 truncate', entry.state === 'planned' && 'italic')} title={name}>
        <bdi>{name}</bdi>
        <span className="text-faint">
          {' '}
          <bdi>
            {asideWords(
              entry,
              records.partMark.get(entry.id)?.mark,
              records.idealPart.get(entry.id)?.element,
            )}
          </bdi>
        </span>
      </span>
      <span className="text-soft text-right text-[12px] max-sm:col-start-6 max-sm:row-start-2 max-sm:text-left">
        {entry.state === 'planned' && <PlannedChip entry={entry} />}{' '}
        {entry.kind === 'order' ? `ordered from ${entry.note}` : sourceWords(entry, records)}
      </span>
      <RowMenu entry={entry} dialogs={dialogs} />
    </li>
  );
}

function keyAction(
  e: KeyboardEvent,
  entry: Entry,
  dialogs: BenchDialogs,
  { toggle, markEvery }: { toggle: (shift: boolean) => void; markEvery: () => void },
): (() => void) | undefined {
  if (e.altKey && e.key === 'ArrowUp') return () => dialogs.shift(entry, -1);
  if (e.altKey && e.key === 'ArrowDown') return () => dialogs.shift(entry, 1);
  if ((e.ctrlKey || e.metaKey) && e.key === 'a') return markEvery;
  if (e.altKey || e.ctrlKey || e.metaKey) return undefined;
  if (entry.kind === 'sticker' && ['Enter', 'r'].includes(e.key)) return undefined;
  const actions: Record<string, () => void> = {
    ' ': () => toggle(e.shiftKey),
    Enter: () => dialogs.edit(entry),
    Delete: () => dialogs.remove([entry]),
    r: () => dialogs.open({ dialog: 'again', entries: [entry] }),
    d: () => (entry.state === 'planned' ? dialogs.place([entry]) : dialogs.plan([entry])),
    ArrowDown: () => (e.currentTarget.nextElementSibling as HTMLElement | null)?.focus(),
    ArrowUp: () => (e.currentTarget.previousElementSibling as HTMLElement | null)?.focus(),
  };
  return actions[e.key];
}

function PlannedChip({ entry }: { entry: Entry }) {
  const records = useBuild((s) => s.workbench.records.entry);
  const kin = entry.splitFrom
    ? [...records.values()].filter((e) => (e.splitFrom ?? e.id) === entry.splitFrom)
    : [];
  const done = kin.filter((e) => e.state === 'done').reduce((s, e) => s + sizeOf(e), 0);
  const whole = kin.reduce((s, e) => s + sizeOf(e), 0);
  return (
    <span className="border-edge rounded-sm border border-dashed px-1 not-italic">
      {entry.whatIf ? 'what if' : done > 0 ? `${count(done)} of ${count(whole)} placed` : 'planned'}
    </span>
  );
}

function EntryGlyph({ entry }: { entry: Entry }) {
  const [off, on] = [offPieces(entry)[0], onPieces(entry)[0]];
  if (entry.kind === 'swap' && off && on)
    return (
      <span className="flex">
        <Glyph element={off.element} mark="out" size={30} />
        <Glyph element={on.element} size={30} />
      </span>
    );
  const main = on ?? off ?? entry.movements[0];
  const was = entry.kind === 'recolour' || entry.kind === 'replacement' ? off?.element : undefined;
  return (
    <span className="flex">
      {main && (
        <Glyph
          element={main.element}
          mark={entry.hidden ? 'hidden' : MARK_OF[entry.kind]}
          was={was}
          size={32}
        />
      )}
    </span>
  );
}

/** What was done with a sticker: "band, port: taken off and kept"; null for what is no sticker's. */
function stickerText(entry: Entry, records: Pick<RecordSet, 'sticker' | 'stickerAct'>): string | null {
  const act = entry.kind === 'sticker' ? records.stickerAct.get(entry.id) : undefined;
  const name = act && records.sticker.get(act.sticker)?.name;
  return act && name ? actText(name, act.act) : null;
}

function asideWords(entry: Entry, mark: PartMarkName | undefined, ideal?: ElementKey): string {
  const standing =
    entry.standsFor && entry.kind === 'placeholder'
      ? `a placeholder for ${splitElementKey(entry.standsFor).colour}`
      : '';
  return [
    standing,
    entry.why ? `#${entry.why}` : '',
    entry.hidden ? 'hidden' : '',
    mark ? PART_MARK_WORDS[mark] : '',
    ideal ? `else ${elementName(ideal)}` : '',
    entry.kind === 'order' ? '' : entry.note,
  ]
    .filter(Boolean)
    .join(' · ');
}

/** Puts the entry's address into the address line, and where the browser allows it, on the clipboard. */
function linkTo(store: BuildStore, entry: Entry): void {
  showEntry(store, entry.id);
  const said = (text: string) => store.getState().set({ notice: { text, kind: 'said' } });
  const address = 'The address of this page is now that of the entry.';
  navigator.clipboard?.writeText(window.location.href).then(
    () => said('The link to the entry is on the clipboard.'),
    () => said(address),
  ) ?? said(address);
}

function RowMenu({ entry, dialogs }: { entry: Entry; dialogs: BenchDialogs }) {
  const planned = entry.state === 'planned';
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const store = useBuildStore();
  const marked = workbench.records.partMark.get(entry.id)?.mark;
  const stock = entry.kind === 'order';
  // What is done to a sticker is said beside the stickers.
  const isSticker = entry.kind === 'sticker';
  return (
    <Menu
      label={`Entry ${entry.no}`}
      trigger={
        <button
          type="button"
          aria-label={`More for entry ${entry.no}`}
          className="hover:bg-wash grid size-6 place-items-center rounded-sm"
        >
          <MoreHorizontal size={14} aria-hidden />
        </button>
      }
      items={[
        ...(stock
          ? []
          : [
              planned
                ? { label: 'Placed', keys: 'D', onSelect: () => dialogs.place([entry]) }
                : { label: 'Back to planned', keys: 'D', onSelect: () => dialogs.plan([entry]) },
              {
                label: 'Placed in part…',
                disabled: !planned || stepsOf(entry) < 2,
                onSelect: () => dialogs.open({ dialog: 'part', entry }),
              },
              ...(isSticker
                ? []
                : [{ label: 'Edit in the log line', keys: 'Enter', onSelect: () => dialogs.edit(entry) }]),
            ]),
        ...(isSticker
          ? []
          : [
              {
                label: 'The same again…',
                keys: 'R',
                onSelect: () => dialogs.open({ dialog: 'again', entries: [entry] }),
              },
            ]),
        ...(stock || isSticker || onPieces(entry).length === 0
          ? []
          : PART_MARKS.map((mark) => ({
              label: `${mark === marked ? '✓ ' : ''}Parts: ${PART_MARK_WORDS[mark]}`,
              onSelect: () => perform(markParts(workbench, entry, mark === marked ? null : mark)),
            }))),
        ...(stock || isSticker || onPieces(entry).length === 0
          ? []
          : [
              {
                label: 'Without the limit, another part…',
                onSelect: () => dialogs.open({ dialog: 'ideal', entry }),
              },
            ]),
        { label: 'Link to this entry', onSelect: () => linkTo(store, entry) },
        { label: 'Move up', keys: 'Alt ↑', onSelect: () => dialogs.shift(entry, -1) },
        { label: 'Move down', keys: 'Alt ↓', onSelect: () => dialogs.shift(entry, 1) },
        { label: 'Delete', keys: 'Del', onSelect: () => dialogs.remove([entry]) },
      ]}
    />
  );
}
