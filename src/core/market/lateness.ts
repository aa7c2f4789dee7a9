import type { Order } from '../records';
import { chanceWithin, type Post } from './market';
import { daysFor } from './in-reach';
import { addDays } from './plan-parcels';

/** How an order that is on its way looks. */
export interface Outlook {
  /** Chance that it is there by its due day, if it is not there today; 0 to 1. */
  readonly byDue: number;
  /** The day by which it is there with four chances in five; null = it may never be that sure. */
  readonly sureBy: string | null;
  /** True when it is likely to keep somebody waiting past its day. */
  readonly risky: boolean;
}

/** Days between two days written "2026-11-25". */
export const daysBetween = (from: string, to: string): number =>
  Math.round(
    (Date.parse(`${to.slice(0, 10)}T12:00:00Z`) - Date.parse(`${from.slice(0, 10)}T12:00:00Z`)) / 86_400_000,
  );

const SURE = 0.8;
/** A parcel is given so many days beyond its own before it counts as risky. */
const GRACE = 3;

/**
 * What to expect of a parcel that has not come yet, from how its seller's parcels come: chances are of its coming given
 * that it has not come until today. Its own day is what the seller said, so his parcels come about that.
 */
export function outlookOf(order: Pick<Order, 'placedAt' | 'due'>, seller: Post, today: string): Outlook {
  const gone = daysBetween(order.placedAt, today);
  const due = daysBetween(order.placedAt, order.due);
  const post = { ...seller, days: Math.max(1, due) };
  const until = chanceWithin(post, gone);
  const given = (days: number) =>
    days <= gone ? 0 : Math.max(0, (chanceWithin(post, days) - until) / Math.max(1e-9, 1 - until));
  let sure: number | null = daysFor(post, SURE);
  if (sure !== null && sure <= gone) sure = null;
  return {
    byDue: given(due),
    sureBy: sure === null ? null : addDays(order.placedAt, sure),
    risky: given(due + GRACE) < 0.65,
  };
}
