import { describe, expect, it } from 'vitest';
import { asId, type PhaseId } from '../shared/ids';
import { ash, chalk, m1, model, move, porch, root, spares, tray, unpack } from '../testing/tally';
import { BUILT, CONTEXT, DONOR, entry, MODIFICATIONS, ORDER, PLANNED, ZONES } from '../testing/world';
import { Books, donorAccount, modelAccount, orderAccount, OUTSIDE, type Entry, type Scope } from './index';

const PHASE = asId<PhaseId>('p1');
/** Adds some pieces for a modification; null = for none. */
const add = (id: string, qty: number, modification: number | null, to = model): Entry =>
  entry(id, 'add', [{ ...move(qty), from: tray, to }], {
    modification: modification === null ? null : MODIFICATIONS[modification - 1]!.id,
  });
const [one, two, three, none] = [add('e1', 1, 1), add('e2', 2, 2), add('e3', 4, 3), add('e0', 8, null)];
const LOG = [one, two, three, none];
const books = (entries: readonly Entry[] = LOG, view = BUILT) => new Books(CONTEXT, entries, view);
const idsOf = (entries: Iterable<Entry>) => [...entries].map((e) => e.id);

const SCOPES: readonly (readonly [name: string, scope: Scope, ids: readonly string[], pieces: number])[] = [
  ['the build', { of: 'build' }, ['e1', 'e2', 'e3', 'e0'], 15],
  ['a modification', { of: 'modification', modification: m1.id }, ['e1'], 1],
  ['no modification', { of: 'modification', modification: null }, ['e0'], 8],
  ['a phase', { of: 'phase', phase: PHASE }, ['e3'], 4],
  ['no phase', { of: 'phase', phase: null }, ['e1', 'e2', 'e0'], 11],
];

describe('a scope of the books', () => {
  it.each(SCOPES)('has the entries and the figures of %s', (_, scope, ids, pieces) => {
    expect(idsOf(books().entriesOf(scope))).toEqual(ids);
    expect(books().figures(scope).in).toBe(pieces);
  });

  it('of a modification that has no entries is empty', () => {
    expect(books().entriesOf({ of: 'modification', modification: MODIFICATIONS[3]!.id })).toEqual([]);
  });

  it('knows of an entry that is counted, or no longer, after it was asked', () => {
    const now = books();
    const scope: Scope = { of: 'modification', modification: m1.id };
    expect(idsOf(now.entriesOf(scope))).toEqual(['e1']);
    const more = add('e9', 3, 1);
    now.post(more);
    expect(idsOf(now.entriesOf(scope))).toEqual(['e1', 'e9']);
    now.unpost(one);
    expect(idsOf(now.entriesOf(scope))).toEqual(['e9']);
  });

  it('of a zone has what touches it or a zone within it, at any depth', () => {
    const [, , lamp, gallery] = ZONES.map((z) => z.id);
    const inGallery = add('g', 5, 1, modelAccount(gallery!));
    const toPorch = entry('p', 'move', [{ ...move(1), from: model, to: modelAccount(porch) }]);
    const log = [inGallery, toPorch, entry('said', 'remove', [], { zone: lamp! })];
    const now = books(log);
    expect(idsOf(now.entriesOf({ of: 'zone', zone: gallery! }))).toEqual(['g']);
    expect(idsOf(now.entriesOf({ of: 'zone', zone: lamp! }))).toEqual(['g', 'said']);
    expect(idsOf(now.entriesOf({ of: 'zone', zone: root }))).toEqual(['g', 'p', 'said']);
    expect(idsOf(now.entriesOf({ of: 'zone', zone: porch }))).toEqual(['p']);
    expect([...now.nested(lamp!)]).toEqual([lamp, gallery]);
  });
});

