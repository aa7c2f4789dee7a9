import { describe, expect, it } from 'vitest';
import { overdrafts, placeOf } from '../ledger';
import { howOften } from '../stock';
import { did, doneAndBack, logLines, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { addModification, hasSide, mirrorOf, readLine, repeatEntries, type Workbench } from './index';

const left = el('wedge 3x2 left', 'ash');
const right = el('wedge 3x2 right', 'ash');

function yard(...lines: string[]): Workbench {
  const bench = makeWorkbench({
    zones: { Port: ['9 brick 1x2 slate'], Starboard: ['4 brick 1x2 slate'] },
    stock: ['8 wedge 3x2 left ash', '2 wedge 3x2 right ash', '7 tile 1x2 ash'],
    prices: ['wedge 3x2 right ash 30'],
  });
  did(bench, addModification(bench, 'Bow', zoneId('Port'), testSource('m')));
  return logLines(bench, lines);
}
const logged = (bench: Workbench) => bench.entriesIn(bench.modifications[0]!.id);
const again = (bench: Workbench, more: Partial<Parameters<typeof repeatEntries>[2]> = {}) =>
  repeatEntries(bench, logged(bench), { times: 1, zone: null, mirrored: false, ...more }, testSource('a'));

describe('the other side', () => {
  it('has left for right, and what has no side as it is', () => {
    expect(mirrorOf(left)).toBe(right);
    expect(mirrorOf(mirrorOf(left))).toBe(left);
    expect(mirrorOf(el('tile 1x2', 'ash', 'left arrow'))).toBe(el('tile 1x2', 'ash', 'left arrow'));
    expect(hasSide(logged(yard('+1 wedge 3x2 left ash')))).toBe(true);
    expect(hasSide(logged(yard('+1 tile 1x2 ash')))).toBe(false);
  });
});

describe('the same again', () => {
  it('does chosen entries once more, in their order, and undo takes all of it back', () => {
    const bench = yard('-2 brick 1x2 slate', '+2 wedge 3x2 left ash');
    const done = again(bench);
    if (!done.ok) throw new Error('not done');
    doneAndBack(bench, done.command);
    expect(logged(bench).map((e) => [e.kind, e.movements.reduce((s, m) => s + m.qty, 0)])).toEqual([
      ['remove', 2],
      ['add', 2],
      ['remove', 2],
      ['add', 2],
    ]);
    expect(new Set(logged(bench).map((e) => e.no)).size).toBe(4);
  });

  it('takes parts from wherever they are now, and on the other side those for it', () => {
    const bench = yard('+2 wedge 3x2 left ash from own parts');
    const done = again(bench, { times: 2, mirrored: true, zone: zoneId('Starboard') });
    if (!done.ok) throw new Error('not done');
    const moved = done.entries.flatMap((e) => e.movements);
    expect(moved.map((m) => [m.element, placeOf(m.from), m.qty, m.to])).toEqual([
      [right, 'stock', 2, 'model:zone Starboard'],
      [right, 'own', 2, 'model:zone Starboard'],
    ]);
  });

  it('is all of it or nothing, and says which time it was', () => {
    const bench = yard('-3 brick 1x2 slate');
    const before = bench.recordList().length;
    expect(again(bench, { times: 3 })).toMatchObject({
      ok: false,
      time: 3,
      problem: { reason: 'not on the model' },
    });
    expect(bench.recordList().length).toBe(before);
    expect(overdrafts(bench.built.balances)).toEqual([]);
  });
});

describe('how often', () => {
  it('is what ends first, and how much of it there is', () => {
    const bench = yard();
    const lots = [
      { element: left, qty: 2 },
      { element: el('tile 1x2', 'ash'), qty: 2 },
    ];
    expect(howOften(bench, lots)).toEqual({
      times: 3,
      first: { element: el('tile 1x2', 'ash'), there: 7, each: 2 },
    });
    // A part that is named twice is needed twice.
    expect(howOften(bench, [...lots, { element: left, qty: 1 }])).toEqual({
      times: 2,
      first: { element: left, there: 8, each: 3 },
    });
    expect(howOften(bench, [{ element: el('arch 1x4', 'ash'), qty: 1 }]).times).toBe(0);
    expect(howOften(bench, [])).toEqual({ times: 0, first: null });
  });

  it('does as often as it says: once more, and something has to come from elsewhere', () => {
    const bench = yard('+2 wedge 3x2 left ash, +1 tile 1x2 ash');
    const { times } = howOften(bench, [
      { element: left, qty: 2 },
      { element: el('tile 1x2', 'ash'), qty: 1 },
    ]);
    const sources = (n: number) => {
      const done = again(bench, { times: n });
      return done.ok ? new Set(done.entries.flatMap((e) => e.movements.map((m) => placeOf(m.from)))) : null;
    };
    expect(times).toBe(3);
    expect(sources(times)).toEqual(new Set(['stock']));
    expect(sources(times + 1)).toEqual(new Set(['stock', 'own']));
  });
});

describe('an assembly so many times', () => {
  it('is its parts so many times, and is printed back so', () => {
    const bench = yard('+2 wedge 3x2 left ash', '=[bow] 1 wedge 3x2 left ash & 2 brick 1x2 slate');
    const [modification] = bench.modifications;
    const reading = readLine(bench, '+3 [bow]', { modification: modification!, planned: false });
    const on = new Map<string, number>();
    for (const m of reading.clauses[0]!.entry!.movements) on.set(m.element, (on.get(m.element) ?? 0) + m.qty);
    expect(on).toEqual(
      new Map([
        [left, 3],
        [el('brick 1x2', 'slate'), 6],
      ]),
    );
  });
});
