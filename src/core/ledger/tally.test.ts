import { describe, expect, it } from 'vitest';
import { asId, type EntryId, type ModificationId, type WhatIfId } from '../shared/ids';
import { BUILT, CONTEXT, DONOR, el, entry, ORDER, priceOf } from '../testing/world';
import {
  Books,
  costsOf,
  donorAccount,
  ENTRY_KIND_NAMES,
  entryFault,
  goneAccount,
  grade,
  orderAccount,
  OUTSIDE,
  shippedAccount,
  takeTally,
  type Entry,
} from './index';

import { ash, chalk, figures, logged, model, move, porch, spares, tray, unpack } from '../testing/tally';

/** One case for each kind of entry: what it contributes beyond where its pieces go. */
const KINDS: Record<
  string,
  { before?: readonly Entry[]; make: (before: readonly Entry[]) => Entry; expected: object }
> = {
  remove: {
    make: (b) => logged({ kind: 'remove', off: [{ element: chalk, qty: 2 }] }, b),
    expected: { out: 2, net: -2, released: 2, onModel: 18, sparesLeft: 3 },
  },
  add: {
    make: (b) => logged({ kind: 'add', on: [{ element: chalk, qty: 3 }], price: null }, b),
    expected: { in: 3, net: 3, usedAgain: 1, fromOwn: 2, bought: 0, onModel: 23 },
  },
  recolour: {
    make: (b) =>
      logged({ kind: 'recolour', off: [{ element: chalk, qty: 6 }], on: [{ element: ash, qty: 6 }] }, b),
    expected: { out: 0, in: 0, net: 0, recoloured: 6, onModel: 20, released: 6 },
  },
  swap: {
    make: (b) =>
      logged({ kind: 'swap', off: [{ element: chalk, qty: 2 }], on: [{ element: ash, qty: 1 }] }, b),
    // One is there for the same plate in another colour: that is recoloured, and the second is out.
    expected: { out: 1, in: 0, recoloured: 1, net: -1, onModel: 19 },
  },
  renew: {
    make: (b) =>
      logged({ kind: 'renew', off: [{ element: chalk, qty: 4 }], on: [{ element: chalk, qty: 4 }] }, b),
    expected: { out: 0, in: 0, renewed: 4, onModel: 20, fromOwn: 4 },
  },
  move: {
    make: (b) => logged({ kind: 'move', off: [{ element: chalk, qty: 5 }], toZone: porch }, b),
    expected: { out: 0, in: 0, net: 0, moved: 5, onModel: 20 },
  },
  placeholder: {
    make: (b) => logged({ kind: 'placeholder', on: [{ element: ash, qty: 2 }], standsFor: chalk }, b),
    expected: { in: 2, net: 2, placeholders: 2, onModel: 22 },
  },
  replacement: {
    before: [
      unpack,
      entry('s', 'placeholder', [{ ...move(2, ash), from: OUTSIDE, to: model }], {
        standsFor: el('plate 2x3', 'bark'),
      }),
    ],
    make: (b) =>
      logged(
        {
          kind: 'replacement',
          off: [{ element: ash, qty: 2 }],
          on: [{ element: el('plate 2x3', 'bark'), qty: 2 }],
          standsFor: el('plate 2x3', 'bark'),
        },
        b,
      ),
    expected: { in: 2, out: 0, net: 2, replaced: 2, onModel: 22 },
  },
  missing: {
    make: (b) => logged({ kind: 'missing', off: [{ element: chalk, qty: 3 }] }, b),
    expected: { missing: 3, out: 0, net: 0, onModel: 17, released: 0 },
  },
  'replace-missing': {
    before: [unpack, entry('gone', 'missing', [{ ...move(3), from: model, to: goneAccount('missing') }])],
    make: (b) => logged({ kind: 'replace-missing', on: [{ element: chalk, qty: 2 }] }, b),
    expected: { missing: 3, missingReplaced: 2, in: 0, net: 0, onModel: 19 },
  },
  unpack: {
    before: [],
    make: () => unpack,
    expected: { shipped: 20, extras: 1, onModel: 20, sparesLeft: 1 },
  },
  'add-stock': {
    make: () => entry('k', 'add-stock', [{ ...move(50), from: OUTSIDE, to: tray }], { build: null }),
    expected: { outOfPocket: 0, onModel: 20 },
  },
  order: {
    make: () =>
      entry('o', 'order', [{ ...move(10), from: OUTSIDE, to: orderAccount(ORDER) }], { order: ORDER }),
    expected: { outOfPocket: 100 + 345, sharedCost: 345, onModel: 20 },
  },
  transfer: {
    make: () => entry('t', 'transfer', [{ ...move(1), from: spares, to: tray }]),
    expected: { passedOn: 1, sparesLeft: 0, onModel: 20 },
  },
  regrade: {
    make: () => {
      const at = unpack.movements[0]!.to;
      const there = { ...unpack.movements[0]!, qty: 3, worth: null };
      return entry('g', 'regrade', [
        { ...there, from: at, to: OUTSIDE },
        { ...there, grade: grade('yellowed', 'R1'), from: OUTSIDE, to: at },
      ]);
    },
    expected: { onModel: 20, in: 0, out: 0, bought: 0, outOfPocket: 0, worthIn: 0, released: 0 },
  },
  sticker: {
    make: () => {
      const { to, ...there } = unpack.movements[0]!;
      return entry('s', 'sticker', [
        { ...there, qty: 1, from: to, to, worth: 120 },
        { ...there, qty: 1, from: to, to, worth: 0 },
      ]);
    },
    expected: { onModel: 20, in: 0, out: 0, net: 0, moved: 0, bought: 0, outOfPocket: 120, worthIn: 0 },
  },
};

