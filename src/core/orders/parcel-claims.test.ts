import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { entryFault, orderAccount, OUTSIDE, overdrafts, placeOf, type Order } from '../ledger';
import { needOf } from '../need';
import { did, doneAndBack, makeWorkbench, planned, testSource } from '../testing/workbench';
import { el } from '../testing/world';
import { placeOrder, toBuy, type Workbench } from '../workbench';
import {
  answerClaim,
  askClaim,
  awaited,
  cancelling,
  cancelOrder,
  chaseOrder,
  claimsOfBuild,
  closeClaim,
  receiveOrder,
  refundClaim,
  refundOrder,
  sendAgain,
  waitUntil,
  type Remainder,
} from './index';

const ash = el('brick 1x2', 'ash');
const bark = el('tile 2x2', 'bark');

/** Ten of ash and four of bark on order from a seller of one's own, with postage and fees. */
function ordered(): { bench: Workbench; order: Order } {
  const bench = makeWorkbench({
    zones: { Wall: ['1 arch 1x4 ash'] },
    prices: ['brick 1x2 ash 10', 'tile 2x2 bark 25'],
  });
  planned(
    bench,
    testSource('p'),
    { on: [{ element: ash, qty: 6 }] },
    { on: [{ element: ash, qty: 4 }] },
    { on: [{ element: bark, qty: 4 }] },
  );
  const parcel = { seller: 'Aunt Hester', postage: 200, fees: 50, due: '2026-11-30' };
  did(bench, placeOrder(bench, toBuy(bench.entries), parcel, testSource('o')));
  return { bench, order: [...bench.records.order.values()][0]! };
}
const now = (bench: Workbench): Order => [...bench.records.order.values()][0]!;
const spent = (bench: Workbench): number => bench.built.figures({ of: 'build' }).outOfPocket;
const receive = (bench: Workbench, came: number, fate: Remainder, prefix = 'r') =>
  receiveOrder(
    bench,
    now(bench),
    (l) => (l.element === ash ? came : l.qty),
    testSource(prefix),
    { straightOn: false, rest: null },
    () => fate,
  );

describe('an order as it was placed', () => {
  it('costs its parts, postage and fees, less what was given back', () => {
    const { bench, order } = ordered();
    expect(spent(bench)).toBe(10 * 10 + 4 * 25 + 200 + 50);
    doneAndBack(bench, refundOrder(order, 120));
    expect(spent(bench)).toBe(330);
    // More than what was paid around the parts may come back.
    doneAndBack(bench, refundOrder(now(bench), 300));
    expect(spent(bench)).toBe(30);
    expect(now(bench).simulated).toBe(false);
  });
});

describe('received in part', () => {
  it('keeps what is still to come at the order, and the plans wait for it', () => {
    const { bench } = ordered();
    doneAndBack(bench, receive(bench, 7, 'to come'));
    expect(awaited(bench, now(bench))).toMatchObject([{ element: ash, qty: 3 }]);
    expect(needOf(bench)).toMatchObject({ missing: 0, ordered: 3, fromSpares: 11 });
    expect(claimsOfBuild(bench)).toEqual([]);
    did(bench, receive(bench, 3, 'to come', 's'));
    expect(awaited(bench, now(bench))).toEqual([]);
    expect(needOf(bench)).toMatchObject({ missing: 0, ordered: 0, fromSpares: 14 });
  });

  it('loses no piece, whatever came and whatever becomes of the rest', () => {
    const fates = fc.constantFrom<Remainder>('to come', 'short', 'wrong', 'damaged');
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10 }), fates, fc.boolean(), (came, fate, straightOn) => {
        const { bench } = ordered();
        did(
          bench,
          receiveOrder(
            bench,
            now(bench),
            (l) => Math.min(l.qty, came),
            testSource('r'),
            { straightOn, rest: null },
            () => fate,
          ),
        );
        const lacking = 10 - came + Math.max(0, 4 - came);
        const { missing, ordered: waiting } = needOf(bench);
        expect([missing, waiting]).toEqual(fate === 'to come' ? [0, lacking] : [lacking, 0]);
        expect(claimsOfBuild(bench).reduce((s, c) => s + c.qty, 0)).toBe(fate === 'to come' ? 0 : lacking);
        expect(bench.entries.map(entryFault).filter(Boolean)).toEqual([]);
        expect(overdrafts(bench.built.balances)).toEqual([]);
        for (const e of bench.entries.filter((x) => x.state === 'planned'))
          expect(e.order !== null).toBe(e.movements.some((m) => placeOf(m.from) === 'order'));
      }),
      { numRuns: 60 },
    );
  });
});

