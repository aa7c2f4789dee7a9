import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pick, seededRandom } from '../shared/random';
import { solveBySteps, type BuyingPlan } from '../sourcing';
import { boxFor, marketOf, offerOf, sellerOf } from '../testing/market';
import { el } from '../testing/world';
import type { NeedLot } from '../need';
import type { MarketAnswer } from './market';
import { parcelCost, parcelsOf } from './plan-parcels';
import { holdingKinds, reasonOf, reasonsToAsk, type PlanReason } from './plan-reasons';
import { poseProblem } from './pose';
import { PREFERENCES, type Preferences } from './preferences';
import { lotId } from './problem-ids';
import { forbidTold, sentTwice, singleKindParcels } from './told-parcels';

const [brick, small, tile, plate, arch] = [
  el('brick 2x4', 'ash'),
  el('brick 1x2', 'ash'),
  el('tile 2x2', 'ash'),
  el('plate 2x3', 'ash'),
  el('arch 1x4', 'ash'),
];
const KINDS = [brick, small, tile, plate, arch];
const lot = (element: NeedLot['element'], qty: number): NeedLot => ({
  element,
  qty,
  hidden: false,
  sources: [],
});
const WISH: Preferences = { ...PREFERENCES, credit: 0 };

const solve = (lots: readonly NeedLot[], market: MarketAnswer, wish: Preferences): BuyingPlan =>
  solveBySteps(
    poseProblem(lots, market, wish, () => 10),
    1,
    400,
  );
/** A plan with everything that is asked of it. */
function why(lots: readonly NeedLot[], market: MarketAnswer, wish = WISH) {
  const plan = solve(lots, market, wish);
  const reasons = reasonsToAsk(plan, market, lots, wish).map((asked) =>
    reasonOf(plan, asked, solve(asked.lots, market, asked.preferences)),
  );
  const of = (kind: PlanReason['question']['of']) => reasons.find((r) => r.question.of === kind);
  return { plan, reasons, of, parcels: parcelsOf(plan, market) };
}

const flat = (pence: number) => ({ postage: [{ maxGrams: 100_000, pence }] });

