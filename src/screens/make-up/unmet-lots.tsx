'use client';

import { useEffect, useState } from 'react';
import type { MakeUpPlan, ProblemId } from '@/core/make-up';
import type { Command } from '@/core/bench';
import { added, type Watch } from '@/core/ledger';
import { asId, type WatchId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { elementName, type ElementKey } from '@/core/parts';
import {
  addDays,
  inReach,
  othersToAsk,
  type InReach,
  type MarketAnswer,
  type Preferences,
} from '@/core/supply';
import { Glyph } from '@/ui/glyph';
import { money } from '@/ui/numbers';
import { askMarket } from '../common/ask-market';
import type { MakeUpTools } from './use-make-up';

const elementOf = (lot: ProblemId) => String(lot).replace(/!$/, '') as ElementKey;

/** Preferences as one lot has them: it may be asked for new, or used, whatever the others are. */
const wishFor = (lot: ProblemId, p: Preferences): Preferences => {
  const wish = p.condition.get(String(lot));
  return wish === undefined ? p : { ...p, used: wish === 'used' };
};

/** What a plan leaves open, and for each lot what is in reach: the market is asked once more for what could stand in. */
export function UnmetLots({
  plan,
  makeUp,
  today,
  watches,
  act,
}: {
  readonly plan: MakeUpPlan;
  readonly makeUp: MakeUpTools;
  readonly today: string;
  readonly watches: readonly Watch[];
  /** Carries out what somebody wishes for a lot that cannot be had. */
  readonly act: (command: Command) => void;
}) {
  const { palette } = makeUp.known;
  const watched = new Set(watches.map((w) => w.element));
  const watch = (element: ElementKey, qty: number) => {
    const at = new Date().toISOString();
    act({
      label: `watch for ${elementName(element)}`,
      diff: added('watch', { id: asId<WatchId>(crypto.randomUUID()), element, qty, note: '', at }),
    });
  };
  const [market, setMarket] = useState<MarketAnswer | 'asking' | 'failed'>('asking');
  const open = plan.unmet.map((u) => elementOf(u.lot));
  const key = open.join('\n');
  useEffect(() => {
    if (!key) return;
    const stop = new AbortController();
    const ask = async () => {
      setMarket('asking');
      const answer = await askMarket(othersToAsk(key.split('\n') as ElementKey[], palette), stop.signal);
      if (!stop.signal.aborted) setMarket(answer ?? 'failed');
    };
    void ask();
    return () => stop.abort();
  }, [key, palette]);
  if (open.length === 0) return null;
  return (
    <section aria-label="Cannot be had now" className="mb-4">
      <h2 className="mb-1">Cannot be had now</h2>
      <ul>
        {plan.unmet.map((u) => {
          const element = elementOf(u.lot);
          return (
            <li key={String(u.lot)} className="border-rule flex min-h-9 gap-2 border-t py-1">
              <Glyph element={element} mark="out" size={30} />
              <div className="min-w-0">
                <p className="flex flex-wrap items-center gap-3">
                  {u.qty} {elementName(element)}
                  {watched.has(element) ? (
                    <span className="text-faint">watched</span>
                  ) : (
                    <Button
                      aria-label={`Watch for ${elementName(element)}`}
                      onClick={() => watch(element, u.qty)}
                    >
                      Watch for it
                    </Button>
                  )}
                </p>
                {market === 'asking' ? (
                  <p className="text-faint">Asking what could stand in…</p>
                ) : market === 'failed' ? (
                  <p>The market did not say what could stand in. Make it up again to ask once more.</p>
                ) : (
                  <Reaches
                    found={inReach(element, plan, market, wishFor(u.lot, makeUp.preferences), palette)}
                    today={today}
                  />
                )}
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Reaches({ found, today }: { found: readonly InReach[]; today: string }) {
  if (found.length === 0)
    return <p>No seller has it, nor a like colour or other shapes in its place. Plan another part.</p>;
  return (
    <ul>
      {found.map((f) => (
        <li key={JSON.stringify(f)} className="flex items-center gap-2">
          {f.kind === 'colour' && <Glyph element={f.element} size={26} />}
          {f.kind === 'shape' && f.parts.map((p) => <Glyph key={p.element} element={p.element} size={26} />)}
          <span>{reachWords(f, today)}</span>
        </li>
      ))}
    </ul>
  );
}

/** "Used: 3 from 12p, most of them at Tide Parts." */
function reachWords(f: InReach, today: string): string {
  const there = `${f.pieces} from ${money(f.price)}, most of them at ${f.seller}`;
  switch (f.kind) {
    case 'used':
      return `Used: ${there}. Allow used parts.`;
    case 'later':
      return `By ${addDays(today, f.days)}: ${there}. Allow ${f.days} days.`;
    case 'shut out':
      return `Of sellers you shut out, or who promise no genuine parts: ${there}.`;
    case 'another parcel':
      return `In a parcel more than you allow: ${there}.`;
    case 'several limits':
      return `Only with more than one of your limits lifted: ${there}.`;
    case 'colour':
      return `${elementName(f.element)}, ΔE ${f.deltaE.toFixed(1)} away: ${there}.`;
    case 'shape': {
      const parts = f.parts.map((p) => `${p.qty} ${elementName(p.element)}`).join(' and ');
      return `${parts} in place of each: enough for ${f.pieces}, ${money(f.price)} each time.`;
    }
  }
}
