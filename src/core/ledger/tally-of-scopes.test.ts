import { describe, expect, it } from 'vitest';
import type { Minor } from '../shared/money';
import { ash, chalk, m1, model, move, shipped, spares, tray, unpack } from '../testing/tally';
import { BUILT, CONTEXT, COPIES, COPY, DONOR, entry, PLANNED } from '../testing/world';
import {
  allIn,
  Books,
  donorAccount,
  entriesBehind,
  grade,
  needList,
  OUTSIDE,
  shippedAccount,
  takeTally,
  worthOf,
  type Copy,
  type Entry,
  type PriceOf,
} from './index';
import { asId, type CopyId } from '../shared/ids';

const books = (entries: readonly Entry[], view = BUILT, context = CONTEXT) =>
  new Books(context, entries, view);
const chalkOnly: PriceOf = (element) => (element === chalk ? 7 : null);
const box = donorAccount(DONOR);
/** A box of eight that is broken up: five of one kind, three of another that nobody has a price for. */
const opened = entry('d', 'unpack', [
  { ...move(5), from: shippedAccount(DONOR), to: box },
  { ...move(3, ash), from: shippedAccount(DONOR), to: box },
]);

describe('the tally of a build', () => {
  it('has what its spares are worth, and how many have no price', () => {
    const more = entry('s', 'unpack', [{ ...move(4, ash), from: shipped, to: spares }]);
    const tally = takeTally(books([unpack, more]), { of: 'build' }, chalkOnly);
    expect(tally).toMatchObject({ sparesWorth: 7, sparesUnpriced: 4 });
  });

  it('has what lies in its own boxes, less what was taken out', () => {
    const taken = entry('t', 'add', [{ ...move(2), from: box, to: model }]);
    const none = entry('n', 'add', [{ ...move(3, ash), from: box, to: model }]);
    const inBoxes = (log: readonly Entry[]) => takeTally(books(log), { of: 'build' }, chalkOnly).inBoxes;
    expect(inBoxes([opened])).toEqual({ pieces: 8, worth: 35, unpriced: 3 });
    expect(inBoxes([opened, taken])).toEqual({ pieces: 6, worth: 21, unpriced: 3 });
    expect(inBoxes([opened, taken, none])).toEqual({ pieces: 3, worth: 21, unpriced: 0 });
  });

  it('counts no box of another build, and nothing that is lacking in one', () => {
    const away: Copy = { ...COPIES.get(DONOR)!, build: asId('another build') };
    const context = { ...CONTEXT, copies: new Map([...COPIES, [DONOR, away]]) };
    const nothing = { pieces: 0, worth: 0, unpriced: 0 };
    expect(takeTally(books([opened], BUILT, context), { of: 'build' }, chalkOnly).inBoxes).toEqual(nothing);
    const over = entry('o', 'add', [{ ...move(2), from: box, to: model }]);
    expect(takeTally(books([over]), { of: 'build' }, chalkOnly).inBoxes).toEqual(nothing);
  });

  it('has neither spares nor boxes for a part of the build', () => {
    const tally = takeTally(books([unpack, opened]), { of: 'modification', modification: null }, chalkOnly);
    expect(tally).toMatchObject({
      sparesWorth: 0,
      sparesUnpriced: 0,
      inBoxes: { pieces: 0, worth: 0, unpriced: 0 },
    });
    expect(tally.figures.shipped).toBe(
      takeTally(books([unpack, opened]), { of: 'build' }, chalkOnly).figures.shipped,
    );
  });
});

describe('what some lots come to', () => {
  it('is the sum of those with a price, and the pieces of the others', () => {
    const lots = [
      { qty: 3, worth: 12 },
      { qty: 2, worth: null },
      { qty: 4, worth: 0 },
      { qty: 6, worth: null },
    ];
    expect(worthOf(lots, (l): Minor | null => l.worth)).toEqual({ worth: 36, unpriced: 8 });
  });
});

describe('what a build cost all in', () => {
  it('is out of pocket and the boxes that it began from, of its own', () => {
    const second = asId<CopyId>('c3');
    const copies = new Map<string, Copy>([
      ...COPIES,
      [second, { ...COPIES.get(COPY)!, id: second, price: null }],
      ['c4', { ...COPIES.get(COPY)!, id: asId<CopyId>('c4'), build: asId('another build'), price: 900 }],
    ]);
    const now = books([opened], BUILT, { ...CONTEXT, copies });
    expect(allIn(now)).toEqual({ cost: 1999 + 4500, boxes: 4500, unpriced: 0, unpricedBoxes: 1 });
  });

  it('says how many pieces were bought without a price', () => {
    const bought = entry('b', 'add', [{ ...move(3, ash, grade('new'), null), from: OUTSIDE, to: model }]);
    expect(allIn(books([bought]))).toMatchObject({ cost: 4500, unpriced: 3 });
  });
});

describe('the entries behind a figure', () => {
  it('are those that it is made from and no others, and add up to it', () => {
    const log = [
      unpack,
      entry('a', 'add', [{ ...move(3), from: tray, to: model }], { modification: m1.id }),
      entry('r', 'remove', [{ ...move(2), from: model, to: spares }], { modification: m1.id }),
    ];
    const now = books(log);
    const behind = entriesBehind(now, { of: 'build' }, 'net');
    expect(behind.map((b) => [b.entry.id, b.amount])).toEqual([
      ['a', 3],
      ['r', -2],
    ]);
    expect(entriesBehind(now, { of: 'build' }, 'in').map((b) => b.entry.id)).toEqual(['a']);
    expect(behind.reduce((s, b) => s + b.amount, 0)).toBe(now.figures({ of: 'build' }).net);
  });
});

describe('what plans call for and is not at hand', () => {
  const planned = (id: string, from: typeof tray, qty: number, to = model) =>
    entry(id, 'add', [{ ...move(qty), from, to }], { state: 'planned' });
  const need = (log: readonly Entry[]) => needList(books(log, PLANNED)).map((n) => [n.from, n.qty]);

  it('is what a place would lack', () => {
    const stocked = entry('s', 'add-stock', [{ ...move(4), from: OUTSIDE, to: tray }]);
    expect(need([stocked, planned('a', tray, 3)])).toEqual([]);
    expect(need([stocked, planned('a', tray, 3), planned('b', tray, 6)])).toEqual([[tray, 5]]);
  });

  it('is what is planned to be bought, all plans together', () => {
    expect(need([planned('a', OUTSIDE, 3), planned('b', OUTSIDE, 4)])).toEqual([[OUTSIDE, 7]]);
  });

  it('is nothing that was bought already, nor what is bought for a tray', () => {
    const done = entry('a', 'add', [{ ...move(3), from: OUTSIDE, to: model }]);
    expect(need([done])).toEqual([]);
    expect(need([planned('b', OUTSIDE, 3, tray)])).toEqual([]);
  });

  it('keeps conditions apart', () => {
    const worn = entry('w', 'add', [{ ...move(2, chalk, grade('faded')), from: OUTSIDE, to: model }], {
      state: 'planned',
    });
    expect(needList(books([planned('a', OUTSIDE, 3), worn], PLANNED)).map((n) => [n.grade, n.qty])).toEqual([
      [grade('used'), 3],
      [grade('faded'), 2],
    ]);
  });
});
