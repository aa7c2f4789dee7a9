'use client';

import clsx from 'clsx';
import { useDeferredValue, useMemo, useState } from 'react';
import { accountOwner, added, changed, type Tray } from '@/core/ledger';
import type { Colour } from '@/core/colour';
import type { ElementKey } from '@/core/parts';
import { asId, type TrayId } from '@/core/shared/ids';
import { mergeTrays, StoresIndex } from '@/core/stores';
import type { StoresSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { Input, Select } from '@/ui/field';
import { count } from '@/ui/numbers';
import { source } from '../common/bench-store';
import { ChosenPanel } from './chosen-panel';
import { CountInForm } from './count-in-form';
import { LotGrid } from './lot-grid';
import type { StoresActs } from './stores-bar';

/** Trays with their places, and what lies in them, drawn; what is chosen can be moved, lent, sold or binned. */
export function TraysTab({
  stores,
  acts,
  palette,
}: {
  stores: StoresSnapshot;
  acts: StoresActs;
  palette: readonly Colour[];
}) {
  const [tray, setTray] = useState<TrayId | null>(null);
  const [wanted, setWanted] = useState('');
  const [chosen, setChosen] = useState<ReadonlySet<ElementKey>>(new Set());
  const index = useMemo(() => new StoresIndex(stores.rows), [stores.rows]);
  const typed = useDeferredValue(wanted);
  const hits = useMemo(() => index.search(typed, tray), [index, typed, tray]);
  const held = tray ? stores.trays.find((t) => t.id === tray) : undefined;
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
      <TrayList stores={stores} acts={acts} tray={tray} onTray={setTray} />
      <section aria-label="Parts" className="bg-mat text-mat-ink flex min-h-64 flex-col rounded-lg p-3">
        <div className="mb-2 flex flex-wrap items-center gap-3">
          {held && (
            <TrayNames
              key={held.id}
              tray={held}
              stores={stores}
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
            aria-label="Find a part in the stores"
            placeholder="Find a part or colour"
            className="text-ink min-w-40 flex-1"
          />
          <span className="text-mat-soft">
            {count(hits.reduce((s, l) => s + l.qty, 0))} pieces, {count(hits.length)} lots
          </span>
        </div>
        <LotGrid hits={hits} chosen={chosen} onToggle={toggle} />
      </section>
      {lots.length > 0 ? (
        <ChosenPanel
          key={lots.map((l) => l.element).join()}
          stores={stores}
          hits={lots}
          acts={acts}
          onDone={() => setChosen(new Set())}
        />
      ) : (
        <CountInForm stores={stores} acts={acts} palette={palette} tray={tray} />
      )}
    </div>
  );
}

function TrayList({
  stores,
  acts,
  tray,
  onTray,
}: {
  stores: StoresSnapshot;
  acts: StoresActs;
  tray: TrayId | null;
  onTray: (tray: TrayId | null) => void;
}) {
  const [name, setName] = useState('');
  const sums = new Map<string, number>();
  for (const r of stores.rows)
    sums.set(accountOwner(r.account), (sums.get(accountOwner(r.account)) ?? 0) + r.qty);
  const all: { id: TrayId | null; name: string; place: string }[] = [
    { id: null, name: 'All trays', place: '' },
    ...stores.trays,
  ];
  const add = () => {
    if (!name.trim()) return;
    const position = Math.max(0, ...stores.trays.map((t) => t.position)) + 1;
    const fresh = { id: asId<TrayId>(crypto.randomUUID()), name: name.trim(), place: '', position };
    void acts.perform(`add tray ${fresh.name}`, added('tray', fresh));
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
  stores,
  acts,
  onMerged,
}: {
  tray: Tray;
  stores: StoresSnapshot;
  acts: StoresActs;
  onMerged: () => void;
}) {
  const [name, setName] = useState(tray.name);
  const [place, setPlace] = useState(tray.place);
  const keep = () => {
    const to = { name: name.trim() || tray.name, place: place.trim() };
    if (to.name !== tray.name || to.place !== tray.place)
      void acts.perform(`rename tray ${tray.name}`, changed('tray', tray, to));
  };
  const merge = (id: string) => {
    const into = stores.trays.find((t) => t.id === id);
    if (!into) return;
    acts.command(mergeTrays(tray, into, stores.rows, stores.plans, source()));
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
      <Select
        aria-label="Merge this tray into"
        value=""
        onChange={(e) => merge(e.target.value)}
        className="text-ink w-28"
      >
        <option value="">merge into…</option>
        {stores.trays
          .filter((t) => t.id !== tray.id)
          .map((t) => (
            <option key={t.id} value={t.id}>
              {t.name}
            </option>
          ))}
      </Select>
    </span>
  );
}
