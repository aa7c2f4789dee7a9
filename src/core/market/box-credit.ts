import { grade } from '../places';
import type { PriceOf } from '../ledger';
import type { ElementKey } from '../parts';
import type { Minor } from '../shared/money';
import type { BuyingPlan, Problem } from '../sourcing';
import type { MarketAnswer, MarketBox } from './market';
import { boxId } from './problem-ids';

/**
 * What a plan's boxes are credited with for their left-over parts, in pence: a plan weighs so much less than is paid for
 * it. `problem` is what the plan was made for.
 */
export function boxCredit(
  plan: Pick<BuyingPlan, 'donors'>,
  problem: Pick<Problem, 'donors'>,
  market: Pick<MarketAnswer, 'boxes'>,
): Minor {
  const posed = new Map(problem.donors.map((d) => [d.id, d.price]));
  const asked = new Map(market.boxes.map((b) => [boxId(b), b.price]));
  return plan.donors.reduce(
    (sum, d) => sum + d.copies * ((asked.get(String(d.id)) ?? 0) - (posed.get(d.id) ?? 0)),
    0,
  );
}

/** What the parts of a box that nobody needs are credited with: a share of their worth used. */
export function credited(
  b: MarketBox,
  wanted: ReadonlySet<ElementKey>,
  share: number,
  priceOf: PriceOf,
): number {
  const worth = b.lots.reduce(
    (s, l) => s + (wanted.has(l.element) ? 0 : l.qty * (priceOf(l.element, grade('used')) ?? 0)),
    0,
  );
  return Math.floor(Math.min(b.price * 0.9, worth * share));
}
