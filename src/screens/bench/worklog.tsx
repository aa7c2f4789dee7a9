'use client';

import { Plus } from 'lucide-react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { zoneOf, type AccountKey, type Modification } from '@/core/ledger';
import type { EntryId, ModificationId, ZoneId } from '@/core/shared/ids';
import { findInLog, LOG_ORDERS, sortLog, type Workbench } from '@/core/workbench';
import { Button } from '@/ui/button';
import { OpensInPlace } from '@/ui/in-sight';
import { useBuild } from '../common/build-store';
import { FindAndOrder } from '../common/find-and-order';
import { useInAddress, useOneInAddress } from '../common/use-in-address';
import { cardHandle, DragList, Sortable } from './drag-list';
import { MarkedBar } from './marked-bar';
import { ModificationCard } from './modification-card';
import { ViewSelect, ZoneChips } from './worklog-bar';
import type { BenchDialogs } from './dialogs';

/** Height of a modification that is not open, in px. */
const HEAD = 57;

/** How much of the worklog is thought to show before it is measured. */
const USUAL = { width: 700, height: 560 };

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
  // Not a ref: the list inside is there before what it scrolls in is, and must hear of it.
  const [scroller, setScroller] = useState<HTMLDivElement | null>(null);
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
      <div className="flex flex-wrap items-center gap-2 px-4 pt-1.5 pb-2 max-sm:gap-1">
        <FindAndOrder
          what="the worklog"
          text={text}
          onText={setText}
          found={{ n: found?.entries.size ?? 0, one: 'entry', many: 'entries' }}
          orders={LOG_ORDERS}
          order={order}
          onOrder={setOrder}
        />
        <span className="flex-1 max-sm:hidden" />
        <ViewSelect onCompare={() => dialogs.open({ dialog: 'whatIfs' })} />
      </div>
      <MarkedBar dialogs={dialogs} />
      <div ref={setScroller} className="scroll-box px-4 pb-4">
        {modifications.length === 0 &&
          (found ? (
            <p className="text-soft py-6">Nothing in the worklog has “{wanted.trim()}” in it.</p>
          ) : (
            <EmptyWorklog all={workbench.modifications.length} dialogs={dialogs} />
          ))}
        <DragList inOrder={order === 'as they stand'}>
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
              <OpensInPlace>
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
              </OpensInPlace>
            )}
          </Sortable>
        </DragList>
      </div>
    </section>
  );
});

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
  scroller: HTMLDivElement | null;
}) {
  const at = modifications.findIndex((m) => m.id === selected);
  const virtual = useVirtualizer({
    count: modifications.length,
    getScrollElement: () => scroller,
    getItemKey: (i) => modifications[i]?.id ?? i,
    estimateSize: () => HEAD,
    overscan: 6,
    // Before it is known what scrolls: the rows around the chosen one, which are not drawn once more when it is.
    initialRect: USUAL,
    initialOffset: Math.max(0, at) * HEAD,
  });
  useEffect(() => {
    if (at < 0 || !scroller) return;
    const top = virtual.getOffsetForIndex(at, 'start')?.[0] ?? 0;
    const isInSight = top >= scroller.scrollTop && top < scroller.scrollTop + scroller.clientHeight - HEAD;
    // By its head: what is opened may be longer than all that shows.
    if (!isInSight) virtual.scrollToIndex(at, { align: 'start' });
  }, [at, virtual, scroller]);
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
