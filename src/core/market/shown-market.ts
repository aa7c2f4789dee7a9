import type { NeedLot } from '../need';
import type { BuyingPlan } from '../sourcing';
import type { MarketAnswer } from './market';
import type { Preferences } from './preferences';
import { boxId, offerId } from './problem-ids';

/**
 * As much of a market as shows a plan: of sellers those that it buys from, that sell a box or that somebody prefers or
 * excludes, with the offers that it buys; of boxes what is needed, and the bought ones whole. Parcels, prices paid and
 * orders come out of it as out of the whole, and it is as small as the plan.
 */
export function shownMarket(
  market: MarketAnswer,
  plan: Pick<BuyingPlan, 'buys' | 'donors'>,
  preferences: Pick<Preferences, 'never' | 'prefer'>,
  lots: readonly Pick<NeedLot, 'element'>[],
): MarketAnswer {
  const bought = new Set(plan.buys.map((b) => `${b.seller} ${b.element}`));
  const boxed = new Set<string>(plan.donors.map((d) => String(d.id)));
  const from = new Set(plan.buys.map((b) => String(b.seller)));
  const byBox = new Set(market.boxes.map((b) => b.seller));
  const wanted = new Set(lots.map((l) => l.element));
  return {
    sellers: market.sellers
      .filter(
        (s) =>
          from.has(s.id) || byBox.has(s.name) || preferences.never.has(s.id) || preferences.prefer.has(s.id),
      )
      .map((s) => ({
        ...s,
        offers: s.offers.filter((o) => bought.has(`${s.id} ${offerId(o.element, o.grade)}`)),
      })),
    boxes: market.boxes.map((b) =>
      boxed.has(boxId(b)) ? b : { ...b, lots: b.lots.filter((l) => wanted.has(l.element)) },
    ),
  };
}
