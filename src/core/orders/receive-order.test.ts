import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { entryFault, overdrafts } from '../ledger';
import { poseProblem, PREFERENCES } from '../market';
import { needOf } from '../need';
import { modelAccount, sparesAccount, stockAccount, type AccountKey } from '../places';
import { solveBySteps } from '../sourcing';
import { marketOf, offerOf, sellerOf } from '../testing/market';
import { did, makeWorkbench, planned, TEST_BUILD, TEST_TRAY, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { placePlan } from './place-plan';
import { awaited, receiveOrder } from './receive-order';

const source = testSource();
const [amber, dune] = [el('brick 1x2', 'amber'), el('brick 1x2', 'dune')];

describe('counting a parcel in', () => {
  const ordered = () => {
    const b = planned(
      makeWorkbench({ zones: { Wall: ['4 brick 1x2 dune'] } }),
      source,
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
