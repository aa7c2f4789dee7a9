'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import clsx from 'clsx';
import { memo, useEffect, useMemo, useRef } from 'react';
import { Search } from 'lucide-react';
import { Tabs } from 'radix-ui';
import { elementName, elementSearch, splitElementKey, type ElementKey } from '@/core/parts';
import { Glyph } from '@/ui/glyph';
import { usePalette } from '@/ui/palette-context';
import { Button, Key } from '@/ui/button';
import { count, piecesOfKinds } from '@/ui/numbers';
import { booksInView, useBuild } from '../common/build-store';
import { conditionWords, lotsAt, piecesAt, trayPlaces, type PickedFrom, type TrayPlace } from './tray-places';
import { shortSize, trayRows, type TrayLot, type TrayRow } from './tray-rows';
import { useInAddress } from '../common/use-in-address';

interface TrayProps {
  readonly onPick: OnPick;
  readonly onCountLeft: () => void;
}

/** What lies on the model, or in a place that the build takes from, as drawn parts on the background. */
export const Tray = memo(function Tray({ onPick, onCountLeft }: TrayProps) {
  const places = useTrayPlaces();
  const [chosen, setChosen] = useInAddress('tray', 'model');
  const place = places.find((p) => p.id === chosen) ?? places[0];
  const complete = useBuild((s) => s.workbench.isComplete);
  const learn = useBuild((s) => s.learn);
  // Of own parts a page opens with those of its own elements: all of them are asked for when they are looked at.
  const asks = place?.from?.source === 'stock' && !complete;
  useEffect(() => {
    if (asks) void learn();
  }, [asks, learn]);
  if (!place) return null;
  return (
    <section
      aria-label={place.name}
      className="bg-background text-background-ink flex h-full min-h-0 flex-col"
    >
      <Tabs.Root value={place.id} onValueChange={setChosen} className="flex min-h-0 flex-1 flex-col">
        <Tabs.List
          aria-label="Where parts are"
          className="border-background-rule flex flex-wrap gap-x-3 border-b px-3 pt-2"
        >
          {places.map((p) => (
            <Tabs.Trigger
              key={p.id}
              value={p.id}
              title={p.name}
              className={clsx(
                'flex min-h-7 max-w-full items-baseline gap-1 border-b-2',
                p.id === place.id ? 'border-background-ink font-semibold' : 'border-transparent',
              )}
            >
              <bdi className="max-w-36 truncate">{p.name}</bdi>
              <span
                className={clsx(
                  'text-background-soft text-[12px] font-normal',
                  // Its room is there before its figure is: the row of tabs does not break when that comes.
                  p.from?.source === 'stock' && 'min-w-[6ch] text-left',
                )}
              >
                {p.qty === null ? '…' : count(p.qty)}
              </span>
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value={place.id} className="flex min-h-0 flex-1 flex-col" tabIndex={-1}>
          <Lots key={place.id} place={place} reading={asks} onPick={onPick} />
          {place.from?.source === 'donor' && place.qty !== 0 && (
            <p className="border-background-rule border-t px-3 py-2">
              <Button onClick={onCountLeft}>Count what is left…</Button>
            </p>
          )}
        </Tabs.Content>
      </Tabs.Root>
    </section>
  );
});

/** How much of the tray is thought to show before it is measured. */
const USUAL = { width: 292, height: 510 };

type OnPick = (element: ElementKey, from?: PickedFrom) => void;
/** With the pieces that lie there; null while only those of the build's own elements are known. */
type ShownPlace = TrayPlace & { readonly qty: number | null };

interface LotsProps {
  readonly place: ShownPlace;
  /** True while own parts are still on their way. */
  readonly reading: boolean;
  readonly onPick: OnPick;
}

function Lots({ place, reading, onPick }: LotsProps) {
  const [wanted, setWanted] = useInAddress('find');
  const workbench = useBuild((s) => s.workbench);
  const view = useBuild((s) => s.view);
  const version = useBuild((s) => s.version);
  const lots = useMemo(
    () => lotsAt(booksInView({ workbench, view, version }), place.accounts),
    [workbench, view, version, place],
  );
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
    estimateSize: (i) => (rows[i]?.kind === 'group' ? 30 : 82),
    overscan: 6,
    // Before it is measured: its rows come with the first drawing.
    initialRect: USUAL,
  });
  const pick = (element: ElementKey) => onPick(element, place.from ?? undefined);
  return (
    <>
      <div className="px-3 pt-2 pb-2">
        <h2 className="sr-only">{place.name}</h2>
        <label className="bg-sheet text-ink border-background-rule flex items-center gap-2 rounded-md border px-2">
          <Search size={14} aria-hidden />
          <input
            id="tray-search"
            value={wanted}
            onChange={(e) => setWanted(e.target.value)}
            placeholder="Find a part or colour"
            aria-label={`Find a part or colour: ${place.name}`}
            className="min-h-7 min-w-0 flex-1 bg-transparent outline-none"
          />
          <Key>/</Key>
        </label>
        <p aria-live="polite" className="text-background-soft mt-1 text-[12px]">
          {reading ? 'reading own parts…' : piecesOfKinds(total, shown.length)}
        </p>
      </div>
      <div ref={scroller} className="scroll-box px-3 pb-3" tabIndex={-1}>
        {rows.length === 0 && (
          <p className="text-background-soft py-6">
            {wanted ? `Nothing here is “${wanted}”.` : EMPTY[place.from?.source ?? 'model']}
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
                    <LotRow lots={row.lots} place={place} onPick={pick} />
                  )}
                </div>
              )
            );
          })}
        </div>
      </div>
    </>
  );
}

