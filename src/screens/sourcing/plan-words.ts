import { formatFixed } from '@/core/shared/forms';
import { boxId, parcelCost, type MarketAnswer, type Parcel, type Preferences } from '@/core/market';
import type { BuyingPlan } from '@/core/sourcing';
import { count, money, pieces } from '@/ui/numbers';
import type { PlanFailure } from './plan-need';
import type { SourcingTools, WantedParts } from './use-sourcing';

type Limits = Pick<Preferences, 'maxParcels' | 'within'>;
type Told = Pick<SourcingTools, 'step' | 'failure' | 'plan' | 'market' | 'place' | 'credit' | 'broken'> & {
  readonly askedWith: Limits;
};

/** What is really paid: pieces, postage and boxes. The plan's own cost is weighed by what is preferred. */
function paidFor(parcels: readonly Parcel[], plan: BuyingPlan, market: MarketAnswer | null): number {
  const boxes = plan.donors.reduce((sum, d) => {
    const box = market?.boxes.find((b) => boxId(b) === d.id);
    return sum + d.copies * (box?.price ?? 0);
  }, 0);
  return boxes + parcels.reduce((sum, p) => sum + parcelCost(p), 0);
}

/** What failed, and what to do about it. */
const FAILURES: Readonly<Record<PlanFailure, readonly [string, string]>> = {
  market: ['The sellers did not answer.', 'They were asked four times. Nothing was ordered; try again.'],
  busy: ['Too many plans are being solved.', 'Nothing was ordered. Try again in a minute.'],
  stopped: ['It was stopped before there was a plan.', 'Nothing was ordered. Find the plan again.'],
  'not taken': [
    'That is too much for one plan.',
    'Nothing was ordered. Take the ticks off hidden parts in any colour and off other shapes, and try again.',
  ],
  server: [
    'The plan could not be worked out.',
    'The server does not answer. Nothing was ordered; try again.',
  ],
};

/** The limits that leave out what there may be beyond them. */
function within({ maxParcels, within: days }: Limits): string {
  const parcels =
    maxParcels === null ? '' : ` in ${count(maxParcels)} ${maxParcels === 1 ? 'parcel' : 'parcels'}`;
  return parcels + (days === null ? '' : ` within ${count(days)} ${days === 1 ? 'day' : 'days'}`);
}

/** What the plan comes to, or what is being done for it, in a line. */
export function headline(
  { step, failure, plan, market, place, askedWith }: Told,
  parcels: readonly Parcel[],
  need: Pick<WantedParts, 'missing'>,
): string {
  if (step === 'asking') return 'Asking the sellers what they have…';
  if (step === 'solving' && place > 0)
    return `${place} in the line: ${place === 1 ? 'another plan is' : 'other plans are'} being solved first…`;
  if (step === 'solving') return 'Finding the best plan…';
  if (step === 'failed') return FAILURES[failure ?? 'server'][0];
  if (!plan) return need.missing > 0 ? `${pieces(need.missing)} to buy.` : 'Nothing is missing.';
  const boxes = plan.donors.reduce((s, d) => s + d.copies, 0);
  const from = [
    parcels.length > 0 ? `${count(parcels.length)} ${parcels.length === 1 ? 'parcel' : 'parcels'}` : '',
    boxes > 0 ? `${count(boxes)} ${boxes === 1 ? 'box' : 'boxes'}` : '',
  ].filter(Boolean);
  const lack = plan.unmet.reduce((s, u) => s + u.qty, 0);
  return `${money(paidFor(parcels, plan, market))} in ${from.join(' and ') || 'no parcel'}${lack > 0 ? `; ${pieces(lack)} ${lack === 1 ? 'is' : 'are'} not available${within(askedWith)}` : ''}.`;
}

/** How sure that is, and what it is weighed as; or what to do where there is no plan. */
export function aside(
  { step, failure, credit, market, broken }: Told,
  plan: BuyingPlan | null,
  parcels: readonly Parcel[],
): string {
  if (step === 'failed') return FAILURES[failure ?? 'server'][1];
  if (broken)
    return 'It was being worked out when the page was closed, and nothing was ordered. Find the plan again.';
  if (!plan)
    return 'Pieces, postage and boxes together, and nothing bought twice: the plan is made, then ordered by one key.';
  const gap = plan.cost > 0 ? (100 * (plan.cost - plan.floor)) / plan.cost : 0;
  const sure =
    plan.status === 'optimal'
      ? plan.unmet.length > 0
        ? 'Proven: no plan gets more pieces, and none that gets as many costs less.'
        : 'Proven: no plan that gets as much costs less.'
      : plan.floor === 0
        ? 'The best found; how much less another could cost was not worked out in the time.'
        : `The best found; none that gets as much costs less than ${money(plan.floor)} (${formatFixed(gap)} % below).`;
  const favour = paidFor(parcels, plan, market) - credit - plan.cost;
  const why = [
    credit > 0 ? `left-over parts of boxes are worth ${money(credit)} of it to you` : '',
    favour > 0 ? `you give preferred sellers ${money(favour)}` : '',
  ].filter(Boolean);
  return why.length === 0 ? sure : `${sure} It is weighed as ${money(plan.cost)}: ${why.join(', and ')}.`;
}
