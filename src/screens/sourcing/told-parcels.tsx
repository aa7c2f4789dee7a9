'use client';

import {
  boxId,
  forbidTold,
  sentTwice,
  singleKindParcels,
  type Parcel,
  type Preferences,
  type SentTwice,
} from '@/core/market';
import { elementName } from '@/core/parts';
import type { BuyingPlan } from '@/core/sourcing';
import { Button } from '@/ui/button';
import { count, money } from '@/ui/numbers';
import { list } from '../words/places';
import type { SourcingTools } from './use-sourcing';

/** Parcels that come for one kind, and sellers who would send twice: said before they are ordered, and forbidden by a press. */
export function ToldParcels({
  plan,
  parcels,
  sourcing,
}: {
  plan: BuyingPlan;
  parcels: readonly Parcel[];
  sourcing: SourcingTools;
}) {
  const { market, preferences, setPreferences } = sourcing;
  if (!market) return null;
  // One parcel for one kind is all that is asked where nothing else comes.
  const single = parcels.length + plan.donors.length > 1 ? singleKindParcels(parcels) : [];
  const twice = sentTwice(plan, market);
  if (single.length + twice.length === 0) return null;
  const forbid = (of: readonly Parcel[], again: readonly SentTwice[]) =>
    setPreferences(forbidTold(preferences, of, again));
  const boxName = (id: string) => market.boxes.find((b) => boxId(b) === id)?.name ?? id;
  return (
    <section aria-label="Parcels to think over" className="border-ink mb-4 rounded-md border p-3">
      <h2 className="mb-1">▲ Parcels to think over</h2>
      <ul>
        {single.map((p) => (
          <li key={p.seller} className="flex min-h-9 flex-wrap items-center gap-2">
            <span className="min-w-48 flex-1">
              {p.name} sends a parcel for one kind: {count(p.lots.reduce((s, l) => s + l.qty, 0))}{' '}
              {elementName(p.lots[0]!.element)}, {money(p.value)} and {money(p.postage + p.filler)} around it.
            </span>
            <Button aria-label={`Buy nothing of ${p.name}`} onClick={() => forbid([p], [])}>
              not of {p.name}
            </Button>
          </li>
        ))}
        {twice.map((t) => (
          <li key={t.seller} className="flex min-h-9 flex-wrap items-center gap-2">
            <span className="min-w-48 flex-1">
              {t.seller} sends {count(t.boxes.length + (t.parcel === null ? 0 : 1))} times:{' '}
              {list([...(t.parcel === null ? [] : ['single parts']), ...t.boxes.map(boxName)])}.
            </span>
            <Button aria-label={`Only once of ${t.seller}`} onClick={() => forbid([], [t])}>
              only {t.parcel === null ? boxName(t.boxes[0]!) : 'single parts'}
            </Button>
          </li>
        ))}
      </ul>
      <p className="text-soft mt-1 flex flex-wrap items-center gap-2">
        <span className="flex-1">Choose, and find the plan again.</span>
        {single.length + twice.length > 1 && (
          <Button onClick={() => forbid(single, twice)}>Forbid all of these</Button>
        )}
      </p>
    </section>
  );
}

/** Boxes that are left out, each to be let in again. */
export function LeftOut({
  preferences,
  onBack,
}: {
  preferences: Preferences;
  onBack: (leaveOut: ReadonlySet<string>) => void;
}) {
  if (preferences.leaveOut.size === 0) return null;
  return (
    <p className="flex flex-wrap items-center gap-2">
      Left out:
      {[...preferences.leaveOut].map((id) => (
        <Button
          key={id}
          aria-label={`Let the box ${id} in again`}
          onClick={() => onBack(new Set([...preferences.leaveOut].filter((x) => x !== id)))}
        >
          {id} ×
        </Button>
      ))}
    </p>
  );
}