describe('what each kind of entry counts as', () => {
  it.each(Object.entries(KINDS))('%s', (kind, { before = [unpack], make, expected }) => {
    const made = make(before);
    expect(made.kind).toBe(kind);
    expect(entryFault(made)).toBeUndefined();
    expect(figures([...before, made])).toMatchObject(expected);
  });

  it('a regrade that brings back other pieces than it took is no lawful entry', () => {
    const fair = KINDS.regrade!.make([unpack]);
    const torn = fair.movements.map((m, i) => (i === 1 ? { ...m, element: ash } : m));
    expect(entryFault({ ...fair, movements: torn })).toMatchObject({ fault: 'not the same pieces' });
    expect(entryFault({ ...fair, movements: fair.movements.slice(0, 1) })).toMatchObject({ fault: 'uneven' });
  });

  it('has a case for every kind', () =>
    expect(Object.keys(KINDS).sort()).toEqual([...ENTRY_KIND_NAMES].sort()));
});

describe('cost, both options', () => {
  it('counts bought pieces as out of pocket, own parts as worth only', () => {
    const stock = entry('k', 'add-stock', [{ ...move(4, ash), from: OUTSIDE, to: tray }], { build: null });
    const add = logged({ kind: 'add', on: [{ element: ash, qty: 6 }] }, [unpack, stock]);
    const buy = logged({ kind: 'add', on: [{ element: ash, qty: 3 }], price: 11 }, [unpack, stock, add], 'y');
    const f = figures([unpack, stock, add, buy]);
    const usedAsh = priceOf(ash, grade('used'))!;
    expect(costsOf(f)).toMatchObject({ outOfPocket: 33, worth: 33 + 6 * usedAsh });
    expect(f).toMatchObject({ fromStock: 4, fromOwn: 2, bought: 3 });
  });

  it('uses the price that was said, and says how many pieces have none', () => {
    const odd = el('tile 2x2', 'gorse');
    expect(
      figures([unpack, logged({ kind: 'add', on: [{ element: odd, qty: 3 }] }, [unpack])]),
    ).toMatchObject({ unpriced: 3, boughtUnpriced: 0 });
    expect(
      figures([unpack, logged({ kind: 'add', on: [{ element: odd, qty: 3 }], price: 12 }, [unpack])]),
    ).toMatchObject({ outOfPocket: 36, unpriced: 0 });
  });

  it('shares postage among modifications by largest remainder', () => {
    const orders = ['m1', 'm2', 'm3'].map((m) =>
      entry(`o-${m}`, 'order', [{ ...move(1), from: OUTSIDE, to: orderAccount(ORDER) }], {
        order: ORDER,
        modification: asId<ModificationId>(m),
      }),
    );
    const books = new Books(CONTEXT, [unpack, ...orders], BUILT);
    const costs = ['m1', 'm2', 'm3'].map(
      (m) => books.figures({ of: 'modification', modification: asId<ModificationId>(m) }).outOfPocket,
    );
    expect(costs).toEqual([125, 125, 125]);
    expect(books.figures({ of: 'build' }).outOfPocket).toBe(375);
  });

  it('shares a donor box by what was taken, and keeps the rest with the box', () => {
    const box = entry('d', 'unpack', [{ ...move(3), from: shippedAccount(DONOR), to: donorAccount(DONOR) }]);
    const take = entry('a', 'add', [{ ...move(1), from: donorAccount(DONOR), to: model }], {
      modification: asId<ModificationId>('m1'),
    });
    const books = new Books(CONTEXT, [unpack, box, take], BUILT);
    expect(books.figures({ of: 'modification', modification: asId<ModificationId>('m1') }).outOfPocket).toBe(
      666,
    );
    expect(books.figures({ of: 'modification', modification: null }).outOfPocket).toBe(1333);
    expect(books.figures({ of: 'build' }).outOfPocket).toBe(1999);
  });

  it('values the spares at the price book', () => {
    const off = logged({ kind: 'remove', off: [{ element: chalk, qty: 4 }] }, [unpack]);
    const tally = takeTally(new Books(CONTEXT, [unpack, off], BUILT), { of: 'build' }, priceOf);
    expect(tally.sparesWorth).toBe(5 * priceOf(chalk, grade('used'))!);
  });
});

describe('views', () => {
  const planned = {
    ...logged({ kind: 'remove', off: [{ element: chalk, qty: 5 }], planned: true }, [unpack], 'p'),
    no: 2,
  };
  const done = { ...logged({ kind: 'remove', off: [{ element: chalk, qty: 1 }] }, [unpack], 'q'), no: 3 };
  const idea = { ...planned, id: asId<EntryId>('w'), whatIf: asId<WhatIfId>('w1'), no: 4 };
  const all = [unpack, planned, done, idea];
  it.each([
    ['as built', { kind: 'built' }, 19],
    ['as planned, what-ifs apart', { kind: 'planned' }, 14],
    ['as planned with a what-if', { kind: 'planned', whatIf: 'w1' }, 9],
    ['as of entry 2', { kind: 'asOf', no: 2 }, 20],
    ['as of entry 3', { kind: 'asOf', no: 3 }, 19],
  ] as const)('%s', (_, view, onModel) => expect(figures(all, view as never).onModel).toBe(onModel));
});
