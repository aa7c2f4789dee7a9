'use client';

import { useMemo, useState } from 'react';
import clsx from 'clsx';
import type { Colour } from '@/core/colour';
import { recordSetOf } from '@/core/workbench';
import { elementKey, GROUPS, splitElementKey, type PartGroup } from '@/core/parts';
import { ROUGH_AMOUNTS, type RoughAmount } from '@/core/ledger';
import { asId, type ColourId, type PartId } from '@/core/shared/ids';
import { ROUGH_PIECES, roughKey, sayRoughly } from '@/core/stock';
import type { StockSnapshot } from '@/server/snapshot';
import { Check, Field, Input } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import type { OwnPartsActs } from '../common/own-parts-acts';
import { useInAddress } from '../common/use-in-address';

interface RoughlyProps {
  readonly stock: StockSnapshot;
  readonly acts: OwnPartsActs;
  readonly palette: readonly Colour[];
}

/** What one has and never counted, said by family and colour: each cell goes round nothing said, none, few, some, plenty. */
export function RoughlyTab({ stock, acts, palette }: RoughlyProps) {
  const [wanted, setWanted] = useInAddress('find');
  const [all, setAll] = useState(false);
  const said = useMemo(() => new Map(stock.roughly.map((r) => [r.id, r.amount])), [stock.roughly]);
  const used = useMemo(() => {
    const colours = new Set<ColourId>(stock.roughly.map((r) => r.colour));
    for (const r of stock.rows) colours.add(splitElementKey(r.element).colour);
    for (const c of stock.claims) colours.add(splitElementKey(c.element).colour);
    return colours;
  }, [stock]);
  const words = wanted.trim().toLowerCase();
  const colours = palette.filter(
    (c) => (all || words || used.has(c.id)) && `${c.name} ${c.family}`.toLowerCase().includes(words),
  );
  const say = (family: PartGroup, colour: ColourId, amount: RoughAmount | null) => {
    const records = recordSetOf(stock.roughly.map((record) => ({ type: 'roughlyKnown', record })));
    acts.perform(sayRoughly(records, family, colour, amount));
  };
  return (
    <section aria-label="Roughly known" tabIndex={0} className="min-h-0 flex-1 overflow-auto px-4 py-3">
      <div className="mb-2 flex flex-wrap items-end gap-4">
        <div className="min-w-72 flex-1">
          <h2>What you have and never counted, roughly.</h2>
          <p className="text-soft">
            Press a cell to go round. Wherever parts at hand are asked for, few counts as {ROUGH_PIECES.few}{' '}
            of each kind, some as {ROUGH_PIECES.some} and plenty as {ROUGH_PIECES.plenty}, after all that is
            counted. Where nothing is said, none counts as at hand.
          </p>
        </div>
        <Field label="Colour">
          <Input value={wanted} onChange={(e) => setWanted(e.target.value)} className="w-32" />
        </Field>
        <Check words="all colours" on={all} onChange={setAll} />
      </div>
      <table className="w-full text-[12px]">
        <thead>
          <tr className="border-ink border-b">
            <th scope="col" className="py-1 text-left font-normal">
              Colour
            </th>
            {GROUPS.map((g) => (
              <th key={g} scope="col" className="text-faint px-1 text-left font-normal">
                {g}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {colours.map((c) => (
            <tr key={c.id} className="border-rule border-b">
              <th scope="row" className="text-left font-medium whitespace-nowrap">
                <span className="flex items-center gap-1.5">
                  <Glyph element={elementKey(asId<PartId>('brick 2x2'), c.id)} size={24} label="" />
                  {c.name.toLowerCase()}, {c.family}
                </span>
              </th>
              {GROUPS.map((g) => (
                <td key={g} className="px-0.5">
                  <Cell
                    amount={said.get(roughKey(g, c.id)) ?? null}
                    label={`${g} in ${c.name}`}
                    onChange={(amount) => say(g, c.id, amount)}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {colours.length === 0 && (
        <p className="text-soft py-3">
          {words ? `No colour is “${wanted}”.` : 'Tick “all colours” to begin, or type a colour.'}
        </p>
      )}
    </section>
  );
}

const next = (amount: RoughAmount | null): RoughAmount | null =>
  amount === null ? 'plenty' : (ROUGH_AMOUNTS[ROUGH_AMOUNTS.indexOf(amount) - 1] ?? null);

interface CellProps {
  readonly amount: RoughAmount | null;
  readonly label: string;
  readonly onChange: (amount: RoughAmount | null) => void;
}

function Cell({ amount, label, onChange }: CellProps) {
  return (
    <button
      type="button"
      aria-label={`${label}: ${amount ?? 'nothing said'}`}
      onClick={() => onChange(next(amount))}
      className={clsx(
        'hover:border-ink min-h-7 w-full min-w-14 rounded-sm border px-1',
        amount ? 'border-edge font-semibold' : 'text-faint border-transparent',
        amount === 'plenty' && 'bg-ink text-sheet',
        amount === 'some' && 'bg-wash',
      )}
    >
      {amount ?? '–'}
    </button>
  );
}
