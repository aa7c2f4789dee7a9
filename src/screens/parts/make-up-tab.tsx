'use client';

import { useMemo } from 'react';
import { elementName, partOf, splitElementKey, type ElementKey } from '@/core/parts';
import { addDays, boxId, gramsOf, parcelsOf, placePlan, type NeedReport, type Parcel } from '@/core/supply';
import type { MakeUpPlan } from '@/core/make-up';
import { Button, Key } from '@/ui/button';
import { Check, Field, Input, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, money, pieces } from '@/ui/numbers';
import { useBench } from '../common/bench-store';
import { useKeys } from '../common/use-keys';
import { ClosingBounds } from './closing-bounds';
import type { MakeUpTools } from './use-make-up';
import { ParcelsChart } from './parcels-chart';
import { UnmetLots } from './unmet-lots';
import { useToday } from './use-today';

interface MakeUpTabProps {
  readonly need: NeedReport;
  readonly makeUp: MakeUpTools;
  readonly onOrdered: () => void;
}

const weigh = (element: ElementKey): number => {
  const { size, height } = partOf(splitElementKey(element).part);
  return gramsOf(size[0] * size[1] * height);
};

/** Who supplies what, for the least in all: bounds closing, parcels as columns, box against single parts. */
export function MakeUpTab({ need, makeUp, onOrdered }: MakeUpTabProps) {
  const bench = useBench((s) => s.bench);
  const perform = useBench((s) => s.perform);
  const source = useBench((s) => s.source);
  const today = useToday();
  const { plan, market, stage, bounds, lots } = makeUp;
  const parcels = useMemo(() => (plan && market ? parcelsOf(plan, market, weigh) : []), [plan, market]);
  const busy = stage === 'asking' || stage === 'solving';
  // What was planned for has been changed or ordered since: it must be asked again.
  const stale = plan !== null && JSON.stringify(lots) !== JSON.stringify(need.lots);
  const order = () => {
    if (!plan || !market || stale || plan.buys.length + plan.donors.length === 0) return;
    perform(placePlan(bench, lots, plan, market, weigh, today, source()));
    makeUp.setPlan(null);
    onOrdered();
  };
  useKeys(
    [
      { key: 'g', run: () => void (busy ? makeUp.stop() : makeUp.run()) },
      { key: 'o', run: order },
    ],
    true,
  );
  return (
    <div className="grid h-full min-h-0 max-lg:overflow-auto lg:grid-cols-[300px_1fr]">
      <PreferencesForm makeUp={makeUp} busy={busy} missing={need.missing} />
      <section aria-label="The plan" tabIndex={0} className="min-h-0 overflow-auto p-4">
        <h1 className="text-[21px] leading-tight">{headline(makeUp, parcels, need)}</h1>
        <p role="status" className="text-soft mb-3">
          {aside(makeUp, plan)}
        </p>
        {(busy || bounds.length > 0) && <ClosingBounds bounds={bounds} busy={busy} plan={plan} />}
        {stale && (
          <p role="alert" className="border-ink mb-3 rounded-md border p-2">
            ▲ The need has changed since this was worked out. Make it up again before you order.
          </p>
        )}
        {plan && (
          <>
            <ByHand plan={plan} credit={makeUp.credit} />
            <Boxes plan={plan} makeUp={makeUp} />
            <ul className="mb-4 grid grid-cols-[repeat(auto-fill,minmax(220px,1fr))] gap-3">
              {parcels.map((p) => (
                <ParcelCard key={p.seller} parcel={p} today={today} />
              ))}
            </ul>
            <UnmetLots plan={plan} makeUp={makeUp} today={today} />
            <ParcelsChart makeUp={makeUp} />
            <Button look="main" disabled={stale || parcels.length + plan.donors.length === 0} onClick={order}>
              Order these {parcels.length} {parcels.length === 1 ? 'parcel' : 'parcels'} <Key>O</Key>
            </Button>
          </>
        )}
      </section>
    </div>
  );
}

