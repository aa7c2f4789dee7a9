import { describe, expect, it } from 'vitest';
import type { BuyingPlan, ProblemId } from '@/core/sourcing';
import { aside, headline } from './plan-words';

type Told = Parameters<typeof headline>[0];

const plan = (over: Partial<BuyingPlan> = {}): BuyingPlan => ({
  schema: 'makeup-plan/1',
  status: 'bestSoFar',
  cost: 4000,
  floor: 3000,
  unmet: [],
  buys: [],
  donors: [],
  byHand: { cheapestEach: 9000, fewestSellers: 8000 },
  ...over,
});

const told = (over: Partial<Told> = {}): Told => ({
  step: 'done',
  failure: null,
  plan: plan(),
  market: null,
  place: 0,
  credit: 0,
  broken: false,
  askedWith: { maxParcels: null, within: null },
  ...over,
});

const lacking = (qty: number) => plan({ unmet: [{ lot: 'l' as ProblemId, qty }] });
const said = (over: Partial<Told>) => headline(told(over), [], { missing: 0 });

describe('what is said over a buying plan', () => {
  it('says what is not to be had at all', () => {
    expect(said({ plan: lacking(18) })).toContain('; 18 pieces are not available.');
    expect(said({ plan: lacking(1) })).toContain('; 1 piece is not available.');
    expect(said({})).not.toContain('available');
  });

  it('names the limits that may leave it out', () => {
    const within = (maxParcels: number | null, days: number | null) =>
      said({ plan: lacking(18), askedWith: { maxParcels, within: days } });
    expect(within(2, null)).toContain('18 pieces are not available in 2 parcels.');
    expect(within(1, 9)).toContain('18 pieces are not available in 1 parcel within 9 days.');
    expect(within(null, 1)).toContain('18 pieces are not available within 1 day.');
  });

  it('says how far down another plan could be, and where that is not known', () => {
    expect(aside(told(), plan(), [])).toContain(
      'none that gets as much costs less than £30.00 (25.0 % below)',
    );
    expect(aside(told(), plan({ floor: 0 }), [])).toContain('was not worked out in the time');
    expect(aside(told(), plan({ status: 'optimal', unmet: [{ lot: 'a', qty: 2 }] }), [])).toBe(
      'Proven: no plan gets more pieces, and none that gets as many costs less.',
    );
    expect(aside(told(), plan({ status: 'optimal' }), [])).toBe(
      'Proven: no plan that gets as much costs less.',
    );
  });
});
