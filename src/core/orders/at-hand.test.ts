import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Workbench } from '../workbench';
import { entryFault, openPlaceholders, overdrafts, type Intent } from '../ledger';
import { modelAccount, sparesAccount, stockAccount, type AccountKey } from '../places';
import type { Entry } from '../records';
import { solveBySteps } from '../sourcing';
import { asId, type WaitingId } from '../shared/ids';
import { did, makeWorkbench, planned, TEST_BUILD, TEST_TRAY, testSource, zoneId } from '../testing/workbench';
import { marketOf, offerOf, sellerOf } from '../testing/market';
import { el } from '../testing/world';
import { awaited, receiveOrder } from './receive-order';
import { daysBetween, outlookOf, poseProblem, PREFERENCES, nowAvailable } from '../market';
import { needOf, pickList, pickOut, placeholdersOf, swapPlaceholders } from '../need';
import { placePlan } from './place-plan';
import { poolExceptions, fitPool } from '../pool';
import { PALETTE } from '../colour';
import { sayRoughly } from '../stock';

const source = testSource();
const [amber, dune] = [el('brick 1x2', 'amber'), el('brick 1x2', 'dune')];

const logged = (
  workbench: Workbench,
  state: 'planned' | 'done',
  ...intents: Partial<Intent>[]
): Workbench => {
  planned(workbench, source, ...intents);
  if (state === 'done')
    workbench.apply({
      added: [],
      removed: [],
      changed: workbench.entries
        .filter((e) => e.state === 'planned')
        .map((from) => ({ type: 'entry' as const, from, to: { ...from, state: 'done' } as Entry })),
    });
  return workbench;
};

describe('picking', () => {
  const workbench = () =>
    logged(
      makeWorkbench({
        zones: { Wall: ['4 brick 1x2 dune'] },
        stock: ['9 brick 1x2 amber', '3 tile 2x2 bark'],
      }),
      'planned',
      { on: [{ element: amber, qty: 4 }] },
      { on: [{ element: amber, qty: 3 }] },
      { on: [{ element: el('tile 2x2', 'bark'), qty: 2 }] },
    );

  it('takes a line in hand: it is the build’s, and the plans take it from there', () => {
    const b = workbench();
    const line = pickList(b, 'tray').find((l) => l.element === amber)!;
    expect(line).toMatchObject({ place: 'stock', qty: 7 });
    did(b, pickOut(b, line, source));
    expect(b.built.balances.at(sparesAccount(TEST_BUILD), amber)).toBe(7);
    expect(pickList(b, 'tray').find((l) => l.element === amber)).toMatchObject({ place: 'spares', qty: 7 });
    expect(needOf(b)).toMatchObject({ missing: 0, fromSpares: 7, fromStock: 2 });
    expect(b.entries.every((e) => entryFault(e) === undefined)).toBe(true);
  });

  it('in any order changes no need, and leaves nothing below zero', () =>
    fc.assert(
      fc.property(fc.array(fc.nat(5), { maxLength: 4 }), (undoRedo) => {
        const b = workbench();
        const before = needOf(b).missing;
        for (const n of undoRedo) {
          const lines = pickList(b, 'tray');
          did(b, pickOut(b, lines[n % lines.length]!, source));
        }
        expect(needOf(b).missing).toBe(before);
        expect(overdrafts(b.built.balances)).toEqual([]);
      }),
    ));
});

describe('placeholders', () => {
  const workbench = () =>
    logged(
      makeWorkbench({
        zones: { Wall: ['1 tile 2x2 bark'] },
        stock: ['5 brick 1x2 amber', '3 brick 1x2 dune'],
      }),
      'done',
      { kind: 'placeholder', on: [{ element: amber, qty: 5 }], standsFor: dune },
    );

  it('are swapped as far as the right part is at hand, and the rest still stand', () => {
    const b = workbench();
    expect(placeholdersOf(b)).toMatchObject([{ qty: 5, here: 3, coming: 0 }]);
    const pieces = b.built.figures({ of: 'build' }).onModel;
    did(b, swapPlaceholders(b, placeholdersOf(b)[0]!, source));
    expect(placeholdersOf(b)).toMatchObject([{ qty: 2, here: 0 }]);
    expect(openPlaceholders(b.entries)).toMatchObject([{ qty: 2 }]);
    // The right part in a placeholder's place is neither in nor out.
    expect(b.built.figures({ of: 'build' }).onModel).toBe(pieces);
    expect(b.built.balances.at(sparesAccount(TEST_BUILD), amber)).toBe(3);
    expect(b.entries.every((e) => entryFault(e) === undefined)).toBe(true);
  });

  it('are swapped for one’s own and uncounted where that is roughly known, after what is counted', () => {
    const b = workbench();
    did(b, sayRoughly(b.records, 'Bricks', asId('dune'), 'plenty'));
    expect(placeholdersOf(b)).toMatchObject([{ qty: 5, here: 3, roughly: 40 }]);
    did(b, swapPlaceholders(b, placeholdersOf(b)[0]!, source));
    expect(placeholdersOf(b)).toEqual([]);
    const sources = b.entries
      .filter((e) => e.kind === 'replacement')
      .flatMap((e) => e.movements.filter((m) => m.element === dune).map((m) => [m.from, m.qty]));
    expect(sources).toEqual([
      [stockAccount(TEST_TRAY), 3],
      ['own', 2],
    ]);
  });

  it('stay as they are while none is at hand', () => {
    const b = did(
      workbench(),
      swapPlaceholders(workbench(), placeholdersOf(workbench())[0]!, testSource('other')),
    );
    expect(
      swapPlaceholders(b, { element: amber, standsFor: el('brick 1x2', 'kelp'), qty: 1 }, source).diff.added,
    ).toEqual([]);
  });
});

