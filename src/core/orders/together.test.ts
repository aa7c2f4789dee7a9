import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Workbench } from '../workbench';
import { entryFault, overdrafts } from '../ledger';
import { placeOf } from '../places';
import { solveBySteps } from '../sourcing';
import type { ElementKey } from '../parts';
import { asId, type BuildId } from '../shared/ids';
import { makeWorkbench, planned, testSource } from '../testing/workbench';
import { marketOf, offerOf, sellerOf } from '../testing/market';
import { el } from '../testing/world';
import { awaited } from './receive-order';
import { joinNeeds, poseProblem, PREFERENCES } from '../market';
import { needOf } from '../need';
import { placeTogether } from './place-plan';

const [ash, slate, bark] = ['ash', 'slate', 'bark'].map((c) => el('brick 1x2', c)) as [
  ElementKey,
  ElementKey,
  ElementKey,
];
const source = testSource();
const TODAY = '2026-11-25';

/** A build that plans to put on some pieces it has not got. */
const wanting = (name: string, wants: readonly [ElementKey, number, boolean?][]): Workbench =>
  planned(
    makeWorkbench({ build: asId<BuildId>(name), zones: { Wall: ['1 tile 2x2 chalk'] } }),
    source,
    ...wants.map(([element, qty, hidden = false]) => ({
      kind: 'add' as const,
      on: [{ element, qty }],
      hidden,
    })),
  );

const market = marketOf(
  sellerOf('Wide', [offerOf(ash, 10, 90), offerOf(slate, 10, 90, { minQty: 5, multiple: 5 })]),
  sellerOf('Narrow', [offerOf(ash, 9, 90)], { postage: [{ maxGrams: 9999, pence: 400 }] }),
);
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

/** What a command makes of each build: its entries and orders, by build. */
const ofBuild = (diff: ReturnType<typeof placeTogether>['diff'], build: BuildId) => ({
  orders: diff.added.flatMap((a) => (a.type === 'order' && a.record.build === build ? [a.record] : [])),
  entries: diff.added.flatMap((a) => (a.type === 'entry' && a.record.build === build ? [a.record] : [])),
});

/** Carries out in each build what belongs to it, as its window would see it. */
function carriedOut(workbenches: readonly Workbench[], diff: ReturnType<typeof placeTogether>['diff']): void {
  for (const workbench of workbenches) {
    const mine = (r: { type: string; record: object }) =>
      'build' in r.record && r.record.build === workbench.build;
    workbench.apply({
      added: diff.added.filter(mine),
      removed: [],
      changed: diff.changed.filter((c) => mine({ type: c.type, record: c.to })),
    });
  }
}

describe('needs joined', () => {
  it('are a lot of each element, hidden ones apart, with every entry that calls for it', () => {
    const needs = [
      wanting('a', [
        [ash, 4],
        [bark, 2, true],
      ]),
      wanting('b', [
        [ash, 3],
        [bark, 5],
      ]),
    ].map((b) => needOf(b).lots);
    const joined = joinNeeds(needs);
    expect(joined.map((l) => [l.element, l.qty, l.hidden, l.sources.length])).toEqual([
      [ash, 7, false, 2],
      [bark, 5, false, 1],
      [bark, 2, true, 1],
    ]);
    expect(joinNeeds([needs[0]!])).toEqual(needs[0]);
    expect(joinNeeds([])).toEqual([]);
  });
});

describe('a plan for several builds', () => {
  const together = (a: Workbench, b: Workbench, at = market) => {
    const lots = joinNeeds([needOf(a).lots, needOf(b).lots]);
    const plan = solveBySteps(poseProblem(lots, at, { ...PREFERENCES, boxes: false }, a.priceOf), 1, 120);
    return { plan, command: placeTogether([a, b], lots, plan, at, TODAY, source) };
  };

  it('is one parcel where each alone would be one: each has its order in it, and the postage is shared', () => {
    const [a, b] = [wanting('a', [[ash, 12]]), wanting('b', [[ash, 6]])];
    const { plan, command } = together(a, b);
    expect(new Set(plan.buys.map((x) => x.seller)).size).toBe(1);
    const [mine, theirs] = [ofBuild(command.diff, a.build), ofBuild(command.diff, b.build)];
    expect([mine.orders.length, theirs.orders.length]).toEqual([1, 1]);
    // One parcel is known by its seller and its moment.
    expect([mine.orders[0]!.seller, mine.orders[0]!.placedAt]).toEqual([
      theirs.orders[0]!.seller,
      theirs.orders[0]!.placedAt,
    ]);
    expect([mine.orders[0]!.postage, theirs.orders[0]!.postage]).toEqual([100, 50]);
    expect(command.label).toBe('order 1 parcel');
    carriedOut([a, b], command.diff);
    for (const [workbench, n] of [
      [a, 12],
      [b, 6],
    ] as const) {
      expect(needOf(workbench)).toMatchObject({ missing: 0, ordered: n });
      expect(awaited(workbench, [...workbench.records.order.values()][0]!)).toMatchObject([
        { element: ash, qty: n },
      ]);
      expect(overdrafts(workbench.built.balances)).toEqual([]);
    }
  });

  it('pieces over belong to the first that has a share in the parcel', () => {
    const [a, b] = [wanting('a', [[bark, 1]]), wanting('b', [[slate, 3]])];
    const { command } = together(a, b);
    const bought = ofBuild(command.diff, b.build).entries.flatMap((e) => e.movements);
    expect(sum(bought.map((m) => m.qty))).toBe(5);
    expect(ofBuild(command.diff, a.build).orders).toEqual([]);
  });

  it('of nobody is nothing', () =>
    expect(
      placeTogether(
        [],
        [],
        solveBySteps(
          poseProblem([], market, PREFERENCES, () => null),
          1,
          1,
        ),
        market,
        TODAY,
        source,
      ).orders,
    ).toEqual([]));

  it('costs the builds together what the plan costs, and every build’s books stay lawful', () => {
    const wants = fc.array(
      fc.tuple(fc.constantFrom(ash, slate, bark), fc.integer({ min: 1, max: 30 }), fc.boolean()),
      { minLength: 1, maxLength: 4 },
    );
    fc.assert(
      fc.property(wants, wants, fc.integer({ min: 1, max: 99 }), (one, other, price) => {
        const [a, b] = [wanting('a', one), wanting('b', other)];
        const at = marketOf(
          ...market.sellers,
          sellerOf('Third', [offerOf(bark, price, 40), offerOf(ash, price, 7)], { minOrder: 300 }),
        );
        const before = [a, b].map((x) => x.built.figures({ of: 'build' }).outOfPocket);
        const { plan, command } = together(a, b, at);
        carriedOut([a, b], command.diff);
        const paid = [a, b].map((x, i) => x.built.figures({ of: 'build' }).outOfPocket - before[i]!);
        expect(sum(paid)).toBe(plan.cost);
        const lacking = sum([a, b].map((x) => needOf(x).missing));
        expect(lacking).toBe(sum(plan.unmet.map((u) => u.qty)));
        for (const workbench of [a, b]) {
          expect(workbench.entries.map(entryFault).filter(Boolean)).toEqual([]);
          expect(overdrafts(workbench.built.balances)).toEqual([]);
          // Nothing of one build waits at an order of the other.
          for (const e of workbench.entries)
            for (const m of e.movements)
              for (const account of [m.from, m.to])
                if (placeOf(account) === 'order')
                  expect(workbench.records.order.has(account.slice('order:'.length) as never)).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });
});
