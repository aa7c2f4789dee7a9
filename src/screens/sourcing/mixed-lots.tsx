'use client';

import { forbidMixed, lotId, mixedConditions } from '@/core/market';
import type { NeedLot } from '@/core/need';
import { elementName } from '@/core/parts';
import type { BuyingPlan } from '@/core/sourcing';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count } from '@/ui/numbers';
import type { SourcingTools } from './use-sourcing';

/** What is most of its colour where a lot goes: new, used, or nothing that says. */
export type Beside = (lot: NeedLot) => 'new' | 'used' | null;

interface MixedProps {
  readonly plan: BuyingPlan;
  readonly lots: readonly NeedLot[];
  readonly sourcing: SourcingTools;
  readonly beside?: Beside | undefined;
}

/** Lots that would stand side by side new and used where they are seen: said before they are bought, with a way out. */
export function MixedLots({ plan, lots, sourcing, beside }: MixedProps) {
  const { preferences: p, setPreferences } = sourcing;
  const mixed = mixedConditions(plan, lots);
  if (mixed.length === 0) return null;
  const only = (lot: NeedLot, condition: 'new' | 'used') =>
    setPreferences({ ...p, condition: new Map(p.condition).set(lotId(lot), condition) });
  return (
    <section aria-label="New beside used" className="border-ink mb-4 rounded-md border p-3">
      <h2 className="mb-1">▲ New and used would stand side by side</h2>
      <ul>
        {mixed.map(({ lot, fresh, used }) => {
          const fits = beside?.(lot) ?? null;
          const name = elementName(lot.element);
          return (
            <li key={lotId(lot)} className="flex min-h-9 flex-wrap items-center gap-2">
              <Glyph element={lot.element} size={28} label="" />
              <span className="min-w-48 flex-1">
                {name}: {count(fresh)} new and {count(used)} used.
                {fits && ` Those of its colour beside it are ${fits}.`}
              </span>
              {(['new', 'used'] as const).map((c) => (
                <Button
                  key={c}
                  look={fits === c ? 'main' : 'plain'}
                  aria-label={`Only ${c} ones of ${name}`}
                  onClick={() => only(lot, c)}
                >
                  only {c}
                </Button>
              ))}
            </li>
          );
        })}
      </ul>
      <p className="text-soft mt-1 flex flex-wrap items-center gap-2">
        <span className="flex-1">Choose, and find the plan again.</span>
        {mixed.length > 1 && (
          <Button onClick={() => setPreferences(forbidMixed(p, mixed, (lot) => beside?.(lot) ?? null))}>
            Each as it fits, none mixed
          </Button>
        )}
      </p>
    </section>
  );
}
