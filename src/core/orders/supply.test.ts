import { describe, expect, it } from 'vitest';
import { Workbench } from '../workbench';
import { writeCsv } from '../formats';
import { ordersTable, ORDERS_COLUMNS, pickTable } from './parts-tables';
import { entryFault, overdrafts, type Intent } from '../ledger';
import { orderAccount, sparesAccount } from '../places';
import { solveBySteps } from '../sourcing';
import { elementKey, type ElementKey } from '../parts';
import type { ColourId, PartId } from '../shared/ids';
import { faultsOf } from '../testing/sourcing';
import { did, makeWorkbench, planned, testSource } from '../testing/workbench';
import { donorReport } from '../stock';
import { boxFor, offerOf, sellerOf } from '../testing/market';
import { el } from '../testing/world';
import { awaited, boxOf, receiveOrder } from './receive-order';
import {
  boxCredit,
  boxRefused,
  chanceWithin,
  parcelsOf,
  poseProblem,
  PREFERENCES,
  type MarketAnswer,
  type MarketSeller,
} from '../market';
import { needBy, needOf } from '../need';
import { placePlan } from './place-plan';

const source = testSource();
const [ash, slate, bark] = ['ash', 'slate', 'bark'].map((c) => el('brick 1x2', c)) as [
  ElementKey,
  ElementKey,
  ElementKey,
];
const tile = el('tile 2x2', 'bark');

const plan = (workbench: Workbench, ...intents: Partial<Intent>[]): Workbench =>
  planned(workbench, source, ...intents);

/** Twelve ash in own parts; a plan that wants more than there is, some of it hidden. */
const wall = () =>
  plan(
    makeWorkbench({
      zones: { Wall: ['6 brick 1x2 slate'], Roof: ['2 tile 2x2 bark'] },
      stock: ['12 brick 1x2 ash'],
      prices: ['brick 1x2 ash 9', 'tile 2x2 bark 14', 'brick 1x2 slate 9'],
    }),
    { kind: 'recolour', off: [{ element: slate, qty: 4 }], on: [{ element: ash, qty: 4 }] },
    { kind: 'add', on: [{ element: slate, qty: 6 }] },
    { kind: 'add', on: [{ element: ash, qty: 13 }] },
    { kind: 'add', on: [{ element: tile, qty: 5 }] },
    { kind: 'add', on: [{ element: bark, qty: 7 }], hidden: true },
  );

const seller = (
  id: string,
  offers: [ElementKey, number, number][],
  more: Partial<MarketSeller> = {},
): MarketSeller =>
  sellerOf(
    id,
    offers.map(([element, price, stock]) => offerOf(element, price, stock)),
    more,
  );
const market: MarketAnswer = {
  sellers: [
    seller('Near', [
      [ash, 8, 40],
      [slate, 9, 40],
      [tile, 20, 3],
    ]),
    seller(
      'Far',
      [
        [tile, 12, 40],
        [ash, 5, 2],
      ],
      { days: 30 },
    ),
  ],
  boxes: [],
};

describe('the need', () => {
  it('is what is planned less what is freed, at hand and ordered, told by entries', () => {
    const need = needOf(wall());
    // Four slate come off before six are wanted; of seventeen ash there are twelve.
    expect(need.lots.map((l) => [l.element, l.qty, l.hidden])).toEqual([
      [ash, 5, false],
      [bark, 7, true],
      [slate, 2, false],
      [tile, 5, false],
    ]);
    expect(need).toMatchObject({ planned: 35, fromSpares: 4, fromStock: 12, missing: 19 });
    for (const lot of need.lots) expect(lot.sources.reduce((s, x) => s + x.qty, 0)).toBe(lot.qty);
    expect(need.runningLow[0]).toMatchObject({ element: ash, left: 0, taken: 12 });
    expect(needBy(need.lots, (l) => l.hidden)).toEqual([
      [false, 12],
      [true, 7],
    ]);
  });

  it('nothing planned is nothing needed', () =>
    expect(needOf(makeWorkbench({ zones: { Wall: ['1 brick 1x2 ash'] } }))).toMatchObject({
      planned: 0,
      missing: 0,
    }));
});

