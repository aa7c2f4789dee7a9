import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asId, type OrderId } from '../shared/ids';
import { COPIES, COPY, DONOR, el, ELEMENTS, entry, ORDER, ORDERS, ZONES } from '../testing/world';
import {
  donorAccount,
  goneAccount,
  grade,
  modelAccount,
  orderAccount,
  OUTSIDE,
  sharedCosts,
  sharedUnknowns,
  shippedAccount,
  type AccountKey,
  type Entry,
  type Order,
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

  describe('of an order', () => {
    const second = asId<OrderId>('o2');
    const orders = (more: Partial<Order>) => new Map([[ORDER, { ...ORDERS.get(ORDER)!, ...more }]]);
    const shares = (entries: readonly Entry[], of = ORDERS) =>
      Object.fromEntries(sharedCosts(entries, COPIES, of));

    it('are postage and fees, less what was given back', () => {
      const of = orders({ postage: 300, fees: 50, refund: 20 });
      expect(shares([order('a', 1, 30), order('b', 1, 60)], of)).toEqual({ a: 110, b: 220 });
    });

    it('are taken off where more was given back than was paid around the parts', () => {
      const of = orders({ postage: 100, fees: 0, refund: 400 });
      expect(shares([order('a', 1, 30), order('b', 1, 60)], of)).toEqual({ a: -100, b: -200 });
    });

    it('give the odd penny to the same entry, whichever was logged first', () => {
      const [a, b] = [order('a', 1, 30), order('b', 1, 30)];
      expect(shares([a, b])).toEqual({ a: 173, b: 172 });
      expect(shares([b, a])).toEqual({ a: 173, b: 172 });
    });

    it('go to its own entries only, and not to what came out of its parcel', () => {
      const of = new Map([...ORDERS, [second, { ...ORDERS.get(ORDER)!, id: second, postage: 90 }]]);
      const other: Entry = { ...order('other', 1, 500), order: second };
      const received = entry(
        'received',
        'transfer',
        [{ element: ELEMENTS[0]!, grade: used, qty: 1, worth: 30, from: orderAccount(ORDER), to: model }],
        { order: ORDER },
      );
      expect(shares([order('a', 1, 30), other, received], of)).toEqual({ a: 345, other: 90 });
    });
  });

  describe('of a box', () => {
    const shares = (...entries: Entry[]) => Object.fromEntries(sharedCosts(entries, COPIES, ORDERS));
    const lose = (from: AccountKey, to: AccountKey, id = 'lost'): Entry =>
      entry(id, 'transfer', [{ element: ELEMENTS[0]!, grade: used, qty: 1, worth: 10, from, to }]);

    it('go by worth as soon as any of it has one, and not by pieces', () => {
      expect(shares(box(4, 10), take('t', 1, 30))).toEqual({ t: 1499, box: 500 });
    });

    it('go to what was lost out of it once opened, but not to what never came', () => {
      const opened = lose(donorAccount(DONOR), goneAccount('missing'));
      expect(shares(box(4, 10), opened)).toEqual({ lost: 500, box: 1499 });
      const sealed = entry('box', 'unpack', [
        {
          element: ELEMENTS[0]!,
          grade: used,
          qty: 4,
          worth: 10,
          from: shippedAccount(DONOR),
          to: orderAccount(ORDER),
        },
      ]);
      expect(shares(sealed, lose(orderAccount(ORDER), goneAccount('missing')))).toEqual({ box: 1999 });
      expect(shares(sealed, lose(orderAccount(ORDER), model))).toEqual({ lost: 500, box: 1499 });
    });

    it('stay with the entry that brought it, whatever else that entry did', () => {
      const both: Entry = {
        ...box(4, 10),
        movements: [
          { element: ELEMENTS[1]!, grade: used, qty: 1, worth: 5, from: shippedAccount(COPY), to: model },
          ...box(4, 10).movements,
        ],
      };
      expect(shares(both)).toEqual({ box: 1999 });
    });

    it('are none of a box that the build began from, opened or not', () => {
      const base = { ...COPIES.get(DONOR)!, role: 'base' as const };
      const copies = new Map([...COPIES, [DONOR, base]]);
      expect(sharedCosts([box(4, 10), take('t', 1, 10)], copies, ORDERS).size).toBe(0);
    });
  });
});

describe('pieces out of boxes whose price nobody knows', () => {
  const priced = (price: number | null) =>
    new Map([...COPIES].map(([id, c]) => [id, id === DONOR ? { ...c, price } : c]));

  it('are all of its pieces, with the entries that took them and with what is still in it', () => {
    const part = fc.tuple(fc.integer({ min: 1, max: 40 }), fc.option(fc.integer({ min: 0, max: 300 })));
    fc.assert(
      fc.property(fc.array(part, { maxLength: 9 }), fc.nat(5), (takes, left) => {
        const whole = takes.reduce((s, [qty]) => s + qty, left);
        if (whole === 0) return;
        const entries = [box(whole, 10), ...takes.map(([q, w], i) => take(`t${i}`, q, w))];
        const pieces = Object.fromEntries(sharedUnknowns(entries, priced(null)));
        const taken = takes.map(([q], i) => [`t${i}`, q] as const);
        expect(pieces).toEqual(Object.fromEntries([...taken, ...(left > 0 ? [['box', left]] : [])]));
      }),
    );
  });

  it('are none where it was a gift, where its price is known, and of the boxes that a build began from', () => {
    const entries = [box(4, 10), take('t', 1, 10)];
    expect(sharedUnknowns(entries, priced(0)).size).toBe(0);
    expect(sharedUnknowns(entries, priced(1999)).size).toBe(0);
    const base = new Map([...priced(null)].map(([id, c]) => [id, { ...c, role: 'base' as const }]));
    expect(sharedUnknowns(entries, base).size).toBe(0);
  });
});
