'use client';

import { useMemo, useState } from 'react';
import { stripesInBrick } from '@/core/stickers';
import type { StripJob } from '@/core/records';
import { elementName } from '@/core/parts';
import { Field, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, priced } from '@/ui/numbers';
import { useBuild } from '../../common/build-store';
import { offWords } from '../../words/stickers';

/** What a printed stripe would be in parts, at hand first. */
export function InBrick({ job }: { job: StripJob }) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const [chosen, choose] = useState<string | null>(null);
  const stripe = job.strips.find((s) => s.id === chosen) ?? job.strips[0];
  const ways = useMemo(() => {
    void version;
    return stripe ? stripesInBrick(workbench, stripe.colour, stripe) : [];
  }, [workbench, version, stripe]);
  if (!stripe) return null;
  return (
    <section aria-label="In brick instead">
      <h2 className="mt-3 text-[16px]">In brick instead</h2>
      <Field label="Stripe">
        <Select value={stripe.id} onChange={(e) => choose(e.target.value)}>
          {job.strips.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </Select>
      </Field>
      <ul>
        {ways.map((way) => (
          <li key={way.name} className="border-rule border-b py-2">
            <b>{way.name}</b>: {offWords(way)}
            {way.empty > 0 ? `, ${count(way.empty)} studs stay empty` : ''}.{' '}
            {way.toBuy === 0
              ? 'All at hand.'
              : `${count(way.atHand)} at hand, ${count(way.toBuy)} to buy for ${way.estimated ? 'about ' : ''}${priced(way.cost, way.unpriced)}.`}
            <span className="flex flex-wrap gap-2">
              {way.pieces.map((p) => (
                <span key={p.element} className="flex items-center gap-1">
                  <Glyph element={p.element} size={22} />
                  {count(p.qty)} {elementName(p.element)}
                </span>
              ))}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