function headline(
  { stage, plan, credit }: MakeUpTools,
  parcels: readonly Parcel[],
  need: NeedReport,
): string {
  if (stage === 'asking') return 'Asking forty sellers what they have…';
  if (stage === 'solving') return 'Making it up…';
  if (stage === 'failed') return 'The market did not answer.';
  if (!plan) return need.missing > 0 ? `${pieces(need.missing)} to make up.` : 'Nothing is missing.';
  const boxes = plan.donors.reduce((s, d) => s + d.copies, 0);
  const from = [
    parcels.length > 0 ? `${count(parcels.length)} ${parcels.length === 1 ? 'parcel' : 'parcels'}` : '',
    boxes > 0 ? `${count(boxes)} ${boxes === 1 ? 'box' : 'boxes'}` : '',
  ].filter(Boolean);
  const lack = plan.unmet.reduce((s, u) => s + u.qty, 0);
  return `${money(plan.cost + credit)} in ${from.join(' and ') || 'no parcel'}${lack > 0 ? `; ${pieces(lack)} cannot be had` : ''}.`;
}

function aside({ stage, credit }: MakeUpTools, plan: MakeUpPlan | null): string {
  if (stage === 'failed') return 'It was asked four times. Nothing was ordered; try again.';
  if (!plan)
    return 'Pieces, postage and boxes together, and nothing bought twice: the plan is made, then ordered by one key.';
  const gap = plan.cost > 0 ? (100 * (plan.cost - plan.floor)) / plan.cost : 0;
  const sure =
    plan.status === 'optimal'
      ? 'Proven: no plan that gets as much costs less.'
      : `The best found; none can cost less than ${money(plan.floor)} (${gap.toFixed(1)} % below).`;
  if (credit === 0) return sure;
  return `${sure} Left-over parts of boxes are worth ${money(credit)} of it to you: it is weighed as ${money(plan.cost)}.`;
}

function ByHand({ plan, credit }: { plan: MakeUpPlan; credit: number }) {
  const { cheapestEach, fewestSellers } = plan.byHand;
  const saving = Math.min(cheapestEach, fewestSellers) - plan.cost;
  return (
    <dl className="border-rule mb-4 grid max-w-3xl grid-cols-3 border-y py-2">
      {(
        [
          ['cheapest for each lot', cheapestEach],
          ['one big seller first', fewestSellers],
          [
            credit > 0 ? 'saved against the better, left-overs counted' : 'saved against the better',
            Math.max(0, saving),
          ],
        ] as const
      ).map(([words, amount]) => (
        <div key={words}>
          <dd className="figure-md">{money(amount)}</dd>
          <dt className="text-faint">{words}</dt>
        </div>
      ))}
    </dl>
  );
}

/** Why a box beats single parts, or does not. */
function Boxes({ plan, makeUp }: { plan: MakeUpPlan; makeUp: MakeUpTools }) {
  const { market } = makeUp;
  if (!market || market.boxes.length === 0) return null;
  return (
    <ul className="mb-4">
      {market.boxes.map((b) => {
        const copies = plan.donors.find((d) => d.id === boxId(b))?.copies ?? 0;
        const useful = b.lots
          .filter((l) => makeUp.lots.some((n) => n.element === l.element))
          .reduce((s, l) => s + l.qty, 0);
        return (
          <li key={boxId(b)}>
            {copies > 0
              ? `${copies} × ${b.name} at ${money(b.price)}: ${count(useful)} of its pieces are needed, and singly they cost more.`
              : `${b.name} at ${money(b.price)} is not worth it: ${useful > 0 ? `only ${count(useful)} of its pieces are needed` : 'nothing in it is needed'}.`}
          </li>
        );
      })}
    </ul>
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
        {p.filler > 0 && ` + ${money(p.filler)} to reach the least order`} · about {addDays(today, p.days)}
      </p>
      <ul>
        {p.lots.map((l) => (
          <li key={`${l.element}${l.grade}`} className="flex min-h-8 items-center gap-2">
            <Glyph element={l.element} size={26} />
            <b className="w-7 text-right">{l.qty}</b>
            <span className="min-w-0 flex-1 truncate" title={elementName(l.element)}>
              {elementName(l.element)} <span className="text-faint">{l.grade}</span>
            </span>
            <span>{money(l.price)}</span>
          </li>
        ))}
      </ul>
    </li>
  );
}