/** What goes in an empty place, and how it comes there. */
const EMPTY: Readonly<Record<string, string>> = {
  model: 'Nothing is on the model in this view. Import a set, or log + to put parts on.',
  spares: 'No spares yet: what is taken off the model comes here, unless a line says where else.',
  donor: 'This box is empty.',
  stock: 'Nothing is counted in own parts. What you have and did not count is “own” in the line.',
};

function GroupHeading({ row }: { row: Extract<TrayRow, { kind: 'group' }> }) {
  return (
    <h3 className="flex items-end justify-between pt-2 font-sans text-[12px] font-semibold">
      <span>{row.name}</span>
      <span>{count(row.qty)}</span>
    </h3>
  );
}

interface RowProps {
  readonly lots: readonly TrayLot[];
  readonly place: ShownPlace;
  readonly onPick: (element: ElementKey) => void;
}

function LotRow({ lots, place, onPick }: RowProps) {
  return (
    <div className="grid grid-cols-3 gap-1 py-0.5">
      {lots.map((lot) => (
        <LotCell key={lot.element} lot={lot} where={place.from ? `, ${place.name}` : ''} onPick={onPick} />
      ))}
    </div>
  );
}

interface CellProps {
  readonly lot: TrayLot;
  readonly where: string;
  readonly onPick: (element: ElementKey) => void;
}

function LotCell({ lot, where, onPick }: CellProps) {
  const { part, colour } = splitElementKey(lot.element);
  const palette = usePalette();
  const family = palette.get(colour)?.family ?? colour;
  const condition = conditionWords(lot);
  return (
    <button
      type="button"
      onClick={() => onPick(lot.element)}
      aria-label={`${lot.qty} ${elementName(lot.element)}, ${family}, ${condition}${where}`}
      title={`${elementName(lot.element)}, ${family}: ${condition}${where}`}
      className="bg-background-cell hover:bg-background-lit relative flex h-19 flex-col items-center rounded-md px-1 pt-3.5"
    >
      <span className="absolute top-0.5 left-1.5 max-w-[72%] truncate text-[11px]">{shortSize(part)}</span>
      <span className="absolute top-0 right-1.5 text-[12px] font-bold">{count(lot.qty)}</span>
      <Glyph element={lot.element} size={34} />
      <span className="w-full truncate text-center text-[10.5px] leading-3">
        {colour === family ? colour : `${colour}, ${family}`}
      </span>
      <span className="text-background-soft w-full truncate text-center text-[10.5px] leading-3">
        {condition}
      </span>
    </button>
  );
}

function useTrayPlaces(): ShownPlace[] {
  const workbench = useBuild((s) => s.workbench);
  const view = useBuild((s) => s.view);
  const version = useBuild((s) => s.version);
  const zone = useBuild((s) => s.zone);
  const complete = useBuild((s) => s.workbench.isComplete);
  return useMemo(() => {
    const books = booksInView({ workbench, view, version });
    return trayPlaces(workbench, books, zone).map((place) => ({
      ...place,
      qty: complete || place.from?.source !== 'stock' ? piecesAt(books, place.accounts) : null,
    }));
  }, [workbench, view, version, zone, complete]);
}
