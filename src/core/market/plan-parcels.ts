import type { BuyingPlan } from '../sourcing';
import type { Grade } from '../places';
import type { ElementKey } from '../parts';
import type { Minor } from '../shared/money';
import { weightOf, type MarketAnswer } from './market';
import { readOfferId } from './problem-ids';

/** One parcel of a plan, for showing it. */
export interface Parcel {
  readonly seller: string;
  readonly name: string;
  readonly lots: readonly {
    readonly element: ElementKey;
    readonly grade: Grade;
    readonly qty: number;
    readonly price: Minor;
  }[];
  readonly value: Minor;
  /** Paid to reach the least order. */
  readonly filler: Minor;
  readonly postage: Minor;
  readonly days: number;
}

/** All that is paid for a parcel, in pence: its pieces, what its least order lacks, and postage. */
export const parcelCost = (p: Pick<Parcel, 'value' | 'filler' | 'postage'>): Minor =>
  p.value + p.filler + p.postage;

/** The parcels of a plan, dearest first. */
export function parcelsOf(plan: BuyingPlan, market: MarketAnswer): Parcel[] {
  const names = new Map(market.sellers.map((s) => [s.id, s]));
  return [...new Set(plan.buys.map((b) => String(b.seller)))]
    .flatMap((id): Parcel[] => {
      const seller = names.get(id);
      if (!seller) return [];
      const lots = plan.buys
        .filter((b) => b.seller === id)
        .map((b) => {
          const { element, grade } = readOfferId(String(b.element));
          const offer = seller.offers.find((o) => o.element === element && o.grade === grade);
          return { element, grade, qty: b.qty, price: offer?.price ?? 0 };
        });
      const value = lots.reduce((s, l) => s + l.qty * l.price, 0);
      const grams = lots.reduce((s, l) => s + l.qty * weightOf(l.element), 0);
      const postage = seller.postage.find((b) => grams <= b.maxGrams + 1e-9)?.pence ?? 0;
      const filler = Math.max(0, seller.minOrder - value);
      return [{ seller: id, name: seller.name, lots, value, filler, postage, days: seller.days }];
    })
    .sort((a, b) => parcelCost(b) - parcelCost(a));
}

/** "2026-11-24" and five days: "2026-11-29". */
export function addDays(day: string, days: number): string {
  const at = new Date(`${day.slice(0, 10)}T12:00:00Z`);
  at.setUTCDate(at.getUTCDate() + days);
  return at.toISOString().slice(0, 10);
}
