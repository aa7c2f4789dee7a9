import { daysBetween } from '../market';
import type { Entry, Order, ParcelClaim } from '../records';

/** How a seller's parcels have come so far, over all builds. */
export interface SellerRecord {
  readonly seller: string;
  readonly orders: number;
  /** Of those: wholly received, or cancelled. */
  readonly closed: number;
  /** Closed ones that had a day, and how many of these came after it, by how many days at the worst. */
  readonly withDay: number;
  readonly late: number;
  readonly worstDays: number;
  readonly pieces: number;
  readonly short: number;
  readonly wrong: number;
  readonly damaged: number;
}

interface Known {
  readonly orders: readonly Order[];
  /** Entries that belong to an order: what was ordered, and what was received of it. */
  readonly entries: readonly Pick<Entry, 'kind' | 'order' | 'loggedAt' | 'movements'>[];
  readonly claims: readonly Pick<ParcelClaim, 'order' | 'kind' | 'qty'>[];
}

const nameKey = (seller: string): string => seller.trim().toLowerCase();

/**
 * Every seller's record out of one's own orders, by name without regard to case: an order is closed on the day on which
 * the last of it left the order. Only what has closed tells of lateness.
 */
export function sellerRecords({ orders, entries, claims }: Known): SellerRecord[] {
  const byOrder = new Map<string, Known['entries'][number][]>();
  for (const e of entries) if (e.order) byOrder.set(e.order, [...(byOrder.get(e.order) ?? []), e]);
  const records = new Map<string, { -readonly [K in keyof SellerRecord]: SellerRecord[K] }>();
  for (const order of orders) {
    const key = nameKey(order.seller);
    const of = records.get(key) ?? { ...NOTHING, seller: order.seller };
    const at = `order:${order.id}`;
    let [bought, left, last] = [0, 0, ''];
    for (const e of byOrder.get(order.id) ?? [])
      for (const m of e.movements) {
        if (m.to === at) bought += m.qty;
        if (m.from !== at || e.kind !== 'transfer') continue;
        left += m.qty;
        if (e.loggedAt > last) last = e.loggedAt;
      }
    of.orders++;
    of.pieces += bought;
    if (bought > 0 && left >= bought) {
      of.closed++;
      if (order.due) {
        of.withDay++;
        const days = daysBetween(order.due, last);
        if (days > 0) of.late++;
        of.worstDays = Math.max(of.worstDays, days);
      }
    }
    for (const c of claims) if (c.order === order.id) of[c.kind] += c.qty;
    records.set(key, of);
  }
  return [...records.values()].sort((a, b) => b.orders - a.orders || a.seller.localeCompare(b.seller, 'en'));
}

const NOTHING = {
  orders: 0,
  closed: 0,
  withDay: 0,
  late: 0,
  worstDays: 0,
  pieces: 0,
  short: 0,
  wrong: 0,
  damaged: 0,
};

/** The record of a seller by name, or undefined where nothing was ordered there yet. */
export const recordOf = (records: readonly SellerRecord[], seller: string): SellerRecord | undefined =>
  records.find((r) => nameKey(r.seller) === nameKey(seller));
