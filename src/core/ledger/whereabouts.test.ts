import { describe, expect, it } from 'vitest';
import { goneAccount, OUTSIDE } from '../places';
import { ash, chalk, model, move, spares, tray, unpack } from '../testing/tally';
import { BUILT, CONTEXT, DONOR, entry } from '../testing/world';
import { Books, donorAccount, type Entry } from './index';
import { whereabouts } from './whereabouts';

const places = (entries: readonly Entry[], element = chalk) =>
  whereabouts(new Books(CONTEXT, entries, BUILT), element).map((w) => [w.account, w.qty]);

const box = donorAccount(DONOR);
const log = [
  unpack,
  entry('s', 'add-stock', [{ ...move(40), from: OUTSIDE, to: tray }]),
  entry('d', 'unpack', [{ ...move(30), from: OUTSIDE, to: box }]),
];

describe('where pieces are', () => {
  it('is every real place that has some, most pieces first', () => {
    expect(places(log)).toEqual([
      [tray, 40],
      [box, 30],
      [model, 20],
      [spares, 1],
    ]);
  });

  it('is neither where they are gone nor where they came from, and no place that has none left', () => {
    const gone = entry('g', 'transfer', [
      { ...move(1), from: spares, to: goneAccount('missing') },
      { ...move(40), from: tray, to: goneAccount('sold') },
    ]);
    expect(places([...log, gone])).toEqual([
      [box, 30],
      [model, 20],
    ]);
    expect(places(log, ash)).toEqual([]);
  });
});