describe('a claim', () => {
  const claimed = () => {
    const { bench } = ordered();
    did(bench, receive(bench, 8, 'wrong'));
    return { bench, claim: claimsOfBuild(bench)[0]! };
  };

  it('stays with what was asked and answered', () => {
    const { bench, claim } = claimed();
    expect(claim).toMatchObject({ element: ash, qty: 2, kind: 'wrong', askedAt: null, end: null });
    doneAndBack(bench, askClaim(claim, '2026-12-01'));
    doneAndBack(bench, answerClaim(claimsOfBuild(bench)[0]!, 'they will look'));
    doneAndBack(bench, closeClaim(claimsOfBuild(bench)[0]!));
    expect(claimsOfBuild(bench)).toMatchObject([
      { askedAt: '2026-12-01', answer: 'they will look', end: 'closed', refund: 0 },
    ]);
  });

  it('that is refunded makes the order cost less by that', () => {
    const { bench, claim } = claimed();
    const before = spent(bench);
    doneAndBack(bench, refundClaim(bench, claim, 20));
    expect(spent(bench)).toBe(before - 20);
    expect(claimsOfBuild(bench)[0]).toMatchObject({ end: 'refunded', refund: 20 });
  });

  it('that is sent again is awaited once more at no more cost, and the plans wait for it', () => {
    const { bench, claim } = claimed();
    const before = spent(bench);
    expect(needOf(bench)).toMatchObject({ missing: 2, ordered: 0 });
    doneAndBack(bench, sendAgain(bench, claim, testSource('a')));
    expect(needOf(bench)).toMatchObject({ missing: 0, ordered: 2 });
    expect(spent(bench)).toBe(before);
    did(bench, receive(bench, 2, 'short', 'b'));
    expect(needOf(bench)).toMatchObject({ missing: 0, fromSpares: 14 });
    expect(claimsOfBuild(bench)[0]!.end).toBe('sent again');
  });
});

describe('a late order', () => {
  it('is waited for until another day, and chased', () => {
    const { bench, order } = ordered();
    doneAndBack(bench, waitUntil(order, '2026-12-10'));
    doneAndBack(bench, chaseOrder(now(bench), '2026-12-02'));
    expect(now(bench)).toMatchObject({ due: '2026-12-10', chasedAt: '2026-12-02' });
  });

  it('tells what buying elsewhere costs, and what should come back', () => {
    const { bench, order } = ordered();
    expect(cancelling(bench, order)).toEqual({
      pieces: 14,
      paid: 100 + 100 + 250,
      paidUnpriced: 0,
      elsewhere: 200,
      elsewhereUnpriced: 0,
    });
    // Once something has come, the postage was for that.
    did(bench, receive(bench, 4, 'to come'));
    expect(cancelling(bench, now(bench))).toMatchObject({ pieces: 6, paid: 60, elsewhere: 60 });
  });

  it('is cancelled: the plans are to buy its pieces again, and what came back is not spent', () => {
    const { bench, order } = ordered();
    doneAndBack(bench, cancelOrder(bench, order, 450, testSource('c')));
    expect(spent(bench)).toBe(0);
    expect(awaited(bench, now(bench))).toEqual([]);
    expect(needOf(bench)).toMatchObject({ missing: 14, ordered: 0 });
    const wants = bench.entries.filter((e) => e.state === 'planned').flatMap((e) => e.movements);
    expect(new Set(wants.map((m) => m.from))).toEqual(new Set([OUTSIDE]));
    expect(bench.built.balances.total(orderAccount(order.id))).toBe(0);
    expect(overdrafts(bench.built.balances)).toEqual([]);
  });
});