describe('counting a parcel in', () => {
  const ordered = () => {
    const b = logged(
      makeWorkbench({ zones: { Wall: ['4 brick 1x2 dune'] } }),
      'planned',
      { kind: 'recolour', off: [{ element: dune, qty: 4 }], on: [{ element: amber, qty: 4 }] },
      { on: [{ element: amber, qty: 3 }] },
    );
    const market = marketOf(sellerOf('A', [offerOf(amber, 9, 50, { multiple: 10, minQty: 10 })]));
    const { lots } = needOf(b);
    const plan = solveBySteps(
      poseProblem(lots, market, PREFERENCES, () => 5),
      1,
      50,
    );
    did(b, placePlan(b, lots, plan, market, '2026-11-25', source));
    return { b, order: [...b.records.order.values()][0]! };
  };

  it('goes straight onto the model where an entry has all it needs, and the rest to a tray', () => {
    const { b, order } = ordered();
    expect(awaited(b, order)).toMatchObject([{ qty: 10 }]);
    did(
      b,
      receiveOrder(b, order, (l) => l.qty, source, { straightOn: true, rest: TEST_TRAY }),
    );
    expect(b.entries.filter((e) => e.state === 'planned')).toEqual([]);
    expect(b.built.balances.at(stockAccount(TEST_TRAY), amber)).toBe(3);
    expect(b.built.balances.at(modelAccount(zoneId('Wall')), amber)).toBe(7);
    expect(overdrafts(b.built.balances)).toEqual([]);
  });

  it('keeps planned what lacks some, and needs again what did not come', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10 }), fc.boolean(), (came, straightOn) => {
        const { b, order } = ordered();
        did(
          b,
          receiveOrder(b, order, () => came, source, { straightOn, rest: TEST_TRAY }),
        );
        expect(awaited(b, order)).toEqual([]);
        expect(needOf(b).missing).toBe(Math.max(0, 7 - came));
        expect(overdrafts(b.built.balances)).toEqual([]);
        expect(b.entries.every((e) => entryFault(e) === undefined)).toBe(true);
        const at = (a: AccountKey) => b.built.balances.at(a, amber);
        const kept =
          at(sparesAccount(TEST_BUILD)) + at(stockAccount(TEST_TRAY)) + at(modelAccount(zoneId('Wall')));
        expect(kept).toBe(came);
      }),
    ));
});

describe('late orders seen coming', () => {
  const order = { placedAt: '2026-11-01T10:00:00Z', due: '2026-11-08' };
  const post = { days: 7, spread: 2, late: 0.1 };

  it('the chance of keeping its day falls as the day comes nearer, and is none after it', () => {
    const at = (day: string) => outlookOf(order, post, day).byDue;
    expect(at('2026-11-02')).toBeGreaterThan(at('2026-11-06'));
    expect(at('2026-11-09')).toBe(0);
    expect(daysBetween('2026-11-01', '2026-12-01')).toBe(30);
  });

  it('a seller whose parcels are late too often is never sure, and is told early', () => {
    const bad = outlookOf(order, { days: 7, spread: 4, late: 0.4 }, '2026-11-02');
    expect([bad.sureBy, bad.risky]).toEqual([null, true]);
    // A day or two past its own day is all that it takes to be sure of a steady seller.
    const good = outlookOf(order, { days: 5, spread: 1, late: 0.02 }, '2026-11-02');
    expect(good.risky).toBe(false);
    expect(daysBetween(order.due, good.sureBy!)).toBeLessThanOrEqual(2);
  });
});

it('the waiting list tells what the register and the sellers have of it', () => {
  const waiting = (qty: number) => ({ id: asId<WaitingId>(`w${qty}`), element: dune, qty, note: '', at: '' });
  const market = marketOf(sellerOf('A', [offerOf(dune, 12, 5)]), sellerOf('B', [offerOf(dune, 9, 4)]));
  const register = { look: () => ({ made: false as const }) };
  expect(nowAvailable([waiting(20), waiting(9)], register, market, 2026)).toMatchObject([
    { waiting: { qty: 9 }, pieces: 9, price: 9, seller: 'B', isHad: true, made: 'never' },
    { waiting: { qty: 20 }, isHad: false },
  ]);
  expect(nowAvailable([waiting(1)], register, null, 2026)).toMatchObject([{ pieces: 0, price: null }]);
});

describe('a pool', () => {
  it('counts what comes from elsewhere than its boxes as exceptions', () => {
    const b = logged(
      makeWorkbench({ zones: { Wall: ['4 brick 1x2 dune'] }, stock: ['2 brick 1x2 amber'] }),
      'planned',
      { kind: 'remove', off: [{ element: dune, qty: 2 }] },
      { on: [{ element: dune, qty: 2 }], source: 'spares' },
      { on: [{ element: amber, qty: 3 }] },
    );
    expect(poolExceptions(b).reduce((s, e) => s + e.qty, 0)).toBe(3);
  });

  it('explains a near miss: another shape of the same room, a near colour, one more copy and its price', () => {
    const round = el('round brick 1x1', 'kelp');
    const box = {
      code: 'T',
      name: 'Tram',
      copies: 1,
      price: 1400,
      lots: [
        { element: el('brick 1x1', 'kelp'), qty: 2 },
        { element: round, qty: 3 },
        { element: el('brick 1x1', 'fern'), qty: 1 },
      ],
    };
    const [short] = fitPool([box], [{ element: el('brick 1x1', 'kelp'), qty: 3 }], PALETTE).short;
    expect(short).toMatchObject({
      short: 1,
      alike: [{ element: round, left: 3 }],
      near: [{ element: el('brick 1x1', 'fern'), left: 1 }],
      more: [{ copies: 1, cost: 1400 }],
    });
  });
});
