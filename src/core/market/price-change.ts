import type { Grade } from '../places';
import type { BuyingPlan } from '../sourcing';
import type { ElementKey } from '../parts';
import type { Minor } from '../shared/money';
import type { MarketAnswer, MarketSeller } from './market';
import { boxId, readOfferId } from './problem-ids';

/** Something that a plan buys and that is not sold any more as it was when the plan was made. */
export type PriceChange =
  | {
      readonly change: 'price';
      readonly seller: string;
      readonly element: ElementKey;
      readonly grade: Grade;
      readonly qty: number;
      readonly was: Minor;
      readonly now: Minor;
    }
  | {
      readonly change: 'stock';
      readonly seller: string;
      readonly element: ElementKey;
      readonly grade: Grade;
      readonly qty: number;
      readonly left: number;
    }
  | { readonly change: 'postage'; readonly seller: string }
  | { readonly change: 'box'; readonly name: string; readonly was: Minor; readonly now: Minor | null };

/** What changed on the market between a plan and its order, of what the plan buys. Empty = it can be ordered as it stands. */
export function changesSince(plan: BuyingPlan, before: MarketAnswer, now: MarketAnswer): PriceChange[] {
  const sellersNow = new Map(now.sellers.map((s) => [s.id, s]));
  const offerOf = (s: MarketSeller | undefined, element: ElementKey, g: Grade) =>
    s?.offers.find((o) => o.element === element && o.grade === g);
  const changes: PriceChange[] = [];
  for (const old of before.sellers) {
    const buys = plan.buys.filter((b) => b.seller === old.id);
    if (buys.length === 0) continue;
    const fresh = sellersNow.get(old.id);
    const terms = (s: MarketSeller | undefined) => JSON.stringify([s?.minOrder, s?.postage]);
    if (terms(old) !== terms(fresh)) changes.push({ change: 'postage', seller: old.name });
    for (const { element: id, qty } of buys) {
      const { element, grade } = readOfferId(String(id));
      const [was, is] = [offerOf(old, element, grade), offerOf(fresh, element, grade)];
      const lot = { seller: old.name, element, grade, qty };
      const sold = is && qty <= is.stock && qty >= is.minQty && qty % is.multiple === 0;
      if (!sold) changes.push({ change: 'stock', ...lot, left: is?.stock ?? 0 });
      else if (was && was.price !== is.price)
        changes.push({ change: 'price', ...lot, was: was.price, now: is.price });
    }
  }
  for (const d of plan.donors) {
    const [was, is] = [before, now].map((m) => m.boxes.find((b) => boxId(b) === d.id));
    if (!was) continue;
    const left = is && is.copies >= d.copies ? is.price : null;
    if (left !== was.price) changes.push({ change: 'box', name: was.name, was: was.price, now: left });
  }
  return changes;
}

/** Whether a plan can still be bought whole, if dearer or cheaper than it was. */
export const stillSold = (changes: readonly PriceChange[]): boolean =>
  changes.every((c) => c.change !== 'stock' && (c.change !== 'box' || c.now !== null));

/** What the changes add to a plan's cost in pieces and boxes, in pence; below zero it got cheaper. */
export const addedCost = (changes: readonly PriceChange[]): Minor =>
  changes.reduce((sum, c) => {
    if (c.change === 'price') return sum + c.qty * (c.now - c.was);
    return c.change === 'box' && c.now !== null ? sum + c.now - c.was : sum;
  }, 0);
