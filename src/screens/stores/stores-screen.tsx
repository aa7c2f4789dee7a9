'use client';

import clsx from 'clsx';
import { useVirtualizer } from '@tanstack/react-virtual';
import Link from 'next/link';
import { useMemo, useRef, useState } from 'react';
import { accountOwner, changed, priceLookup, type Tray } from '@/core/ledger';
import { byElementName, elementName, elementSearch, type ElementKey } from '@/core/parts';
import type { TrayId } from '@/core/shared/ids';
import type { StoresSnapshot } from '@/server/snapshot';
import { AppHeader } from '@/ui/app-header';
import { buttonClass } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { Input } from '@/ui/field';
import { count, money, pieces } from '@/ui/numbers';
import { PaletteProvider } from '@/ui/palette-context';
import { useMat } from '../common/use-mat';
import { TurnButtons, useStoresActs, useStoresPalette } from './stores-bar';

const COLUMNS = 6;

/** Own stock, shared by every build: trays of drawn parts. */
export function StoresScreen({ stores }: { stores: StoresSnapshot }) {
  const [tray, setTray] = useState<TrayId | null>(null);
  const [wanted, setWanted] = useState('');
  useMat();
  const acts = useStoresActs();
  const palette = useStoresPalette(stores);
  const priceOf = useMemo(() => priceLookup(stores.prices), [stores.prices]);
  const total = stores.rows.reduce((s, r) => s + r.qty, 0);
  const worth = stores.rows.reduce((s, r) => s + (priceOf(r.element, r.grade) ?? 0) * r.qty, 0);
  const lots = useMemo(() => lotsOf(stores, tray, wanted), [stores, tray, wanted]);
  const held = tray ? stores.trays.find((t) => t.id === tray) : undefined;
  return (
    <PaletteProvider palette={palette}>
      <div className="flex h-dvh flex-col">
        <AppHeader screen="Stores" />
        <main className="flex min-h-0 flex-1 flex-col px-4 py-5">
          <div className="mb-4 flex flex-wrap items-end gap-3">
            <div className="min-w-64 flex-1">
              <h1 className="text-[24px] leading-tight">
                {total === 0
                  ? 'Nothing is in the stores yet.'
                  : `${pieces(total)} in ${stores.trays.length} ${stores.trays.length === 1 ? 'tray' : 'trays'}, worth ${money(worth)}.`}
              </h1>
              <p className="text-soft mt-1">
                Your own parts. Every build takes from them, after its own spares.
              </p>
            </div>
            <TurnButtons turns={stores.turns} turn={acts.turn} />
            <Link href="/bring-in?for=stores" className={buttonClass('main')}>
              Count parts in
            </Link>
          </div>
          <p role="status" className="font-medium">
            {acts.says}
          </p>
          {total > 0 && (
            <div className="grid min-h-0 flex-1 gap-4 md:grid-cols-[220px_1fr]">
              <TrayList stores={stores} tray={tray} onTray={setTray} />
              <section
                aria-label="Parts"
                className="bg-mat text-mat-ink flex min-h-0 flex-col rounded-lg p-3"
              >
                <div className="mb-2 flex flex-wrap items-center gap-3">
                  {held && (
                    <TrayNames
                      key={held.id}
                      tray={held}
                      onChange={(to) =>
                        void acts.perform(`rename tray ${held.name}`, changed('tray', held, to))
                      }
                    />
                  )}
                  <Input
                    value={wanted}
                    onChange={(e) => setWanted(e.target.value)}
                    aria-label="Find a part in the stores"
                    placeholder="Find a part or colour"
                    className="text-ink min-w-48 flex-1"
                  />
                  <span className="text-mat-soft">
                    {count(lots.reduce((s, l) => s + l.qty, 0))} pieces, {count(lots.length)} lots
                  </span>
                </div>
                <LotGrid lots={lots} />
              </section>
            </div>
          )}
        </main>
      </div>
    </PaletteProvider>
  );
}

interface StoreLot {
  readonly element: ElementKey;
  readonly qty: number;
  readonly grades: string;
}

