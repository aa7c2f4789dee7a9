'use client';

import { differenceWords } from '../words/colour';
import { useEffect, useState } from 'react';
import type { BuyingPlan, ProblemId } from '@/core/sourcing';
import type { Command, WaitingPart } from '@/core/ledger';
import { Button } from '@/ui/button';
import { elementName, type ElementKey } from '@/core/parts';
import {
  addDays,
  savePreferences,
  waitFor,
  type InReach,
  type MarketSeller,
  type Preferences,
} from '@/core/market';
import { Glyph } from '@/ui/glyph';
import { count, money } from '@/ui/numbers';
import { post } from '../sending/answers';
import { source } from '../common/build-store';
import type { SourcingTools } from './use-sourcing';

/** What can be done about a lot in the plans that call for it: by its id, as the problem names it. */
export interface InPlans {
  readonly take: (lot: string, to: ElementKey) => Command;
  readonly leave: (lot: string) => Command;
}

const elementOf = (lot: ProblemId) => String(lot).replace(/!$/, '') as ElementKey;

/** What is in reach of each lot that a plan leaves open; null when the sellers do not answer. */
async function askReach(
  plan: BuyingPlan,
  preferences: Preferences,
  lists: readonly MarketSeller[],
): Promise<readonly (readonly InReach[])[] | null> {
  const said = await post<readonly (readonly InReach[])[]>('/api/market/reach', {
    open: plan.unmet.map(({ lot }) => ({
      element: elementOf(lot),
      wish: preferences.condition.get(String(lot)) ?? null,
    })),
    buys: plan.buys.map(({ seller, element, qty }) => ({ seller, element, qty })),
    preferences: savePreferences(preferences),
    lists,
  });
  return said.reached && said.answer.ok ? said.answer.value : null;
}

/** What a plan leaves open, and for each lot what is in reach: the market is asked once more for what could stand in. */
export function UnmetLots({
  plan,
  sourcing,
  today,
  waitingParts,
  act,
  inPlans,
}: {
  readonly plan: BuyingPlan;
  readonly sourcing: SourcingTools;
  readonly today: string;
  readonly waitingParts: readonly WaitingPart[];
  /** Carries out what somebody wishes for a lot that is not available. */
  readonly act: (command: Command) => void;
  /** What can be done in the plans themselves; left out where these are of several builds. */
  readonly inPlans?: InPlans | undefined;
}) {
  const { preferences, lists } = sourcing;
  const waitedFor = new Set(waitingParts.map((w) => w.element));
  const [reach, setReach] = useState<readonly (readonly InReach[])[] | 'asking' | 'failed'>('asking');
  useEffect(() => {
    if (plan.unmet.length === 0) return;
    let there = true;
    const look = async () => {
      setReach('asking');
      const answer = await askReach(plan, preferences, lists);
      if (there) setReach(answer ?? 'failed');
    };
    void look();
    return () => void (there = false);
  }, [plan, preferences, lists]);
  if (plan.unmet.length === 0) return null;
  return (
    <section aria-label="Not available now" className="mb-4">
      <h2 className="mb-1">Not available now</h2>
      <ul>
        {plan.unmet.map((u, i) => {
          const element = elementOf(u.lot);
          return (
            <li key={String(u.lot)} className="border-rule flex min-h-9 gap-2 border-t py-1">
              <Glyph element={element} mark="out" size={30} />
              <div className="min-w-0">
                <p className="flex flex-wrap items-center gap-3">
                  {u.qty} {elementName(element)}
                  {waitedFor.has(element) ? (
                    <span className="text-faint">waited for</span>
                  ) : (
                    <Button
                      aria-label={`Wait for ${elementName(element)}`}
                      onClick={() => act(waitFor(element, u.qty, source()))}
                    >
                      Wait for it
                    </Button>
                  )}
                  {inPlans && (
                    <Button
                      aria-label={`Leave ${elementName(element)} out, noted`}
                      onClick={() => act(inPlans.leave(String(u.lot)))}
                    >
                      Leave it, noted
                    </Button>
                  )}
                </p>
                {reach === 'asking' ? (
                  <p className="text-faint">Asking what would do instead…</p>
                ) : reach === 'failed' ? (
                  <p>The sellers did not say what would do instead. Find the plan again to ask once more.</p>
                ) : (
                  <Reaches
                    found={reach[i] ?? []}
                    today={today}
                    onTake={inPlans && ((to) => act(inPlans.take(String(u.lot), to)))}
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

interface ReachesProps {
  readonly found: readonly InReach[];
  readonly today: string;
  readonly onTake: ((to: ElementKey) => void) | undefined;
}

function Reaches({ found, today, onTake }: ReachesProps) {
  if (found.length === 0)
    return <p>No seller has it, nor a similar colour or other shapes in its place. Plan another part.</p>;
  return (
    <ul>
      {found.map((f) => (
        <li key={JSON.stringify(f)} className="flex items-center gap-2">
          {f.kind === 'colour' && <Glyph element={f.element} size={26} />}
          {f.kind === 'shape' && f.parts.map((p) => <Glyph key={p.element} element={p.element} size={26} />)}
          <span>{reachWords(f, today)}</span>
          {f.kind === 'colour' && onTake && (
            <Button aria-label={`Take ${elementName(f.element)} instead`} onClick={() => onTake(f.element)}>
              Take the near colour
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}

/** "Used: 3 from 12p, most of them at Tide Parts." */
function reachWords(f: InReach, today: string): string {
  const there = `${count(f.pieces)} from ${money(f.price)}, most of them at ${f.seller}`;
  switch (f.kind) {
    case 'used':
      return `Used: ${there}. Allow used parts.`;
    case 'later':
      return `By ${addDays(today, f.days)}: ${there}. Allow ${f.days} days.`;
    case 'shut out':
      return `From sellers you excluded, or who do not promise genuine parts: ${there}.`;
    case 'another parcel':
      return `In a parcel more than you allow: ${there}.`;
    case 'several limits':
      return `Only with more than one of your limits lifted: ${there}.`;
    case 'colour':
      return `${elementName(f.element)}, ${differenceWords(f.deltaE)}: ${there}.`;
    case 'shape': {
      const parts = f.parts.map((p) => `${count(p.qty)} ${elementName(p.element)}`).join(' and ');
      return `${parts} in place of each: enough for ${count(f.pieces)}, ${money(f.price)} each time.`;
    }
  }
}
