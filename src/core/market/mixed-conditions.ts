import type { NeedLot } from '../need';
import type { BuyingPlan } from '../sourcing';
import type { Preferences } from './preferences';
import { lotId, readOfferId } from './problem-ids';

/** A lot that is seen and would come partly new and partly used. */
export interface MixedLot {
  readonly lot: NeedLot;
  readonly fresh: number;
  readonly used: number;
}

/**
 * Lots of a plan whose pieces would stand side by side new and used: what hidden pieces of the same element can take of
 * either condition is left out, since nobody sees it.
 */
export function mixedConditions(plan: Pick<BuyingPlan, 'buys'>, lots: readonly NeedLot[]): MixedLot[] {
  return lots.flatMap((lot): MixedLot[] => {
    if (lot.hidden) return [];
    const mine = plan.buys
      .map((b) => ({ ...readOfferId(String(b.element)), qty: b.qty }))
      .filter((b) => b.element === lot.element);
    const fresh = mine.reduce((s, b) => s + (b.grade === 'new' ? b.qty : 0), 0);
    const used = mine.reduce((s, b) => s + b.qty, 0) - fresh;
    const away = lots.reduce((s, l) => s + (l.hidden && l.element === lot.element ? l.qty : 0), 0);
    return Math.min(fresh, used) > away ? [{ lot, fresh, used }] : [];
  });
}

/**
 * Preferences that forbid the mixing of these lots: each in the condition that fits beside it (`fitting`), or else in the one
 * that the plan has more of; where it has as many of both, new.
 */
export function forbidMixed(
  preferences: Preferences,
  mixed: readonly MixedLot[],
  fitting: (lot: NeedLot) => 'new' | 'used' | null,
): Preferences {
  const condition = new Map(preferences.condition);
  for (const { lot, fresh, used } of mixed)
    condition.set(lotId(lot), fitting(lot) ?? (fresh >= used ? 'new' : 'used'));
  return { ...preferences, condition };
}
