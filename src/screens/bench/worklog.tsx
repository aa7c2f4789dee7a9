'use client';

import { ActSelect } from '@/ui/act-select';
import clsx from 'clsx';
import { Plus } from 'lucide-react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useDeferredValue, useEffect, useMemo, useRef, type RefObject } from 'react';
import { zoneOf, type AccountKey, type Modification } from '@/core/ledger';
import type { EntryId, ModificationId, ZoneId } from '@/core/shared/ids';
import {
  findInLog,
  LOG_ORDERS,
  sortLog,
  type FoundInLog,
  type LogOrder,
  type Workbench,
} from '@/core/workbench';
import { Button } from '@/ui/button';
import { count, modNo } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { useInAddress, useOneInAddress } from '../common/use-in-address';
import { copyNow } from './copy-entries';
import { cardHandle, DragList, Sortable } from './drag-list';
import { ModificationCard } from './modification-card';
import type { BenchDialogs } from './dialogs';

/** Modifications up to which all are in the page, and each shows its first lots drawn. */
const MOST_DRAWN = 24;

/** The numbered modifications of the build; the selected one opens into its entries. */
export const Worklog = memo(function Worklog({ dialogs }: { dialogs: BenchDialogs }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const zone = useBuild((s) => s.zone);
  const selected = useBuild((s) => s.selected);
  const [text, setText] = useInAddress('look');
  const [order, setOrder] = useOneInAddress('order', LOG_ORDERS);
  const wanted = useDeferredValue(text);
  const found = useMemo(() => {
    void version;
    return findInLog(workbench, wanted);
  }, [workbench, version, wanted]);
  const modifications = useMemo(() => {
    void version;
    const shown = zone ? inZones(workbench, workbench.built.nested(zone)) : null;
    const list = workbench.modifications.filter(
      (m) => (!shown || shown.has(m.id)) && (!found || found.modifications.has(m.id)),
    );
    return sortLog(workbench, list, order, workbench.planned);
  }, [workbench, version, zone, found, order]);
  const scroller = useRef<HTMLDivElement>(null);
  return (
    <section aria-label="Worklog" className="flex h-full min-h-0 flex-col">
      <div className="flex flex-wrap items-center gap-2 px-4 pt-3">
        <h2>Worklog</h2>
        <ZoneChips />
        <span className="flex-1" />
        <Button
          onClick={() => dialogs.open({ dialog: 'modification', modification: null })}
          aria-label="New modification"
        >
          <Plus size={14} aria-hidden /> New
        </Button>
      </div>
      <div className="flex flex-wrap items-center gap-2 px-4 pt-1.5 pb-2">
        <FindInLog text={text} onText={setText} found={found} order={order} onOrder={setOrder} />
        <span className="flex-1" />
        <ViewSelect onCompare={() => dialogs.open({ dialog: 'whatIfs' })} />
      </div>
      <MarkedBar dialogs={dialogs} />
      <div ref={scroller} className="scroll-box px-4 pb-4">
        {modifications.length === 0 &&
          (found ? (
            <p className="text-soft py-6">Nothing in the worklog has “{wanted.trim()}” in it.</p>
          ) : (
            <EmptyWorklog all={workbench.modifications.length} dialogs={dialogs} />
          ))}
        <DragList>
          <Sortable ids={modifications.map(cardHandle)}>
            {modifications.length > MOST_DRAWN ? (
              <LongList
                modifications={modifications}
                selected={selected}
                dialogs={dialogs}
                scroller={scroller}
                found={found?.entries}
              />
            ) : (
              <ol className="border-rule border-t">
                {modifications.map((m) => (
                  <ModificationCard
                    key={m.id}
                    modification={m}
                    open={m.id === selected}
                    drawn
                    dialogs={dialogs}
                    found={found?.entries}
                  />
                ))}
              </ol>
            )}
          </Sortable>
        </DragList>
      </div>
    </section>
  );
});