describe('why a plan is as it is', () => {
  it('a box beats single parts by what they would cost in its place', () => {
    const market = {
      ...marketOf(sellerOf('Gull', [offerOf(brick, 30, 90), offerOf(small, 20, 90)], flat(100))),
      boxes: [
        boxFor('Hut', 400, [
          { element: brick, qty: 20 },
          { element: small, qty: 10 },
        ]),
      ],
    };
    const { plan, of } = why([lot(brick, 20), lot(small, 10)], market);
    expect([plan.cost, plan.donors]).toEqual([400, [{ id: 'Hut second-hand', copies: 1 }]]);
    // Twenty at 30, ten at 20, and the postage, against 400.
    expect(of('without box')).toMatchObject({ more: 500, atLeast: 500, unmet: 0, better: false });
  });

  it('one parcel fewer costs what the others ask more, or leaves something out', () => {
    const sellers = [
      sellerOf('A', [offerOf(brick, 10, 50), offerOf(small, 90, 50)], flat(100)),
      sellerOf('B', [offerOf(small, 10, 50)], flat(100)),
    ];
    const two = why([lot(brick, 10), lot(small, 10)], marketOf(...sellers));
    expect(two.plan.cost).toBe(400);
    expect(two.of('fewer parcels')).toMatchObject({ question: { most: 1 }, more: 700, unmet: 0 });
    const three = why(
      [lot(brick, 10), lot(small, 10), lot(tile, 4)],
      marketOf(...sellers, sellerOf('C', [offerOf(tile, 10, 4)], flat(100))),
    );
    expect(three.of('fewer parcels')).toMatchObject({ question: { most: 2 }, unmet: 0 });
    const one = why([lot(brick, 10)], marketOf(...sellers));
    expect(one.reasons).toEqual([]);
  });

  it('a week more saves what the quick ones cost more; without a day nothing is asked of it', () => {
    const market = marketOf(
      sellerOf('Quick', [offerOf(brick, 30, 50)], { ...flat(100), days: 2, spread: 1, late: 0 }),
      sellerOf('Slow', [offerOf(brick, 10, 50)], { ...flat(100), days: 8, spread: 1, late: 0 }),
    );
    const hurried = why([lot(brick, 10)], market, { ...WISH, within: 4 });
    expect([hurried.plan.cost, hurried.of('a week more')?.more]).toEqual([400, -200]);
    expect(why([lot(brick, 10)], market).of('a week more')).toBeUndefined();
  });

  it('the dearest parcel is held by the kinds that the others cannot send, or ask most for', () => {
    const market = marketOf(
      sellerOf('Big', [offerOf(tile, 40, 9), offerOf(plate, 10, 50), offerOf(arch, 10, 50)], flat(300)),
      sellerOf('Near', [offerOf(plate, 60, 50), offerOf(arch, 12, 50), offerOf(brick, 5, 50)], flat(50)),
    );
    const { plan, parcels, of } = why([lot(tile, 8), lot(plate, 9), lot(arch, 9), lot(brick, 9)], market);
    const dearest = parcels[0]!;
    expect(dearest.seller).toBe('Big');
    expect(holdingKinds(dearest, plan, market).map((l) => l.element)).toEqual([tile, plate]);
    // Without the two, arches come from the other one, and the parcel goes: 8 × 40 + 9 × 10 + 300 for it, 9 × 2 more for arches.
    expect(of('without two')).toMatchObject({ stays: false, unmet: 0, more: -(320 + 90 + 300 - 18) });
  });

  it('what the others have left is counted, not what they have', () => {
    const market = marketOf(
      sellerOf('Big', [offerOf(tile, 10, 9), offerOf(plate, 10, 9)], flat(500)),
      sellerOf('Near', [offerOf(tile, 9, 5), offerOf(plate, 11, 50)], flat(10)),
    );
    const plan: BuyingPlan = {
      schema: 'makeup-plan/1',
      status: 'bestSoFar',
      cost: 0,
      floor: 0,
      unmet: [],
      donors: [],
      byHand: { cheapestEach: 0, fewestSellers: 0 },
      buys: [
        { seller: 'Big', element: `${tile}#new`, qty: 4 },
        { seller: 'Big', element: `${plate}#new`, qty: 9 },
        { seller: 'Near', element: `${tile}#new`, qty: 5 },
      ],
    };
    const [big] = parcelsOf(plan, market);
    expect(holdingKinds(big!, plan, market).map((l) => l.element)).toEqual([tile, plate]);
  });

  it('a box or a parcel less never is the better plan where both are proven', () => {
    const random = (seed: number) => {
      const r = seededRandom(seed);
      const some = () => KINDS.filter(() => r() < 0.6);
      const sellers = ['A', 'B', 'C', 'D'].map((id) =>
        sellerOf(
          id,
          some().map((e) => offerOf(e, 5 + Math.floor(r() * 40), 1 + Math.floor(r() * 30))),
          flat(50 + Math.floor(r() * 250)),
        ),
      );
      const boxes = [
        boxFor(
          'Hut',
          150 + Math.floor(r() * 500),
          some().map((element) => ({ element, qty: 8 })),
        ),
      ];
      return { market: { sellers, boxes }, lots: KINDS.map((e) => lot(e, 1 + Math.floor(r() * 12))), r };
    };
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const { market, lots, r } = random(seed);
        const wish = { ...WISH, within: pick(r, [null, 9]), maxParcels: pick(r, [null, 2, 3]) };
        const { plan, reasons } = why(lots, market, wish);
        if (plan.status !== 'optimal') return;
        for (const reason of reasons) {
          expect(reason.better).toBe(false);
          if (reason.question.of === 'without box' || reason.question.of === 'fewer parcels') {
            expect(reason.unmet).toBeGreaterThanOrEqual(0);
            if (reason.unmet === 0) expect(reason.more).toBeGreaterThanOrEqual(0);
          }
          if (reason.question.of === 'a week more') expect(reason.unmet).toBeLessThanOrEqual(0);
        }
      }),
      { numRuns: 25, seed: 7 },
    );
  });

  it('the dearest parcel is so by all that is paid for it, what its least order lacks too', () => {
    const market = marketOf(
      sellerOf('Strict', [offerOf(tile, 10, 9)], { ...flat(50), minOrder: 900 }),
      sellerOf('Near', [offerOf(brick, 30, 9)], flat(60)),
    );
    const { parcels, of } = why([lot(tile, 3), lot(brick, 9)], market);
    expect(parcels.map((p) => [p.seller, parcelCost(p)])).toEqual([
      ['Strict', 950],
      ['Near', 330],
    ]);
    expect(of('without two')?.question).toMatchObject({ seller: 'Strict' });
  });

  it('says when an answer is better than the plan itself', () => {
    const plan = solve([lot(brick, 5)], marketOf(sellerOf('A', [offerOf(brick, 10, 9)])), WISH);
    const asked = { question: { of: 'fewer parcels', most: 1 } as const, lots: [], preferences: WISH };
    expect(reasonOf(plan, asked, { ...plan, cost: plan.cost - 1, floor: plan.cost - 9 })).toMatchObject({
      more: -1,
      atLeast: -9,
      better: true,
    });
    const week = { ...asked, question: { of: 'a week more', within: 9 } as const };
    expect(reasonOf(plan, week, { ...plan, cost: plan.cost - 1 }).better).toBe(false);
  });
});

describe('what is told of parcels, and forbidden', () => {
  const market = {
    ...marketOf(
      sellerOf('A', [offerOf(brick, 10, 50), offerOf(small, 10, 50)], flat(100)),
      sellerOf('B', [offerOf(tile, 10, 50)], flat(100)),
      sellerOf('C', [offerOf(tile, 40, 50)], flat(100)),
    ),
    boxes: [
      boxFor('Hut', 100, [{ element: plate, qty: 20 }], { seller: 'A' }),
      boxFor('Boat', 100, [{ element: arch, qty: 20 }], { seller: 'A' }),
    ],
  };
  const lots = [lot(brick, 9), lot(small, 9), lot(tile, 9), lot(plate, 9), lot(arch, 9)];

  it('a parcel for one kind, and a seller who sends three times', () => {
    const { plan, parcels } = why(lots, market);
    expect(singleKindParcels(parcels).map((p) => p.seller)).toEqual(['B']);
    expect(sentTwice(plan, market)).toEqual([
      { seller: 'A', parcel: 'A', boxes: ['Hut second-hand', 'Boat second-hand'] },
    ]);
  });

  it('once forbidden, neither comes again from there', () => {
    const { plan, parcels } = why(lots, market);
    const wish = forbidTold(WISH, singleKindParcels(parcels), sentTwice(plan, market));
    const next = why(lots, market, wish);
    expect(sentTwice(next.plan, market)).toEqual([]);
    expect(next.parcels.map((p) => p.seller)).not.toContain('B');
    expect(next.plan.unmet.map((u) => u.lot).sort()).toEqual(
      [lotId(lot(arch, 9)), lotId(lot(plate, 9))].sort(),
    );
    // Of boxes alone the first stays.
    const boxes = [{ seller: 'A', parcel: null, boxes: ['Hut second-hand', 'Boat second-hand'] }];
    expect([...forbidTold(WISH, [], boxes).leaveOut]).toEqual(['Boat second-hand']);
  });
});