describe('from need to order', () => {
  it('a plan is posed, solved, ordered and counted in, and the books stay lawful to the penny', () => {
    const workbench = wall();
    const need = needOf(workbench);
    const problem = poseProblem(need.lots, market, PREFERENCES, workbench.priceOf);
    const found = solveBySteps(problem, 1, 120);
    expect(faultsOf(problem, found)).toEqual([]);
    expect(found.unmet).toEqual([]);
    const before = workbench.built.figures({ of: 'build' }).outOfPocket;
    const command = placePlan(workbench, need.lots, found, market, '2026-11-24', source);
    did(workbench, command);
    expect(workbench.entries.map(entryFault).filter(Boolean)).toEqual([]);
    expect(overdrafts(workbench.built.balances)).toEqual([]);
    expect(workbench.built.figures({ of: 'build' }).outOfPocket - before).toBe(found.cost);
    expect(needOf(workbench)).toMatchObject({ missing: 0, ordered: 19 });
    expect(parcelsOf(found, market).reduce((s, p) => s + p.value + p.postage + p.filler, 0)).toBe(found.cost);
    // One piece of each lot is short: it is claimed, and needed again.
    for (const order of workbench.records.order.values()) {
      const lots = awaited(workbench, order);
      did(
        workbench,
        receiveOrder(workbench, order, (l) => l.qty - 1, source),
      );
      expect(awaited(workbench, order)).toEqual([]);
      expect(lots.length).toBeGreaterThan(0);
    }
    const lost = workbench.entries
      .filter((e) => e.kind === 'transfer')
      .flatMap((e) => e.movements.filter((m) => m.to === 'gone:missing'));
    expect(needOf(workbench).missing).toBe(lost.reduce((s, m) => s + m.qty, 0));
    expect(workbench.entries.map(entryFault).filter(Boolean)).toEqual([]);
    expect(overdrafts(workbench.built.balances)).toEqual([]);
    expect(workbench.built.balances.total(sparesAccount(workbench.build))).toBe(19 - lost.length);
  });

  it('hidden parts take any colour, unless they are to be as planned', () => {
    const workbench = wall();
    const { lots } = needOf(workbench);
    const pose = (hiddenAnyColour: boolean) =>
      poseProblem(lots, market, { ...PREFERENCES, hiddenAnyColour }, workbench.priceOf);
    expect(solveBySteps(pose(true), 1, 40).unmet).toEqual([]);
    expect(solveBySteps(pose(false), 1, 40).unmet).toEqual([{ lot: `${bark}!`, qty: 7 }]);
  });

  it('a date, a shut-out seller and a limit of parcels are kept', () => {
    const workbench = wall();
    const { lots } = needOf(workbench);
    const sellersOf = (p: Partial<typeof PREFERENCES>) =>
      poseProblem(lots, market, { ...PREFERENCES, ...p }, workbench.priceOf).sellers.map((s) => s.id);
    expect(sellersOf({ within: 10 })).toEqual(['Near']);
    expect(sellersOf({ never: new Set(['Near']) })).toEqual(['Far']);
    expect(poseProblem(lots, market, { ...PREFERENCES, maxParcels: 1 }, workbench.priceOf).maxSellers).toBe(
      1,
    );
    expect(chanceWithin(market.sellers[0]!, 5)).toBeCloseTo(0.45, 2);
    expect(chanceWithin(market.sellers[0]!, 50)).toBeCloseTo(0.9, 2);
  });

  it('a box that is bought is broken up, its price counts once, and its parts serve the plan', () => {
    const workbench = wall();
    const { lots } = needOf(workbench);
    const loose = el('plate 1x1', 'slate');
    const boxed: MarketAnswer = {
      sellers: market.sellers,
      boxes: [
        boxFor('B1', 60, [
          { element: tile, qty: 5 },
          { element: slate, qty: 9 },
          { element: ash, qty: 5 },
          // Priced, and wanted by nobody: they are what a box leaves over.
          { element: loose, qty: 20 },
        ]),
      ],
    };
    const problem = poseProblem(lots, boxed, PREFERENCES, (e, g) =>
      e === loose ? 2 : workbench.priceOf(e, g),
    );
    const found = solveBySteps(problem, 1, 120);
    expect(found.donors).toHaveLength(1);
    const before = workbench.built.figures({ of: 'build' }).outOfPocket;
    did(workbench, placePlan(workbench, lots, found, boxed, '2026-11-24', source));
    const credit = boxCredit(found, problem, boxed);
    // Twenty at 2p, at the share of 30 % that they are credited with.
    expect(credit).toBe(12);
    expect(workbench.built.figures({ of: 'build' }).outOfPocket - before).toBe(found.cost + credit);
    expect(workbench.entries.map(entryFault).filter(Boolean)).toEqual([]);
    expect(overdrafts(workbench.built.balances)).toEqual([]);
    expect(needOf(workbench)).toMatchObject({ missing: 0 });
    expect([...workbench.records.order.values()].every((o) => o.simulated)).toBe(true);
    const copy = [...workbench.records.copy.values()].find((c) => c.role === 'donor')!;
    expect(copy.price).toBe(60);
    // It is on its way: nothing can be taken out of it yet.
    expect(donorReport(workbench, new Map())).toEqual([]);
    const sealed = [...workbench.records.order.values()].find((o) => boxOf(workbench, o)?.id === copy.id)!;
    expect(sealed).toMatchObject({ seller: 'Near', due: '2026-11-28', postage: 0 });
    expect(writeCsv(ordersTable(workbench))).toContain(',B1,0.60');
    const { sparesLeft, outOfPocket } = workbench.built.figures({ of: 'build' });
    // One slate of nine is not in it: the plan needs it again, the rest stays together as a donor.
    const came = (l: { element: ElementKey; qty: number }) => (l.element === slate ? l.qty - 1 : l.qty);
    did(workbench, receiveOrder(workbench, sealed, came, source));
    expect(donorReport(workbench, new Map())).toMatchObject([{ copy: { id: copy.id }, opened: 38 }]);
    expect(workbench.built.figures({ of: 'build' })).toMatchObject({ sparesLeft, outOfPocket });
    expect(needOf(workbench).fromDonors).toBeGreaterThan(0);
    expect(workbench.entries.map(entryFault).filter(Boolean)).toEqual([]);
    expect(overdrafts(workbench.built.balances)).toEqual([]);
  });

  it('a box of a seller who is shut out, or not genuine, is not bought', () => {
    const workbench = wall();
    const boxes = [boxFor('Near box', 9, [{ element: tile, qty: 5 }])];
    const offered = (p: Partial<typeof PREFERENCES>, genuine = true) => {
      const sellers = market.sellers.map((s) => ({ ...s, genuine }));
      const at = { sellers, boxes };
      const wish = { ...PREFERENCES, ...p };
      const posed = poseProblem(needOf(workbench).lots, at, wish, workbench.priceOf).donors.length;
      return [posed, boxRefused(boxes[0]!, at, wish)];
    };
    expect(offered({})).toEqual([1, undefined]);
    expect(offered({ never: new Set(['Near']) })).toEqual([0, 'shut out']);
    expect(offered({ never: new Set(['Far']) })).toEqual([1, undefined]);
    expect(offered({ genuine: true }, false)).toEqual([0, 'shut out']);
    expect(offered({ genuine: false }, false)).toEqual([1, undefined]);
    expect(offered({ within: 2 })).toEqual([0, 'late']);
    expect(offered({ boxes: false })).toEqual([0, undefined]);
  });

  it('a box that is not there in time is not bought', () => {
    const workbench = wall();
    const lots = [{ element: tile, qty: 5 }];
    const boxes = [boxFor('Soon', 9, lots), boxFor('Late', 9, lots, { days: 40 })];
    const offered = (within: number | null) =>
      poseProblem(needOf(workbench).lots, { ...market, boxes }, { ...PREFERENCES, within }, workbench.priceOf)
        .donors;
    expect(offered(null).map((d) => d.id)).toEqual(['Soon second-hand', 'Late second-hand']);
    expect(offered(12).map((d) => d.id)).toEqual(['Soon second-hand']);
  });
});

