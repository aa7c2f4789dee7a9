'use client';

import { ActSelect } from '@/ui/act-select';
import clsx from 'clsx';
import { useDeferredValue, useMemo, useState } from 'react';
import { accountOwner, type Tray } from '@/core/ledger';
import type { Colour } from '@/core/colour';
import type { ElementKey } from '@/core/parts';
import type { TrayId } from '@/core/shared/ids';
import { addTray, mergeTrays, renameTray, StockIndex } from '@/core/stock';
import type { StockSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { Input } from '@/ui/field';
import { count, piecesOfKinds } from '@/ui/numbers';
import { source } from '../common/build-store';
import { ChosenPanel } from './chosen-panel';
import { AddStockForm } from './add-stock-form';
import { LotGrid } from './lot-grid';
import type { OwnPartsActs } from '../common/own-parts-acts';
import { useInAddress } from '../common/use-in-address';

/** Trays with their places, and what lies in them, drawn; what is chosen can be moved, lent, sold or binned. */
export function TraysTab({
  stock,
  acts,
  palette,
}: {
  stock: StockSnapshot;
  acts: OwnPartsActs;
  palette: readonly Colour[];
}) {
  const [tray, setTray] = useState<TrayId | null>(null);
  const [wanted, setWanted] = useInAddress('find');
  const [chosen, setChosen] = useState<ReadonlySet<ElementKey>>(new Set());
  const index = useMemo(() => new StockIndex(stock.rows), [stock.rows]);
  const typed = useDeferredValue(wanted);
  const hits = useMemo(() => index.search(typed, tray), [index, typed, tray]);
  const held = tray ? stock.trays.find((t) => t.id === tray) : undefined;
  const lots = useMemo(
    () => index.search('', tray).filter((h) => chosen.has(h.element)),
    [index, tray, chosen],
  );
  const toggle = (element: ElementKey) => {
    const next = new Set(chosen);
    if (!next.delete(element)) next.add(element);
    setChosen(next);
  };
  return (
    <div className="grid min-h-0 flex-1 gap-4 px-4 py-3 max-lg:overflow-auto lg:grid-cols-[210px_1fr_300px]">
      <TrayList stock={stock} acts={acts} tray={tray} onTray={setTray} />
      <section
        aria-label="Parts"
        className="bg-background text-background-ink flex min-h-64 flex-col rounded-lg p-3"
      >
        <div className="mb-2 flex flex-wrap items-center gap-3">
          {held && (
            <TrayNames
              key={held.id}
              tray={held}
              stock={stock}
              acts={acts}
              onMerged={() => {
                setTray(null);
                setChosen(new Set());
              }}
            />
          )}
          <Input
            value={wanted}
            onChange={(e) => setWanted(e.target.value)}
            aria-label="Find one of your own parts"
            placeholder="Find a part or colour"
            className="text-ink min-w-40 flex-1"
          />
          <span className="text-background-soft">
            {piecesOfKinds(
              hits.reduce((s, l) => s + l.qty, 0),
              hits.length,
            )}
          </span>
        </div>
        <LotGrid hits={hits} chosen={chosen} onToggle={toggle} />
      </section>
      {lots.length > 0 ? (
        <ChosenPanel
          key={lots.map((l) => l.element).join()}
          stock={stock}
          hits={lots}
          acts={acts}
          onDone={() => setChosen(new Set())}
        />
      ) : (
        <AddStockForm stock={stock} acts={acts} palette={palette} tray={tray} />
      )}
    </div>
  );
}

function TrayList({
  stock,
  acts,
  tray,
  onTray,
}: {
  stock: StockSnapshot;
  acts: OwnPartsActs;
  tray: TrayId | null;
  onTray: (tray: TrayId | null) => void;
}) {
  const [name, setName] = useState('');
  const sums = new Map<string, number>();
  for (const r of stock.rows)
    sums.set(accountOwner(r.account), (sums.get(accountOwner(r.account)) ?? 0) + r.qty);
  const all: { id: TrayId | null; name: string; place: string }[] = [
    { id: null, name: 'All trays', place: '' },
    ...stock.trays,
  ];
  const add = () => {
    if (!name.trim()) return;
    acts.perform(addTray(stock.trays, name.trim(), source()));
    setName('');
  };
  return (
    <div className="flex min-h-0 flex-col gap-2">
      <ul aria-label="Trays" className="min-h-0 flex-1 overflow-auto">
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
      <form
        className="flex gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          add();
        }}
      >
        <Input
          aria-label="Name of a new tray"
          placeholder="new tray"
          value={name}
          maxLength={200}
          onChange={(e) => setName(e.target.value)}
          className="min-w-0 flex-1"
        />
        <Button type="submit" disabled={!name.trim()}>
          Add
        </Button>
      </form>
    </div>
  );
}

function TrayNames({
  tray,
  stock,
  acts,
  onMerged,
}: {
  tray: Tray;
  stock: StockSnapshot;
  acts: OwnPartsActs;
  onMerged: () => void;
}) {
  const [name, setName] = useState(tray.name);
  const [place, setPlace] = useState(tray.place);
  const keep = () => {
    const to = { name: name.trim() || tray.name, place: place.trim() };
    if (to.name !== tray.name || to.place !== tray.place) acts.perform(renameTray(tray, to));
  };
  const merge = (id: string) => {
    const into = stock.trays.find((t) => t.id === id);
    if (!into) return;
    acts.perform(mergeTrays(tray, into, stock.rows, stock.plans, source()));
    onMerged();
  };
  return (
    <span className="flex flex-wrap gap-2">
      <Input
        aria-label="Name of the tray"
        value={name}
        maxLength={200}
        onChange={(e) => setName(e.target.value)}
        onBlur={keep}
        className="text-ink w-20"
      />
      <Input
        aria-label="Place of the tray"
        value={place}
        maxLength={200}
        placeholder="place"
        onChange={(e) => setPlace(e.target.value)}
        onBlur={keep}
        className="text-ink w-28"
      />
      <ActSelect
        label="Merge this tray into"
        verb="Merge"
        none="merge into…"
        options={stock.trays.filter((t) => t.id !== tray.id).map((t) => ({ value: t.id, words: t.name }))}
        onAct={merge}
        className="w-44"
      />
    </span>
  );
}
