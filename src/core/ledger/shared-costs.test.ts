import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COPIES, COPY, DONOR, el, ELEMENTS, entry, ORDER, ORDERS, ZONES } from '../testing/world';
import {
  donorAccount,
  goneAccount,
  grade,
  modelAccount,
  orderAccount,
  OUTSIDE,
  sharedCosts,
  shippedAccount,
  type AccountKey,
  type Entry,
} from './index';

const used = grade('used');
const model = modelAccount(ZONES[0]!.id);
const order = (id: string, qty: number, worth: number | null): Entry =>
  entry(
    id,
    'order',
    [{ element: ELEMENTS[0]!, grade: used, qty, worth, from: OUTSIDE, to: orderAccount(ORDER) }],
    { order: ORDER },
  );
const take = (id: string, qty: number, worth: number | null): Entry =>
  entry(id, 'add', [
    { element: ELEMENTS[0]!, grade: used, qty, worth, from: donorAccount(DONOR), to: model },
  ]);
const box = (qty: number, worth: number | null): Entry =>
  entry('box', 'unpack', [
    { element: ELEMENTS[0]!, grade: used, qty, worth, from: shippedAccount(DONOR), to: donorAccount(DONOR) },
  ]);

const sum = (shares: ReadonlyMap<string, number>) => [...shares.values()].reduce((a, b) => a + b, 0);

describe('shared costs', () => {
  it('add up to the postage and to the price of the box, whatever was ordered and taken, in any order', () => {
    const part = fc.tuple(fc.integer({ min: 1, max: 40 }), fc.option(fc.integer({ min: 0, max: 300 })));
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 1, maxLength: 9 }),
        fc.array(part, { maxLength: 9 }),
        (orders, takes) => {
          const whole = takes.reduce((s, [qty]) => s + qty, 5);
          const entries = [
            ...orders.map(([q, w], i) => order(`o${i}`, q, w)),
            box(whole, 10),
            ...takes.map(([q, w], i) => take(`t${i}`, q, w)),
          ];
          const shares = sharedCosts(entries, COPIES, ORDERS);
          expect(sum(shares)).toBe(345 + 1999);
          expect(sharedCosts(entries.toReversed(), COPIES, ORDERS)).toEqual(shares);
          const ofOrder = [...shares].filter(([id]) => id.startsWith('o')).map(([, n]) => n);
          expect(ofOrder.reduce((a, b) => a + b, 0)).toBe(345);
        },
      ),
    );
  });

  it('go by money where there is a price, by pieces where there is none', () => {
    expect([...sharedCosts([order('a', 1, 30), order('b', 1, 60)], COPIES, ORDERS).values()]).toEqual([
      115, 230,
    ]);
    expect([...sharedCosts([box(4, null), take('t', 1, null)], COPIES, ORDERS)]).toEqual([
      ['t', 500],
      ['box', 1499],
    ]);
  });

  it('a box that is all taken leaves nothing with itself', () => {
    expect(
      sharedCosts([box(3, 10), take('a', 1, 10), take('b', 2, 10)], COPIES, ORDERS).get('box' as never),
    ).toBe(0);
  });

  it('a box on its way holds its price, and gives it to what plans take of it, sealed or opened', () => {
    const [element, sealed, opened] = [ELEMENTS[0]!, orderAccount(ORDER), donorAccount(DONOR)];
    const moved = (
      id: string,
      kind: 'unpack' | 'transfer' | 'add',
      qty: number,
      from: AccountKey,
      to: AccountKey,
    ) => entry(id, kind, [{ element, grade: used, qty, worth: kind === 'transfer' ? null : 10, from, to }]);
    const bought = moved('box', 'unpack', 8, shippedAccount(DONOR), sealed);
    const shares = (...entries: Entry[]) =>
      Object.fromEntries(sharedCosts([bought, ...entries], COPIES, ORDERS));
    expect(shares()).toEqual({ box: 1999 });
    const planned = shares(moved('take', 'add', 4, sealed, model));
    expect(planned).toEqual({ take: 1000, box: 999 });
    const came = moved('came', 'transfer', 7, sealed, opened);
    const lost = moved('lost', 'transfer', 1, sealed, goneAccount('missing'));
    expect(shares(came, lost, moved('take', 'add', 4, opened, model))).toEqual(planned);
  });

  it('are none for the base boxes, nor for an order or box without entries', () => {
    const base = entry('u', 'unpack', [
      {
        element: el('plate 2x3', 'chalk'),
        grade: used,
        qty: 3,
        worth: 5,
        from: shippedAccount(COPY),
        to: model,
      },
    ]);
    expect(sharedCosts([base], COPIES, ORDERS).size).toBe(0);
  });
});