it('orders and the pick list are files', () => {
  const workbench = wall();
  const need = needOf(workbench);
  const found = solveBySteps(poseProblem(need.lots, market, PREFERENCES, workbench.priceOf), 1, 120);
  did(workbench, placePlan(workbench, need.lots, found, market, '2026-11-24', source));
  const rows = writeCsv(ordersTable(workbench)).trim().split('\r\n');
  expect(rows[0]).toBe(ORDERS_COLUMNS.join(','));
  const quantity = rows.slice(1).reduce((s, r) => s + Number(r.split(',')[4]), 0);
  expect(quantity).toBe(found.buys.reduce((s, b) => s + b.qty, 0));
  expect(writeCsv(pickTable(workbench))).toContain('A1,12,brick 1x2,ash,,used');
});

it('an order’s account is where its pieces wait', () => {
  expect(orderAccount('o1' as never)).toBe('order:o1');
  expect(elementKey('brick 1x2' as PartId, 'ash' as ColourId)).toBe(ash);
});

describe('what is ordered of one’s own sources', () => {
  it('is not simulated: a price list that was read, and a box at a price of one’s own', () => {
    const workbench = wall();
    const { lots } = needOf(workbench);
    const own: MarketAnswer = {
      sellers: market.sellers.map((s) => (s.id === 'Near' ? { ...s, own: true } : s)),
      boxes: [boxFor('B1', 60, [{ element: tile, qty: 5 }], { own: true })],
    };
    const plan = solveBySteps(poseProblem(lots, own, PREFERENCES, workbench.priceOf), 1, 120);
    did(workbench, placePlan(workbench, lots, plan, own, '2026-11-24', source));
    const orders = [...workbench.records.order.values()];
    expect(orders.length).toBeGreaterThan(0);
    for (const o of orders) {
      const sealed = workbench.entries.some((e) => e.kind === 'unpack' && e.order === o.id);
      expect([o.seller, o.simulated]).toEqual([o.seller, !sealed && o.seller !== 'Near']);
    }
  });
});