interface FindProps {
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly found: FoundInLog | null;
  readonly order: LogOrder;
  readonly onOrder: (order: LogOrder) => void;
}

/** Looks for words in the worklog, and shows it in another order; the order that is kept stays. */
function FindInLog({ text, onText, found, order, onOrder }: FindProps) {
  return (
    <>
      <input
        id="worklog-find"
        type="search"
        value={text}
        onChange={(e) => onText(e.target.value)}
        aria-label="Find in the worklog"
        placeholder="Find in the worklog"
        className="border-edge bg-sheet min-h-7 w-44 min-w-0 rounded-md border px-2"
      />
      <span role="status" className="text-soft empty:hidden">
        {found && `${count(found.entries.size)} ${found.entries.size === 1 ? 'entry' : 'entries'}`}
      </span>
      <select
        aria-label="Order of the worklog"
        value={order}
        onChange={(e) => onOrder(e.target.value as LogOrder)}
        className="border-edge bg-sheet min-h-7 rounded-md border px-1"
      >
        {LOG_ORDERS.map((o) => (
          <option key={o}>{o}</option>
        ))}
      </select>
    </>
  );
}

/** The modifications of some zones, and those of others that move something out of them or into them. */
function inZones(workbench: Workbench, zones: ReadonlySet<ZoneId>): ReadonlySet<ModificationId> {
  const shown = new Set(workbench.modifications.flatMap((m) => (zones.has(m.zone) ? [m.id] : [])));
  const touches = (account: AccountKey): boolean => {
    const z = zoneOf(account);
    return z !== undefined && zones.has(z);
  };
  for (const e of workbench.entries)
    if (
      e.modification &&
      !shown.has(e.modification) &&
      e.movements.some((m) => touches(m.from) || touches(m.to))
    )
      shown.add(e.modification);
  return shown;
}

/** Many modifications: only those that show are in the page. */
function LongList({
  modifications,
  selected,
  dialogs,
  scroller,
  found,
}: {
  modifications: readonly Modification[];
  found: ReadonlySet<EntryId> | undefined;
  selected: string | null;
  dialogs: BenchDialogs;
  scroller: RefObject<HTMLDivElement | null>;
}) {
  const virtual = useVirtualizer({
    count: modifications.length,
    getScrollElement: () => scroller.current,
    getItemKey: (i) => modifications[i]?.id ?? i,
    estimateSize: () => 57,
    overscan: 6,
  });
  const at = modifications.findIndex((m) => m.id === selected);
  useEffect(() => {
    if (at >= 0) virtual.scrollToIndex(at, { align: 'auto' });
  }, [at, virtual]);
  const items = virtual.getVirtualItems();
  return (
    <ol
      className="border-rule border-t"
      style={{
        paddingTop: items[0]?.start ?? 0,
        paddingBottom: virtual.getTotalSize() - (items.at(-1)?.end ?? 0),
      }}
    >
      {items.map(({ index }) => {
        const m = modifications[index];
        return (
          m && (
            <ModificationCard
              key={m.id}
              modification={m}
              place={{ index, of: modifications.length, measure: virtual.measureElement }}
              open={m.id === selected}
              drawn={false}
              dialogs={dialogs}
              found={found}
            />
          )
        );
      })}
    </ol>
  );
}

function EmptyWorklog({ all, dialogs }: { all: number; dialogs: BenchDialogs }) {
  return (
    <div className="text-soft py-6">
      <p className="mb-3">
        {all > 0
          ? 'No modification is in this zone yet.'
          : 'Modifications are numbered pieces of work, each in one zone: “Even out the stonework”. Every change is logged in one of them.'}
      </p>
      <Button look="main" onClick={() => dialogs.open({ dialog: 'modification', modification: null })}>
        Start {all > 0 ? 'one here' : 'the first'}
      </Button>
    </div>
  );
}

