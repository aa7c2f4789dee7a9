'use client';

import { useMemo, useState } from 'react';
import { elementName } from '@/core/parts';
import type { ModificationId } from '@/core/shared/ids';
import { pickList, PICK_ORDERS, pickOut, type PickOrder } from '@/core/need';
import { Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, modNo, pieces } from '@/ui/numbers';
import { VirtualList } from '@/ui/virtual-list';
import { useBuild } from '../common/build-store';
import { SortingBins } from './sorting-bins';
import { useOneInAddress } from '../common/use-in-address';
import { ListLinks } from '../lists/list-links';

/** Getting parts out: in the order of the trays, or for sorting into cups; ticked one by one, on paper too. */
export function PickTab() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const [order, setOrder] = useOneInAddress('order', PICK_ORDERS);
  const [only, setOnly] = useState<ModificationId | null>(null);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const lines = useMemo(() => {
    void version;
    return pickList(workbench, order, only);
  }, [workbench, version, order, only]);
  const key = (l: (typeof lines)[number]) => `${l.where} ${l.element} ${l.grade}`;
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  // What lies in the spares is in this build's hand: it was picked, or came off it.
  const inHand = lines.filter((l) => l.place === 'spares');
  const out = lines.filter((l) => l.place !== 'spares');
  const shown = [...out, ...inHand];
  const sum = (of: typeof lines) => of.reduce((s, l) => s + l.qty, 0);
  return (
    <section aria-label="Pick list" tabIndex={0} className="h-full overflow-auto p-4 print:overflow-visible">
      <div className="mb-3 flex flex-wrap items-start gap-3">
        <h1 className="min-w-72 flex-1 text-[21px] leading-tight">
          {lines.length === 0
            ? 'Nothing planned lies in a tray, a box or the spares.'
            : `${pieces(sum(out))} to get out, ${pieces(sum(inHand))} in hand.`}
          <span className="text-soft mt-1 block font-sans text-[13px] font-normal">
            A tick takes the line in hand: it goes to this build’s spares, and no other build counts on it.
          </span>
        </h1>
        <span className="no-print flex flex-wrap gap-2">
          <Select aria-label="Sorted" value={order} onChange={(e) => setOrder(e.target.value as PickOrder)}>
            <option value="tray">in the order of the trays</option>
            <option value="shape">by family, size, colour</option>
          </Select>
          <Select
            aria-label="For"
            value={only ?? ''}
            onChange={(e) => setOnly((e.target.value || null) as ModificationId | null)}
          >
            <option value="">for all modifications</option>
            {workbench.modifications.map((m) => (
              <option key={m.id} value={m.id}>
                {modNo(m.no)} {m.title}
              </option>
            ))}
          </Select>
          <ListLinks of={`/builds/${workbench.build}`} list="pick-list" />
        </span>
      </div>
      {shown.length > 0 && <SortingBins lots={shown} />}
      <VirtualList
        items={shown}
        keyOf={key}
        rowHeight={45}
        className="max-w-3xl"
        rowClass="break-inside-avoid"
      >
        {(l, i) => (
          <>
            {order === 'tray' && shown[i - 1]?.where !== l.where && (
              <h2 className="border-ink mt-3 border-b pb-1">
                <bdi>{l.place === 'spares' ? 'In hand' : l.where}</bdi>
              </h2>
            )}
            <label className="border-rule flex min-h-11 items-center gap-3 border-b">
              <input
                type="checkbox"
                className="size-5"
                checked={ticked.has(key(l))}
                onChange={(e) => {
                  if (l.place !== 'spares') return perform(pickOut(workbench, l, source()));
                  const next = new Set(ticked);
                  if (e.target.checked) next.add(key(l));
                  else next.delete(key(l));
                  setTicked(next);
                }}
              />
              <Glyph element={l.element} size={34} />
              <b className="min-w-8 text-right">{count(l.qty)}</b>
              <span className="flex-1">
                {elementName(l.element)} <span className="text-faint">{l.grade}</span>
              </span>
              {order === 'shape' && <bdi className="text-soft">{l.where}</bdi>}
            </label>
          </>
        )}
      </VirtualList>
    </section>
  );
}