function lotsOf(stores: StoresSnapshot, tray: TrayId | null, wanted: string): StoreLot[] {
  const fits = elementSearch(wanted);
  const sums = new Map<ElementKey, { qty: number; grades: Set<string> }>();
  for (const r of stores.rows) {
    if (tray && accountOwner(r.account) !== tray) continue;
    if (!fits(r.element)) continue;
    const held = sums.get(r.element) ?? { qty: 0, grades: new Set<string>() };
    held.qty += r.qty;
    held.grades.add(r.grade);
    sums.set(r.element, held);
  }
  return [...sums]
    .map(([element, { qty, grades }]) => ({ element, qty, grades: [...grades].join(', ') }))
    .sort((a, b) => byElementName(a.element, b.element));
}

function TrayList({
  stores,
  tray,
  onTray,
}: {
  stores: StoresSnapshot;
  tray: TrayId | null;
  onTray: (tray: TrayId | null) => void;
}) {
  const sums = new Map<string, number>();
  for (const r of stores.rows)
    sums.set(accountOwner(r.account), (sums.get(accountOwner(r.account)) ?? 0) + r.qty);
  const all: { id: TrayId | null; name: string; place: string }[] = [
    { id: null, name: 'All trays', place: '' },
    ...stores.trays,
  ];
  return (
    <ul aria-label="Trays" className="min-h-0 overflow-auto">
      {all.map((t) => (
        <li key={t.id ?? 'all'}>
          <button
            type="button"
            aria-pressed={tray === t.id}
            onClick={() => onTray(t.id)}
            className={clsx(
              'flex min-h-9 w-full items-center gap-2 rounded-md px-2 text-left',
              tray === t.id ? 'bg-ink text-sheet' : 'hover:bg-wash',
            )}
          >
            <span className="min-w-0 flex-1 truncate">
              <bdi className="font-semibold">{t.name}</bdi> <bdi className="opacity-80">{t.place}</bdi>
            </span>
            {t.id && <span>{count(sums.get(t.id) ?? 0)}</span>}
          </button>
        </li>
      ))}
    </ul>
  );
}

function TrayNames({ tray, onChange }: { tray: Tray; onChange: (to: Partial<Tray>) => void }) {
  const [name, setName] = useState(tray.name);
  const [place, setPlace] = useState(tray.place);
  const keep = () => {
    const to = { name: name.trim() || tray.name, place: place.trim() };
    if (to.name !== tray.name || to.place !== tray.place) onChange(to);
  };
  return (
    <span className="flex gap-2">
      <Input
        aria-label="Name of the tray"
        value={name}
        maxLength={200}
        onChange={(e) => setName(e.target.value)}
        onBlur={keep}
        className="text-ink w-24"
      />
      <Input
        aria-label="Place of the tray"
        value={place}
        maxLength={200}
        placeholder="place"
        onChange={(e) => setPlace(e.target.value)}
        onBlur={keep}
        className="text-ink w-32"
      />
    </span>
  );
}

function LotGrid({ lots }: { lots: readonly StoreLot[] }) {
  const scroller = useRef<HTMLDivElement>(null);
  const rows = Math.ceil(lots.length / COLUMNS);
  const virtual = useVirtualizer({
    count: rows,
    getScrollElement: () => scroller.current,
    estimateSize: () => 92,
    overscan: 8,
  });
  return (
    <div ref={scroller} tabIndex={0} role="region" aria-label="Lots" className="min-h-0 flex-1 overflow-auto">
      {lots.length === 0 && <p className="text-mat-soft py-4">Nothing here is called that.</p>}
      <div style={{ height: virtual.getTotalSize() }} className="relative">
        {virtual.getVirtualItems().map((item) => (
          <ul
            key={item.key}
            style={{ transform: `translateY(${item.start}px)` }}
            className="absolute inset-x-0 top-0 grid grid-cols-6 gap-1"
          >
            {lots.slice(item.index * COLUMNS, (item.index + 1) * COLUMNS).map((l) => (
              <li
                key={l.element}
                className="bg-mat-cell relative flex h-22 flex-col items-center justify-center rounded-md px-1 text-[11px]"
              >
                <Glyph element={l.element} size={46} />
                <span className="w-full truncate text-center">{elementName(l.element)}</span>
                <span className="text-mat-soft">{l.grades}</span>
                <b className="absolute top-1 right-2 text-[13px]">{count(l.qty)}</b>
              </li>
            ))}
          </ul>
        ))}
      </div>
    </div>
  );
}
