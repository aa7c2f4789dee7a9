'use client';

import { useEffect, useMemo, useState } from 'react';
import { conditionOf } from '@/core/ledger';
import { elementName, elementSearch } from '@/core/parts';
import type { TrayId } from '@/core/shared/ids';
import { takeSpares, type FreeSpares } from '@/core/stock';
import type { StockSnapshot } from '@/server/snapshot';
import { Button } from '@/ui/button';
import { DataTable, type TableColumn } from '@/ui/data-table';
import { Field, Input, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, pieces } from '@/ui/numbers';
import { source } from '../common/build-store';
import type { OwnPartsActs } from '../common/own-parts-acts';
import { ask } from '../sending/answers';
import { useInAddress } from '../common/use-in-address';

const idOf = (l: FreeSpares): string => `${l.build}|${l.element}|${l.grade}`;

/** What other builds have left over and plan nothing with: chosen here it goes into a tray, and every build can take it. */
export function SparesTab({ stock, acts }: { stock: StockSnapshot; acts: OwnPartsActs }) {
  const [lots, setLots] = useState<readonly FreeSpares[] | 'asking' | 'failed'>('asking');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [wanted, setWanted] = useInAddress('find');
  const [tray, setTray] = useState<TrayId | null>(stock.trays[0]?.id ?? null);
  useEffect(() => {
    let gone = false;
    void ask<readonly FreeSpares[]>('/api/stock/spares').then((told) => !gone && setLots(told ?? 'failed'));
    return () => {
      gone = true;
    };
  }, [stock.revision]);
  const names = useMemo(() => new Map(stock.builds.map((b) => [b.id, b.name])), [stock.builds]);
  const all = useMemo(() => (typeof lots === 'string' ? [] : lots), [lots]);
  const shown = useMemo(() => {
    const fits = elementSearch(wanted);
    return all.filter((l) => fits(l.element));
  }, [all, wanted]);
  const columns = useMemo(
    (): TableColumn<FreeSpares>[] => [
      {
        id: 'part',
        words: 'Part',
        by: (l) => elementName(l.element),
        cell: (l) => (
          <span className="flex items-center gap-2">
            <Glyph element={l.element} size={30} label="" /> {elementName(l.element)}
          </span>
        ),
      },
      { id: 'qty', words: 'pieces', isNumber: true, by: (l) => l.qty, cell: (l) => count(l.qty) },
      {
        id: 'condition',
        words: 'condition',
        by: (l) => conditionOf(l.grade),
        cell: (l) => conditionOf(l.grade),
      },
      {
        id: 'build',
        words: 'spare of',
        by: (l) => names.get(l.build) ?? '',
        cell: (l) => <bdi>{names.get(l.build) ?? 'an archived build'}</bdi>,
      },
    ],
    [names],
  );
  const taken = all.filter((l) => chosen.has(idOf(l)));
  const goal = stock.trays.find((t) => t.id === tray);
  const take = () => {
    if (!goal || taken.length === 0) return;
    acts.perform(takeSpares(taken, goal, source()));
    setChosen(new Set());
  };
  return (
    <section aria-label="Builds’ spares" tabIndex={0} className="min-h-0 flex-1 overflow-auto px-4 py-3">
      <div className="mb-2 flex flex-wrap items-end gap-3">
        <div className="min-w-64 flex-1">
          <h2>
            {lots === 'asking'
              ? 'Looking through the builds…'
              : lots === 'failed'
                ? 'The server did not answer: reload to ask again.'
                : `${pieces(all.reduce((s, l) => s + l.qty, 0))} that no plan of their builds takes.`}
          </h2>
          <p className="text-soft">
            A build’s spares are its own until you put them into a tray: then every build takes from them.
          </p>
        </div>
        <Field label="Part or colour">
          <Input value={wanted} onChange={(e) => setWanted(e.target.value)} className="w-36" />
        </Field>
        <Field label="Into tray">
          <Select value={tray ?? ''} onChange={(e) => setTray(e.target.value as TrayId)}>
            {stock.trays.length === 0 && <option value="">there is none yet</option>}
            {stock.trays.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name}
              </option>
            ))}
          </Select>
        </Field>
        <Button look="main" disabled={!goal || taken.length === 0} onClick={take}>
          Put {count(taken.reduce((s, l) => s + l.qty, 0))} into it
        </Button>
      </div>
      <DataTable
        label="Spares of builds"
        columns={columns}
        rows={shown}
        idOf={idOf}
        nameOf={(l) => `${elementName(l.element)}, ${names.get(l.build) ?? ''}`}
        chosen={chosen}
        onChoose={setChosen}
        first={{ id: 'qty', down: true }}
        empty={wanted ? `No spare is “${wanted}”.` : 'No build has spares that it plans nothing with.'}
      />
    </section>
  );
}
