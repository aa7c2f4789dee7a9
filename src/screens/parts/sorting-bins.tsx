'use client';

import { useState } from 'react';
import type { Pieces } from '@/core/ledger';
import { SORT_BY, sortingPlan, type SortBy } from '@/core/need';
import { Field, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { pieces } from '@/ui/numbers';
import { NumberBox } from '../common/number-box';

/** So many bins for what is got out: none for those who search a heap. */
export function SortingBins({ lots }: { lots: readonly Pieces[] }) {
  const [by, setBy] = useState<SortBy | ''>('');
  const [bins, setBins] = useState(6);
  const plan = by ? sortingPlan(lots, by, bins) : [];
  return (
    <section aria-label="Sort them into bins" className="mb-4 max-w-3xl">
      <div className="no-print flex flex-wrap items-end gap-2">
        <Field label="Sort them into bins">
          <Select value={by} onChange={(e) => setBy(e.target.value as SortBy | '')}>
            <option value="">no, one heap</option>
            {SORT_BY.map((s) => (
              <option key={s} value={s}>
                by {s}
              </option>
            ))}
          </Select>
        </Field>
        {by && <NumberBox label="Bins" value={bins} least={1} most={60} onChange={setBins} />}
      </div>
      {plan.length > 0 && (
        <ol className="mt-2 flex flex-col gap-1">
          {plan.map((bin, i) => (
            <li
              key={bin.names.join()}
              className="border-rule flex flex-wrap items-center gap-2 border-b py-1"
            >
              <b className="w-14">Bin {i + 1}</b>
              <span className="min-w-40 flex-1">{bin.names.join(', ')}</span>
              <span className="flex flex-wrap">
                {bin.lots.slice(0, 8).map((l, k) => (
                  <Glyph key={k} element={l.element} size={24} />
                ))}
              </span>
              <span className="w-24 text-right">{pieces(bin.pieces)}</span>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
