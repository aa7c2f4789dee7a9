import { describe, expect, it } from 'vitest';
import { goneAccount, grade, orderAccount, OUTSIDE, ownAccount } from '../places';
import type { Copy } from '../records';
import { asId, type CopyId } from '../shared/ids';
import { ash, chalk, model, move, porch, root, shipped, spares, tray, unpack } from '../testing/tally';
import { BUILT, CONTEXT, COPIES, COPY, DONOR, entry, ORDER } from '../testing/world';
import { cameFrom, originKey, originName, originOf } from './came-from';
import { Books, donorAccount, modelAccount, type AccountKey, type Entry } from './index';

const rowsOf = (entries: readonly Entry[]) =>
  cameFrom(new Books(CONTEXT, entries, BUILT)).map((r) => [r.zone, originKey(r.origin), r.element, r.qty]);

const into = (id: string, from: AccountKey, qty: number, element = chalk, to = model): Entry =>
  entry(id, 'add', [{ ...move(qty, element), from, to }]);

describe('where pieces of the model came from', () => {
  it.each([
    [shipped, { from: 'box', copy: COPY }],
    [donorAccount(DONOR), { from: 'box', copy: DONOR }],
    [ownAccount('an old tower'), { from: 'own', name: 'an old tower' }],
    [ownAccount(), { from: 'own', name: '' }],
    [spares, { from: 'spares' }],
    [tray, { from: 'own parts' }],
    [OUTSIDE, { from: 'bought' }],
    [orderAccount(ORDER), { from: 'bought' }],
    [model, undefined],
    [goneAccount('lent'), undefined],
  ] as const)('is, for what comes from %s, %j', (from, origin) => {
    expect(originOf(from)).toEqual(origin);
  });

  it('is one row for each zone, origin and element, whatever number of entries brought it', () => {
    const entries = [
      unpack,
      into('a', tray, 3),
      into('b', tray, 4),
      into('c', tray, 2, ash),
      into('d', tray, 1, chalk, modelAccount(porch)),
    ];
    expect(rowsOf(entries)).toEqual([
      [root, `box:${COPY}`, chalk, 20],
      [root, 'own parts', chalk, 7],
      [root, 'own parts', ash, 2],
      [porch, 'own parts', chalk, 1],
    ]);
  });

  it('keeps two sources of one’s own apart by their names', () => {
    const [tower, find] = [ownAccount('an old tower'), ownAccount('a find')];
    expect(rowsOf([into('a', tower, 1), into('b', find, 2)])).toEqual([
      [root, 'own:an old tower', chalk, 1],
      [root, 'own:a find', chalk, 2],
    ]);
  });

  it('takes nothing away for what came off, and nothing new for what moved within the model', () => {
    const off = entry('off', 'remove', [{ ...move(5), from: model, to: spares }]);
    const moved = entry('mv', 'move', [{ ...move(6), from: model, to: modelAccount(porch) }]);
    expect(rowsOf([unpack, off, moved])).toEqual([[root, `box:${COPY}`, chalk, 20]]);
  });
});

it('pieces that are noted as yellowed came from nowhere anew', () => {
  const entries = [unpack, into('a', tray, 3)];
  const noted = entry('n', 'regrade', [
    { ...move(2, chalk), from: model, to: OUTSIDE },
    { ...move(2, chalk), grade: grade('yellowed'), from: OUTSIDE, to: model },
  ]);
  expect(rowsOf([...entries, noted])).toEqual(rowsOf(entries));
});

describe('the name of an origin', () => {
  const again = asId<CopyId>('c3');
  const copies = new Map<string, Copy>([...COPIES].map(([id, c]) => [id, { ...c, setName: `Set of ${id}` }]));
  const twice = new Map<string, Copy>([
    ...copies,
    [again, { ...copies.get(COPY)!, id: again }],
    ['other', { ...copies.get(COPY)!, id: asId<CopyId>('other'), build: asId('another build') }],
  ]);

  it('is a box by its set, and numbered only among boxes of the same set and build', () => {
    expect(originName({ from: 'box', copy: COPY }, copies)).toBe(`Set of ${COPY}`);
    expect(originName({ from: 'box', copy: COPY }, twice)).toBe(`Set of ${COPY}, box 1`);
    expect(originName({ from: 'box', copy: again }, twice)).toBe(`Set of ${COPY}, box 2`);
    expect(originName({ from: 'box', copy: asId<CopyId>('other') }, twice)).toBe(`Set of ${COPY}`);
    expect(originName({ from: 'box', copy: DONOR }, twice)).toBe(`Set of ${DONOR}`);
  });

  it('does without a set where the box is no longer known', () => {
    expect(originName({ from: 'box', copy: asId<CopyId>('gone') }, copies)).toBe('a box');
  });

  it('is what one’s own parts came out of, or that nobody has counted them', () => {
    expect(originName({ from: 'own', name: 'an old tower' }, copies)).toBe('an old tower');
    expect(originName({ from: 'own', name: '' }, copies)).toBe('own, uncounted');
  });

  it.each(['spares', 'own parts', 'bought'] as const)('is the word itself for %s', (from) => {
    expect(originName({ from }, copies)).toBe(from);
    expect(originKey({ from })).toBe(from);
  });
});