function PreferencesForm({ makeUp, busy, missing }: { makeUp: MakeUpTools; busy: boolean; missing: number }) {
  const { preferences: p, setPreferences } = makeUp;
  const set = (to: Partial<typeof p>) => setPreferences({ ...p, ...to });
  return (
    <form
      aria-label="How it is to be made up"
      className="border-rule flex min-h-0 flex-col gap-3 overflow-auto border-r p-4"
      onSubmit={(e) => {
        e.preventDefault();
        void (busy ? makeUp.stop() : makeUp.run());
      }}
    >
      <LimitField
        label="At most so many parcels"
        none="any number"
        value={p.maxParcels}
        onChange={(maxParcels) => set({ maxParcels })}
      />
      <LimitField
        label="There within days"
        none="whenever"
        value={p.within}
        onChange={(within) => set({ within })}
      />
      <Field label="Sure of it by">
        <Select value={p.chance} onChange={(e) => set({ chance: Number(e.target.value) })}>
          {[0.5, 0.7, 0.8, 0.9].map((c) => (
            <option key={c} value={c}>
              {Math.round(c * 100)} %
            </option>
          ))}
        </Select>
      </Field>
      <Check words="used parts too" on={p.used} onChange={(used) => set({ used })} />
      <Check
        words="hidden parts in any colour"
        on={p.hiddenAnyColour}
        onChange={(hiddenAnyColour) => set({ hiddenAnyColour })}
      />
      <Check words="boxes to break up" on={p.boxes} onChange={(boxes) => set({ boxes })} />
      <Field label="A box’s left-overs are worth to me">
        <Select value={p.credit} onChange={(e) => set({ credit: Number(e.target.value) })}>
          {[0, 0.15, 0.3, 0.5, 0.7].map((c) => (
            <option key={c} value={c}>
              {Math.round(c * 100)} % of their price
            </option>
          ))}
        </Select>
      </Field>
      <Field label="Think for">
        <Select value={makeUp.seconds} onChange={(e) => makeUp.setSeconds(Number(e.target.value))}>
          {[2, 5, 10, 30, 60].map((s) => (
            <option key={s} value={s}>
              {s} seconds
            </option>
          ))}
        </Select>
      </Field>
      {makeUp.market && <Never makeUp={makeUp} />}
      <Button look="main" type="submit" disabled={missing === 0}>
        {busy ? 'Stop, keep the best' : 'Make it up'} <Key>G</Key>
      </Button>
    </form>
  );
}

/** A whole number, or no limit where it is empty. What is no number is not taken, and the field keeps what it had. */
function LimitField({
  label,
  none,
  value,
  onChange,
}: {
  label: string;
  none: string;
  value: number | null;
  onChange: (value: number | null) => void;
}) {
  return (
    <Field label={label}>
      <Input
        inputMode="numeric"
        placeholder={none}
        value={value ?? ''}
        onChange={(e) => {
          const text = e.target.value.trim();
          if (/^\d{0,4}$/.test(text)) onChange(text === '' ? null : Number(text));
        }}
      />
    </Field>
  );
}

/** Sellers that are never to be used. */
function Never({ makeUp }: { makeUp: MakeUpTools }) {
  const { preferences: p, setPreferences, market, plan } = makeUp;
  const used = new Set(plan?.buys.map((b) => b.seller));
  const listed = market?.sellers.filter((s) => used.has(s.id) || p.never.has(s.id)) ?? [];
  if (listed.length === 0) return null;
  return (
    <fieldset>
      <legend className="text-soft text-[12px]">Sellers</legend>
      {listed.map((s) => (
        <Check
          key={s.id}
          words={`${s.name}, ${s.place}`}
          on={!p.never.has(s.id)}
          onChange={(on) => {
            const never = new Set(p.never);
            if (on) never.delete(s.id);
            else never.add(s.id);
            setPreferences({ ...p, never });
          }}
        />
      ))}
    </fieldset>
  );
}
