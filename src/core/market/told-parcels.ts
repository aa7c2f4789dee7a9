import type { BuyingPlan } from '../sourcing';
import type { MarketAnswer } from './market';
import type { Parcel } from './plan-parcels';
import type { Preferences } from './preferences';
import { boxId } from './problem-ids';

/** A seller who would send more than once: single parts and boxes, or several kinds of boxes. */
export interface SentTwice {
  readonly seller: string;
  /** Their id, where single parts are bought of them. */
  readonly parcel: string | null;
  readonly boxes: readonly string[];
}

/** Parcels of a plan that come for one kind of part only, dearest first. */
export const singleKindParcels = (parcels: readonly Parcel[]): readonly Parcel[] =>
  parcels.filter((p) => new Set(p.lots.map((l) => l.element)).size === 1);

/** Sellers who would send twice or oftener for one plan: postage is paid, and waited for, each time. */
export function sentTwice(plan: BuyingPlan, market: Pick<MarketAnswer, 'sellers' | 'boxes'>): SentTwice[] {
  const buys = new Set(plan.buys.map((b) => String(b.seller)));
  const boxes = new Set(plan.donors.filter((d) => d.copies > 0).map((d) => String(d.id)));
  const bySeller = new Map<string, string[]>();
  for (const b of market.boxes)
    if (boxes.has(boxId(b))) bySeller.set(b.seller, [...(bySeller.get(b.seller) ?? []), boxId(b)]);
  return [...bySeller].flatMap(([seller, ids]): SentTwice[] => {
    const parcel = market.sellers.find((s) => s.name === seller && buys.has(s.id))?.id ?? null;
    return ids.length + (parcel === null ? 0 : 1) > 1 ? [{ seller, parcel, boxes: ids }] : [];
  });
}

/** Preferences that forbid what a plan was told of: parcels for a single kind, and a seller's second sending. */
export function forbidTold(
  preferences: Preferences,
  single: readonly Parcel[],
  twice: readonly SentTwice[],
): Preferences {
  return {
    ...preferences,
    never: new Set([...preferences.never, ...single.map((p) => p.seller)]),
    // The single parts stay: where there are none, the first of the boxes does.
    leaveOut: new Set([
      ...preferences.leaveOut,
      ...twice.flatMap((t) => (t.parcel === null ? t.boxes.slice(1) : t.boxes)),
    ]),
  };
}
