'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Colour } from '@/core/colour';
import type { PriceOf } from '@/core/ledger';
import { elementKey, elementName, elementSearch } from '@/core/parts';
import { asId, type PartId } from '@/core/shared/ids';
import { stockByColour, type ColourStock, type RareLot } from '@/core/stock';
import type { StockSnapshot } from '@/server/snapshot';
import { DataTable, type TableColumn } from '@/ui/data-table';
import { Field, Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, kinds, pieces, priced } from '@/ui/numbers';
import { ask } from '../sending/answers';
import { useInAddress } from '../common/use-in-address';
import { ListLinks } from '../lists/list-links';

interface ByColourProps {
  readonly stock: StockSnapshot;
  readonly palette: readonly Colour[];
  readonly priceOf: PriceOf;
}

/** What one has most of, colour by colour, and which left-overs would be hard to come by again. */
export function ByColourTab({ stock, palette, priceOf }: ByColourProps) {
  const [wanted, setWanted] = useInAddress('find');
  const family = useMemo(() => new Map(palette.map((c) => [c.id, c])), [palette]);
  const fits = (colour: ColourStock['colour']) =>
    `${family.get(colour)?.name ?? colour} ${family.get(colour)?.family ?? ''}`
      .toLowerCase()
      .includes(wanted.trim().toLowerCase());
  const all = useMemo(() => stockByColour(stock.rows, priceOf), [stock.rows, priceOf]);
  const shown = all.filter((c) => fits(c.colour));
  const most = all[0];
  const columns = useMemo((): TableColumn<ColourStock>[] => {
    const nameOf = (c: ColourStock) => family.get(c.colour)?.name ?? c.colour;
    return [
      {
        id: 'colour',
        words: 'Colour',
        by: nameOf,
        cell: (c) => (
          <span className="flex items-center gap-2">
            <Glyph element={elementKey(asId<PartId>('brick 2x2'), c.colour)} size={26} label="" />
            {nameOf(c)}, {family.get(c.colour)?.family}
          </span>
        ),
      },
      { id: 'pieces', words: 'pieces', isNumber: true, by: (c) => c.pieces, cell: (c) => count(c.pieces) },
      { id: 'kinds', words: 'kinds', isNumber: true, by: (c) => c.kinds, cell: (c) => count(c.kinds) },
      {
        id: 'worth',
        words: 'worth',
        isNumber: true,
        by: (c) => (c.unpriced === c.pieces ? null : c.worth),
        cell: (c) => priced(c.worth, c.unpriced),
      },
    ];
  }, [family]);
  return (
    <section
      aria-label="By colour"
      tabIndex={0}
      className="grid min-h-0 flex-1 content-start gap-x-8 gap-y-5 overflow-auto px-4 py-3 lg:grid-cols-2"
    >
      <div>
        <div className="mb-2 flex flex-wrap items-end gap-3">
          <h2 className="min-w-48 flex-1">
            {most
              ? `Most of all you have ${family.get(most.colour)?.name ?? most.colour}: ${pieces(most.pieces)} of ${kinds(most.kinds)}.`
              : 'Nothing is counted yet.'}
          </h2>
          <Field label="Colour">
            <Input value={wanted} onChange={(e) => setWanted(e.target.value)} className="w-32" />
          </Field>
          <ListLinks of="/own-parts" list="by-colour" />
        </div>
        <DataTable
          label="Own parts by colour"
          columns={columns}
          rows={shown}
          idOf={(c) => c.colour}
          first={{ id: 'pieces', down: true }}
          empty={
            wanted ? `No colour of yours is “${wanted}”.` : 'Add own parts, and their colours stand here.'
          }
        />
      </div>
      <RareLots revision={stock.revision} />
    </section>
  );
}

const RARE_COLUMNS: readonly TableColumn<RareLot>[] = [
  {
    id: 'part',
    words: 'Part',
    by: (r) => elementName(r.element),
    cell: (r) => (
      <span className="flex items-center gap-2">
        <Glyph element={r.element} size={30} label="" /> {elementName(r.element)}
      </span>
    ),
  },
  { id: 'qty', words: 'pieces', isNumber: true, by: (r) => r.qty, cell: (r) => count(r.qty) },
  {
    id: 'boxes',
    words: 'in boxes',
    isNumber: true,
    by: (r) => r.boxes || null,
    cell: (r) => (r.boxes === 0 ? 'none known' : count(r.boxes)),
  },
  {
    id: 'colours',
    words: 'colours made in',
    isNumber: true,
    by: (r) => r.colours,
    cell: (r) => (r.colours === null ? 'not known' : count(r.colours)),
  },
];

/** Left-overs of own parts and spares, those first that exist in the fewest boxes or colours. */
function RareLots({ revision }: { revision: number }) {
  const [rare, setRare] = useState<{ kinds: number; lots: readonly RareLot[] } | 'asking' | 'failed'>(
    'asking',
  );
  const [wanted, setWanted] = useInAddress('rare');
  useEffect(() => {
    let gone = false;
    void ask<{ kinds: number; lots: readonly RareLot[] }>('/api/stock/rare').then(
      (answer) => !gone && setRare(answer ?? 'failed'),
    );
    return () => {
      gone = true;
    };
  }, [revision]);
  const lots = useMemo(() => {
    if (typeof rare === 'string') return [];
    const fits = elementSearch(wanted);
    return rare.lots.filter((r) => fits(r.element));
  }, [rare, wanted]);
  const rarest = typeof rare === 'string' ? undefined : rare.lots[0];
  return (
    <div>
      <div className="mb-2 flex flex-wrap items-end gap-3">
        <h2 className="min-w-48 flex-1">
          {rare === 'asking'
            ? 'Looking for what is rare…'
            : rare === 'failed'
              ? 'The server did not answer: reload to ask again.'
              : rarest
                ? `Rarest of your left-overs: ${elementName(rarest.element)}. Spares of every build count with them.`
                : 'Nothing is left over.'}
        </h2>
        <Field label="Part or colour">
          <Input value={wanted} onChange={(e) => setWanted(e.target.value)} className="w-32" />
        </Field>
        <ListLinks of="/own-parts" list="left-overs" />
      </div>
      <DataTable
        label="Left-overs, the rarest first"
        columns={RARE_COLUMNS}
        rows={lots}
        idOf={(r) => r.element}
        first={{ id: 'boxes', down: false }}
        empty={wanted ? `No left-over is “${wanted}”.` : 'What was taken off and not used again stands here.'}
      />
      <p className="text-faint mt-2 text-[12px]">
        Boxes are those of your catalogue; in how many colours a part was made is of the register, which is
        simulated, and of the lists that you imported.
      </p>
    </div>
  );
}
