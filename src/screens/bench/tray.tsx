'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useMemo, useRef, useState } from 'react';
import { Search } from 'lucide-react';
import { modelAccount, placeOf, zoneOf } from '@/core/ledger';
import { elementName, elementSearch, splitElementKey, type ElementKey } from '@/core/parts';
import { Glyph } from '@/ui/glyph';
import { Key } from '@/ui/button';
import { count, piecesOfKinds } from '@/ui/numbers';
import { booksInView, useBuild } from '../common/build-store';
import { shortSize, trayRows, type TrayLot, type TrayRow } from './tray-rows';

/** What is on the model, grouped, filtered and by zone, as drawn parts on the background. */
export const Tray = memo(function Tray({ onPick }: { onPick: (element: ElementKey) => void }) {
  const lots = useTrayLots();
  const [wanted, setWanted] = useState('');
  const shown = useMemo(() => {
    const fits = elementSearch(wanted);
    return lots.filter((l) => fits(l.element));
  }, [lots, wanted]);
  const rows = useMemo(() => trayRows(shown), [shown]);
  const total = shown.reduce((s, l) => s + l.qty, 0);
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => (rows[i]?.kind === 'group' ? 30 : 70),
    overscan: 14,
  });
  return (
    <section
      aria-label="On the model"
      className="bg-background text-background-ink flex h-full min-h-0 flex-col"
    >
      <div className="px-3 pt-3 pb-2">
        <h2 className="mb-2">
          On the model{' '}
          <span className="text-background-soft font-sans text-[12px] font-normal">
            {piecesOfKinds(total, shown.length)}
          </span>
        </h2>
        <label className="bg-sheet text-ink border-background-rule flex items-center gap-2 rounded-md border px-2">
          <Search size={14} aria-hidden />
          <input
            id="tray-search"
            value={wanted}
            onChange={(e) => setWanted(e.target.value)}
            placeholder="Find a part or colour"
            aria-label="Find a part or colour on the model"
            className="min-h-7 min-w-0 flex-1 bg-transparent outline-none"
          />
          <Key>/</Key>
        </label>
      </div>
      <div ref={scroller} className="min-h-0 flex-1 overflow-auto px-3 pb-3" tabIndex={-1}>
        {rows.length === 0 && (
          <p className="text-background-soft py-6">
            {wanted
              ? `Nothing on the model is “${wanted}”.`
              : 'Nothing is on the model in this view. Import a set, or log + to put parts on.'}
          </p>
        )}
        <div style={{ height: virtual.getTotalSize() }} className="relative">
          {virtual.getVirtualItems().map((item) => {
            const row = rows[item.index];
            return (
              row && (
                <div
                  key={item.key}
                  style={{ transform: `translateY(${item.start}px)`, height: item.size }}
                  className="absolute inset-x-0 top-0"
                >
                  {row.kind === 'group' ? (
                    <GroupHeading row={row} />
                  ) : (
                    <LotRow lots={row.lots} onPick={onPick} />
                  )}
                </div>
              )
            );
          })}
        </div>
      </div>
    </section>
  );
});

function GroupHeading({ row }: { row: Extract<TrayRow, { kind: 'group' }> }) {
  return (
    <h3 className="flex items-end justify-between pt-2 font-sans text-[12px] font-semibold">
      <span>{row.name}</span>
      <span>{count(row.qty)}</span>
    </h3>
  );
}

function LotRow({ lots, onPick }: { lots: readonly TrayLot[]; onPick: (element: ElementKey) => void }) {
  return (
    <div className="grid grid-cols-4 gap-1 py-0.5">
      {lots.map((lot) => (
        <LotCell key={lot.element} lot={lot} onPick={onPick} />
      ))}
    </div>
  );
}

function LotCell({ lot, onPick }: { lot: TrayLot; onPick: (element: ElementKey) => void }) {
  const { part } = splitElementKey(lot.element);
  return (
    <button
      type="button"
      onClick={() => onPick(lot.element)}
      aria-label={`${lot.qty} ${elementName(lot.element)}`}
      title={elementName(lot.element)}
      className="bg-background-cell hover:bg-background-lit relative grid h-16 place-items-center rounded-md"
    >
      <span className="absolute top-0.5 left-1.5 max-w-[90%] truncate text-[11px]">{shortSize(part)}</span>
      <Glyph element={lot.element} size={40} />
      <span className="absolute right-1.5 bottom-0.5 text-[12px] font-bold">{lot.qty}</span>
    </button>
  );
}

function useTrayLots(): TrayLot[] {
  const workbench = useBuild((s) => s.workbench);
  const view = useBuild((s) => s.view);
  const version = useBuild((s) => s.version);
  const zone = useBuild((s) => s.zone);
  return useMemo(() => {
    const books = booksInView({ workbench, view, version });
    const zones = zone ? books.nested(zone) : null;
    const sums = new Map<ElementKey, number>();
    const accounts = zones ? [...zones].map(modelAccount) : books.balances.accountKeys('model');
    for (const account of accounts) {
      const at = zoneOf(account);
      if (placeOf(account) !== 'model' || !at) continue;
      for (const [element, qty] of books.balances.elements(account))
        sums.set(element, (sums.get(element) ?? 0) + qty);
    }
    return [...sums].filter(([, qty]) => qty !== 0).map(([element, qty]) => ({ element, qty }));
  }, [workbench, view, version, zone]);
}
