import { describe, expect, it } from 'vitest';
import type { BuyingPlan, Saved } from '@/core/sourcing';
import { FoundPlans, isBetterPlan, type FoundPlan } from './found-plans';

const found = (cost: number, more: Partial<FoundPlan> & { unmet?: number; own?: number } = {}): FoundPlan => {
  const { unmet = 0, own = 0, ...rest } = more;
  return {
    saved: { cost, unmet } as Saved,
    plan: { cost, floor: own } as BuyingPlan,
    whole: true,
    floor: 0,
    ...rest,
  };
};

describe('plans that were found before', () => {
  it('keep the better plan and the higher floor, whichever came first', () => {
    const plans = new FoundPlans();
    expect(plans.get('a')).toBeUndefined();
    plans.keep('a', found(900, { floor: 700 }));
    plans.keep('a', found(950, { floor: 800 }));
    expect(plans.get('a')).toMatchObject({ saved: { cost: 900 }, floor: 800 });
    plans.keep('a', found(850, { floor: 100 }));
    expect(plans.get('a')).toMatchObject({ saved: { cost: 850 }, floor: 800 });
  });

  it('what meets more is better than what is cheaper, and of equals the one that is known to be nearer', () => {
    expect(isBetterPlan(found(900, { unmet: 0 }), found(100, { unmet: 2 }))).toBe(true);
    expect(isBetterPlan(found(100, { unmet: 2 }), found(900, { unmet: 0 }))).toBe(false);
    expect(isBetterPlan(found(900), found(900, { whole: false }))).toBe(true);
    expect(isBetterPlan(found(900, { own: 10 }), found(900))).toBe(true);
    expect(isBetterPlan(found(900), found(900))).toBe(false);
  });

  it('are of the problems asked last: the one that was not asked for longest goes', () => {
    const plans = new FoundPlans(2);
    plans.keep('a', found(1));
    plans.keep('b', found(2));
    plans.keep('a', found(3));
    plans.keep('c', found(4));
    expect(['a', 'b', 'c'].map((p) => plans.get(p)?.saved.cost)).toEqual([1, undefined, 4]);
  });
});
