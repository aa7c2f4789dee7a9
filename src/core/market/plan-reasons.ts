import type { NeedLot } from '../need';
import type { Minor } from '../shared/money';
import type { BuyingPlan } from '../sourcing';
import type { MarketAnswer } from './market';
import { parcelsOf, type Parcel } from './plan-parcels';
import type { Preferences } from './preferences';
import { lotId } from './problem-ids';

/** What is asked of a plan: what it would come to if one thing were otherwise. */
export type PlanQuestion =
  /** A box that is bought is left out: why it beats single parts. */
  | { readonly of: 'without box'; readonly box: string }
  /** One parcel fewer. */
  | { readonly of: 'fewer parcels'; readonly most: number }
  /** A week longer until it must be there. */
  | { readonly of: 'a week more'; readonly within: number }
  /** The two kinds that hold the dearest parcel are not asked for. */
  | { readonly of: 'without two'; readonly seller: string; readonly lots: readonly string[] };

/** A question with what is to be solved for it. */
export interface AskedReason {
  readonly question: PlanQuestion;
  readonly lots: readonly NeedLot[];
  readonly preferences: Preferences;
}

/** What a question came to. */
export interface PlanReason {
  readonly question: PlanQuestion;
  /** How much more it would cost than the plan; negative = less. As plans are weighed, in pence. */
  readonly more: Minor;
  /** What it would cost more at the very least; the same as `more` where both are proven. */
  readonly atLeast: Minor;
  /** Pieces more that could not be had. */
  readonly unmet: number;
  /** Whether the seller of the dearest parcel would still be bought from. */
  readonly stays: boolean;
  /** True when the answer keeps to the plan's own rules and is better: then the plan was not the best. */
  readonly better: boolean;
}

/**
 * The two kinds of a parcel that hold it: what would cost most to have from the plan's other sellers instead, counting what
 * these have left; what they cannot send at all comes first. One where the parcel has one, and none where it has none.
 */
export function holdingKinds(
  parcel: Parcel,
  plan: BuyingPlan,
  market: MarketAnswer,
): readonly Parcel['lots'][number][] {
  const others = new Set(plan.buys.map((b) => String(b.seller)).filter((id) => id !== parcel.seller));
  const taken = new Map(plan.buys.map((b) => [`${b.seller} ${b.element}`, b.qty]));
  /** Pence more for all of it; Infinity = the others have too few. */
  const extra = (lot: Parcel['lots'][number]): number => {
    const offers = market.sellers
      .filter((s) => others.has(s.id))
      .flatMap((s) =>
        s.offers
          .filter((o) => o.element === lot.element && o.grade === lot.grade)
          .map((o) => ({
            price: o.price,
            left: o.stock - (taken.get(`${s.id} ${o.element}#${o.grade}`) ?? 0),
          })),
      )
      .sort((a, b) => a.price - b.price);
    let [left, cost] = [lot.qty, 0];
    for (const o of offers) {
      const n = Math.min(left, Math.max(0, o.left));
      [left, cost] = [left - n, cost + n * o.price];
    }
    return left > 0 ? Infinity : cost - lot.qty * lot.price;
  };
  const weighed = parcel.lots.map((lot) => ({ lot, extra: extra(lot), worth: lot.qty * lot.price }));
  weighed.sort((a, b) => (a.extra === b.extra ? b.worth - a.worth : b.extra > a.extra ? 1 : -1));
  return weighed.slice(0, 2).map((w) => w.lot);
}

/**
 * What is asked of a plan, so that it can say why it is as it is: each box that is bought left out; one parcel fewer, where
 * there is more than one; a week longer, where there is a day that it must be there by; and the dearest parcel without the
 * two kinds that hold it. `market` is the whole answer that the plan was made on.
 */
export function reasonsToAsk(
  plan: BuyingPlan,
  market: MarketAnswer,
  lots: readonly NeedLot[],
  preferences: Preferences,
): AskedReason[] {
  const parcels = parcelsOf(plan, market);
  const asked: AskedReason[] = plan.donors
    .filter((d) => d.copies > 0)
    .map((d) => ({
      question: { of: 'without box', box: String(d.id) },
      lots,
      preferences: { ...preferences, leaveOut: new Set(preferences.leaveOut).add(String(d.id)) },
    }));
  if (parcels.length > 1)
    asked.push({
      question: { of: 'fewer parcels', most: parcels.length - 1 },
      lots,
      preferences: { ...preferences, maxParcels: parcels.length - 1 },
    });
  if (preferences.within !== null) {
    const within = preferences.within + 7;
    asked.push({ question: { of: 'a week more', within }, lots, preferences: { ...preferences, within } });
  }
  const [dearest] = parcels;
  if (dearest && parcels.length > 1) {
    const held = new Set(holdingKinds(dearest, plan, market).map((l) => l.element));
    const out = lots.filter((l) => held.has(l.element)).map(lotId);
    // Hidden ones may come in any colour: of these no one kind holds the parcel.
    if (out.length > 0)
      asked.push({
        question: { of: 'without two', seller: dearest.seller, lots: out },
        lots: lots.filter((l) => !out.includes(lotId(l))),
        preferences,
      });
  }
  return asked;
}

/** What the answer to a question says of the plan. */
export function reasonOf(plan: BuyingPlan, { question }: AskedReason, answer: BuyingPlan): PlanReason {
  const lacks = (p: BuyingPlan) => p.unmet.reduce((s, u) => s + u.qty, 0);
  const gone = new Set(question.of === 'without two' ? question.lots : []);
  const unmet = lacks(answer) - plan.unmet.reduce((s, u) => s + (gone.has(String(u.lot)) ? 0 : u.qty), 0);
  const more = answer.cost - plan.cost;
  // A week more and lots taken away are other rules: only what is left out keeps to the plan's own.
  const keeps = question.of === 'without box' || question.of === 'fewer parcels';
  return {
    question,
    more,
    atLeast: unmet > 0 ? more : Math.min(more, answer.floor - plan.cost),
    unmet,
    stays: question.of === 'without two' && answer.buys.some((b) => String(b.seller) === question.seller),
    better: keeps && (unmet < 0 || (unmet === 0 && more < 0)),
  };
}

/**
 * The better answer to a question, to stand in the plan's own place. What was proven of the answer was proven of the
 * question's rules and not of the plan's: its floor, and what people would pay by hand, stay the plan's.
 */
export const inPlaceOf = (plan: BuyingPlan, answer: BuyingPlan): BuyingPlan => ({
  ...answer,
  status: 'bestSoFar',
  floor: Math.min(plan.floor, answer.cost),
  byHand: plan.byHand,
});
