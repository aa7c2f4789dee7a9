'use client';

import { useMemo, useState } from 'react';
import type { BoxOffer, Command } from '@/core/ledger';
import type { WaitingPart } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { addDays, parcelsOf, type MarketAnswer, type Parcel } from '@/core/market';
import { sameNeed } from '@/core/need';
import type { BuyingPlan } from '@/core/sourcing';
import { Button, Key } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { count, money } from '@/ui/numbers';
import { useCommands } from '../commands';
import { BoxesShown } from './boxes-shown';
import { ByHand } from './by-hand';
import { ClosingBounds } from './closing-bounds';
import { PreferencesForm } from './preferences-form';
import { PricesChanged, type Asked } from './prices-changed';
import { aside, headline } from './plan-words';
import type { SourcingTools, WantedParts } from './use-sourcing';
import { MixedLots, type Beside } from './mixed-lots';
import { ParcelsChart } from './parcels-chart';
import { ToldParcels } from './told-parcels';
import { WhyThisPlan } from './why-this-plan';
import { UnmetLots, type InPlans } from './unmet-lots';
import { TimedProgress } from '@/ui/timed-progress';

interface BuyingPlanViewProps {
  readonly need: WantedParts;
  readonly sourcing: SourcingTools;
  readonly today: string;
  readonly waitingParts: readonly WaitingPart[];
  /** False where no box can be bought. */
  readonly boxes?: boolean;
  /** What its headline is to the page. */
  readonly heading?: 'h1' | 'h2';
  readonly act: (command: Command) => void;
  readonly inPlans?: InPlans;
  /** What condition fits where a lot goes; left out where the plan is for several builds. */
  readonly beside?: Beside;
  /** Boxes at prices of one's own. */
  readonly offers?: readonly BoxOffer[];
  /** Orders a plan at the prices of an answer. */
  readonly onOrder: (plan: BuyingPlan, at: MarketAnswer) => void;
}

/** Who supplies what, for the least in all: bounds closing, parcels as columns, box against single parts. */
export function BuyingPlanView({
  need,
  sourcing,
  today,
  waitingParts,
  boxes = true,
  heading: Heading = 'h1',
  act,
  inPlans,
  offers,
  beside,
  onOrder,
}: BuyingPlanViewProps) {
  const { plan, market, step, bounds } = sourcing;
  const parcels = useMemo(() => (plan && market ? parcelsOf(plan, market) : []), [plan, market]);
  /** Every box is a parcel of its own. */
  const toCome = parcels.length + (plan?.donors.reduce((sum, d) => sum + d.copies, 0) ?? 0);
  const busy = step === 'asking' || step === 'solving';
  // What was planned for has been changed or ordered since: it must be asked again.
  const stale = plan !== null && !sameNeed(sourcing.needed, need.lots);
  const [asked, setAsked] = useState<Asked | null>(null);
  /** Sellers may have changed their minds since the plan was made: they are asked again before anything is bought. */
  const order = async () => {
    if (!plan || !market || stale || asked === 'asking' || toCome === 0) return;
    setAsked('asking');
    const again = await sourcing.askAgain();
    if (!again) return setAsked('failed');
    if (again.changes.length > 0) return setAsked(again);
    buy(again.now);
  };
  const buy = (at: MarketAnswer) => {
    if (!plan) return;
    onOrder(plan, at);
    setAsked(null);
    sourcing.putAway();
  };
  const run = () => {
    setAsked(null);
    void sourcing.run();
  };
  useCommands(
    [
      { name: 'Find the best plan, or stop', key: 'g', run: () => (busy ? sourcing.stop() : run()) },
      { name: 'Order the plan', key: 'o', run: () => void order() },
    ],
    true,
  );
  return (
    <div className="grid h-full min-h-0 max-lg:overflow-auto lg:grid-cols-[300px_1fr]">
      <PreferencesForm
        sourcing={sourcing}
        busy={busy}
        need={need}
        boxes={boxes}
        offers={offers && { of: offers, act }}
        beside={beside}
        onRun={run}
      />
      <section aria-label="The plan" tabIndex={0} className="min-h-0 overflow-auto p-4">
        <Heading className="text-[21px] leading-tight">{headline(sourcing, parcels, need)}</Heading>
        <p role="status" className="text-soft mb-3">
          {aside(sourcing, plan, parcels)}
        </p>
        {step === 'solving' && <TimedProgress label="Looking for the best plan" seconds={sourcing.seconds} />}
        {(busy || bounds.length > 0) && <ClosingBounds bounds={bounds} busy={busy} plan={plan} />}
        {stale && (
          <p role="alert" className="border-ink mb-3 rounded-md border p-2">
            ▲ The need has changed since this was worked out. Find the plan again before you order.
          </p>
        )}
        {plan && (
          <>
            <MixedLots plan={plan} lots={sourcing.lots} sourcing={sourcing} beside={beside} />
            <ToldParcels plan={plan} parcels={parcels} sourcing={sourcing} />
            <ByHand plan={plan} credit={sourcing.credit} />
            {boxes && <BoxesShown plan={plan} sourcing={sourcing} today={today} />}
            <ul className="mb-4 grid grid-cols-[repeat(auto-fill,minmax(220px,1fr))] gap-3">
              {parcels.map((p) => (
                <ParcelCard key={p.seller} parcel={p} today={today} />
              ))}
            </ul>
            <UnmetLots
              plan={plan}
              sourcing={sourcing}
              today={today}
              waitingParts={waitingParts}
              act={act}
              inPlans={inPlans}
            />
            <WhyThisPlan key={sourcing.asked?.run} sourcing={sourcing} />
            <ParcelsChart sourcing={sourcing} />
            {asked !== null && asked !== 'asking' && (
              <PricesChanged asked={asked} onBuy={buy} onAgain={run} onDrop={() => setAsked(null)} />
            )}
            <Button
              look="main"
              disabled={stale || asked !== null || toCome === 0}
              onClick={() => void order()}
            >
              {toCome === 1 ? 'Order this parcel' : `Order these ${count(toCome)} parcels`} <Key>O</Key>
            </Button>
          </>
        )}
      </section>
    </div>
  );
}

function ParcelCard({ parcel: p, today }: { parcel: Parcel; today: string }) {
  return (
    <li className="border-edge bg-sheet rounded-md border p-3">
      <h2 className="truncate">
        <bdi>{p.name}</bdi>
      </h2>
      <p className="text-faint mb-2 text-[12px]">
        {money(p.value)} + {money(p.postage)} postage
        {p.filler > 0 && ` + ${money(p.filler)} to reach the least order`} ·{' '}
        <span className="whitespace-nowrap">about {addDays(today, p.days)}</span>
      </p>
      <ul>
        {p.lots.map((l) => (
          <li key={`${l.element}${l.grade}`} className="flex min-h-8 items-center gap-2">
            <Glyph element={l.element} size={26} />
            <b className="min-w-7 text-right">{count(l.qty)}</b>
            <span className="min-w-0 flex-1 leading-tight">
              {elementName(l.element)} <span className="text-faint whitespace-nowrap">{l.grade}</span>
            </span>
            <span>{money(l.price)}</span>
          </li>
        ))}
      </ul>
    </li>
  );
}