function ZoneChips() {
  const workbench = useBuild((s) => s.workbench);
  const zone = useBuild((s) => s.zone);
  const set = useBuild((s) => s.set);
  const zones = workbench.zones.filter((z) => z.parent !== null);
  const few = zones.length <= 5;
  if (!few)
    return (
      <select
        aria-label="Zone"
        value={zone ?? ''}
        onChange={(e) => set({ zone: (e.target.value || null) as ZoneId | null })}
        className="border-edge bg-sheet min-h-7 max-w-48 rounded-md border px-1"
      >
        <option value="">All zones</option>
        {zones.map((z) => (
          <option key={z.id} value={z.id}>
            {z.name}
          </option>
        ))}
      </select>
    );
  return (
    <div role="group" aria-label="Zones" className="flex flex-wrap gap-1">
      {[{ id: null, name: 'All zones' }, ...zones].map((z) => (
        <button
          key={z.id ?? 'all'}
          type="button"
          aria-pressed={zone === z.id}
          onClick={() => set({ zone: z.id })}
          className={clsx(
            'max-w-32 min-h-6 truncate rounded-full border px-2.5',
            zone === z.id ? 'border-ink bg-ink text-sheet font-semibold' : 'border-edge hover:border-ink',
          )}
        >
          {z.name}
        </button>
      ))}
    </div>
  );
}

function ViewSelect({ onCompare }: { onCompare: () => void }) {
  const view = useBuild((s) => s.view);
  const workbench = useBuild((s) => s.workbench);
  const set = useBuild((s) => s.set);
  const selectWhatIf = useBuild((s) => s.selectWhatIf);
  const last = workbench.nextEntry(null).no - 1;
  const value =
    view.kind === 'planned' ? (workbench.whatIf ? `w:${workbench.whatIf}` : 'planned') : view.kind;
  const choose = (chosen: string) => {
    if (chosen === 'compare') return onCompare();
    if (chosen.startsWith('w:')) return selectWhatIf(chosen.slice(2) as never);
    if (workbench.whatIf) selectWhatIf(null);
    set({ view: chosen === 'asOf' ? { kind: 'asOf', no: last } : { kind: chosen as 'built' | 'planned' } });
  };
  return (
    <span className="flex items-center gap-1">
      <select
        aria-label="View of the books"
        value={value}
        onChange={(e) => choose(e.target.value)}
        className="border-edge bg-sheet min-h-7 rounded-md border px-1"
      >
        <option value="built">as built</option>
        <option value="planned">as planned</option>
        <option value="asOf">as of entry …</option>
        {[...workbench.records.whatIf.values()].map((w) => (
          <option key={w.id} value={`w:${w.id}`}>
            what if: {w.name.slice(0, 40)}
          </option>
        ))}
        <option value="compare">what-ifs…</option>
      </select>
      {view.kind === 'asOf' && (
        <input
          type="number"
          aria-label="As of entry"
          min={0}
          max={last}
          value={view.no}
          onChange={(e) =>
            set({ view: { kind: 'asOf', no: Math.max(0, Math.min(last, Number(e.target.value) || 0)) } })
          }
          className="border-edge bg-sheet min-h-7 w-16 rounded-md border px-1"
        />
      )}
    </span>
  );
}

/** What can be done with the entries that are marked. */
function MarkedBar({ dialogs }: { dialogs: BenchDialogs }) {
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
        onClick={() =>
          void copyNow(workbench, entries).then((n) =>
            set({
              notice: {
                kind: n === undefined ? 'refused' : 'said',
                text:
                  n === undefined
                    ? 'The browser does not let this page copy. Press Ctrl+C on one of the rows.'
                    : `${n === 1 ? '1 entry is' : `${n} entries are`} on the clipboard.`,
              },
            }),
          )
        }
      >
        Copy
      </Button>
      <Button look="bare" onClick={() => set({ marked: new Set() })}>
        Unmark
      </Button>
    </div>
  );
}