describe('trying entries', () => {
  it('shows the books with some and without others, and puts everything back', () => {
    const now = books();
    const seen = now.trying([add('new', 100, 2)], [one, two], () => now.figures({ of: 'build' }).in);
    expect(seen).toBe(112);
    expect(now.figures({ of: 'build' }).in).toBe(15);
    expect(now.has(one.id)).toBe(true);
  });

  it('leaves out only what was counted: nothing comes in by it', () => {
    const now = books();
    const stranger = add('stranger', 50, 1);
    const seen = now.trying([], [stranger, one], () => now.balances.at(model, chalk));
    expect(seen).toBe(14);
    expect(now.balances.at(model, chalk)).toBe(15);
    expect(now.has(stranger.id)).toBe(false);
  });

  it('puts everything back when looking fails', () => {
    const now = books();
    const look = () =>
      now.trying([], [one], () => {
        throw new Error('no');
      });
    expect(look).toThrow('no');
    expect(now.figures({ of: 'build' }).in).toBe(15);
  });
});

describe('books in another view', () => {
  const plan = entry('plan', 'add', [{ ...move(6), from: tray, to: model }], { state: 'planned' });

  it('begin from what both have in common, and change nothing in the first', () => {
    const built = books([...LOG, plan]);
    const planned = new Books(CONTEXT, [...LOG, plan], PLANNED, built);
    expect(planned.balances.at(model, chalk)).toBe(21);
    expect(planned.figures({ of: 'build' })).toEqual(books([...LOG, plan], PLANNED).figures({ of: 'build' }));
    expect(built.balances.at(model, chalk)).toBe(15);
    planned.unpost(one);
    expect(built.figures({ of: 'build' }).in).toBe(15);
    expect(planned.figures({ of: 'build' }).in).toBe(20);
  });
});

describe('what others leave', () => {
  const row = (qty: number) => ({ account: tray, element: ash, grade: move(1).grade, qty });

  it('is counted in place of what they left before', () => {
    const [same, before, after] = [row(5), row(7), row(2)];
    const now = new Books({ ...CONTEXT, surroundings: [same, before] }, [], BUILT);
    expect(now.balances.at(tray, ash)).toBe(12);
    now.surround([same, after]);
    expect(now.balances.at(tray, ash)).toBe(7);
    now.surround([same]);
    expect(now.balances.at(tray, ash)).toBe(5);
    now.surround([row(1), same]);
    expect(now.balances.at(tray, ash)).toBe(6);
    now.surround([]);
    expect(now.balances.at(tray, ash)).toBe(0);
  });
});

describe('shares of postage', () => {
  it('are worth that went in for parts that were bought, and no worth of what a box brought', () => {
    const bought = entry('o', 'order', [{ ...move(4), from: OUTSIDE, to: orderAccount(ORDER) }], {
      order: ORDER,
    });
    const now = books([bought]);
    expect(now.sharedCosts().get(bought.id)).toBe(345);
    expect(now.partOf(bought, { of: 'build' })).toMatchObject({ sharedCost: 345, worthIn: 345 });
    const opened = entry('d', 'unpack', [{ ...move(4), from: donorAccount(DONOR), to: spares }]);
    const part = books([unpack, opened]).partOf(opened, { of: 'build' });
    expect(part.sharedCost).toBe(1999);
    expect(part.worthIn).toBe(books([opened]).partOf({ ...opened, id: asId('x') }, { of: 'build' }).worthIn);
  });

  it('are shared anew when one of those that share is taken back', () => {
    const order = (id: string, qty: number) =>
      entry(id, 'order', [{ ...move(qty), from: OUTSIDE, to: orderAccount(ORDER) }], { order: ORDER });
    const [first, second] = [order('o1', 1), order('o2', 2)];
    const now = books([first, second]);
    expect(now.sharedCosts().get(first.id)).toBe(115);
    now.unpost(second);
    expect(now.sharedCosts().get(first.id)).toBe(345);
    expect(now.sharedCosts().has(second.id)).toBe(false);
  });
});
