import { describe, expect, it } from 'vitest';
import { entryFault, overdrafts } from '../ledger';
import { doneAndBack, makeWorkbench, planned, testSource } from '../testing/workbench';
import { el } from '../testing/world';
import type { Workbench } from '../workbench';
import { leaveNoted, needOf, takeInstead, type NeedLot } from './index';

const [ash, slate, flint] = [el('brick 1x2', 'ash'), el('brick 1x2', 'slate'), el('brick 1x2', 'flint')];

/** Six of ash to become slate, of which two are at hand, and three of slate to be added. */
const yard = (): Workbench =>
  planned(
    makeWorkbench({
      zones: { Wall: ['9 brick 1x2 ash'] },
      stock: ['2 brick 1x2 slate'],
      prices: ['brick 1x2 flint 7'],
    }),
    testSource('p'),
    { kind: 'recolour', off: [{ element: ash, qty: 6 }], on: [{ element: slate, qty: 6 }] },
    { on: [{ element: slate, qty: 3 }] },
  );
const lot = (bench: Workbench): NeedLot => needOf(bench).lots.find((l) => l.element === slate)!;
const lawful = (bench: Workbench) => {
  expect(bench.entries.map(entryFault).filter(Boolean)).toEqual([]);
  expect(overdrafts(bench.built.balances)).toEqual([]);
};

describe('the near colour', () => {
  it('is taken for what the plans lack, and what they have stays', () => {
    const bench = yard();
    expect(lot(bench).qty).toBe(7);
    doneAndBack(bench, takeInstead(bench, lot(bench), flint));
    lawful(bench);
    expect(needOf(bench).lots.map((l) => [l.element, l.qty])).toEqual([[flint, 7]]);
    const f = bench.planned.figures({ of: 'build' });
    expect(f).toMatchObject({ recoloured: 6, in: 3, outOfPocket: 49 });
    expect(
      bench.planned.balances.rows((a) => a === 'model:zone Wall').map((r) => [r.element, r.qty]),
    ).toEqual(
      expect.arrayContaining([
        [slate, 2],
        [flint, 7],
        [ash, 3],
      ]),
    );
  });
});

describe('leaving it', () => {
  it('takes what lacks out of the plans with what it would have replaced, and notes why it stays', () => {
    const bench = yard();
    doneAndBack(bench, leaveNoted(bench, lot(bench), 'not available'));
    lawful(bench);
    expect(needOf(bench).missing).toBe(0);
    expect(bench.planned.figures({ of: 'build' })).toMatchObject({
      recoloured: 2,
      in: 0,
      out: 0,
      onModel: 9,
    });
    expect([...bench.records.leftMismatch.values()]).toMatchObject([
      { element: ash, reason: 'not available' },
    ]);
    // The entry that was for nothing else is gone.
    expect(bench.entries.filter((e) => e.state === 'planned').map((e) => e.kind)).toEqual(['recolour']);
  });

  it('notes nothing for a part that would only have been added', () => {
    const bench = planned(makeWorkbench({ zones: { Wall: ['1 brick 1x2 ash'] } }), testSource('p'), {
      on: [{ element: slate, qty: 3 }],
    });
    doneAndBack(bench, leaveNoted(bench, lot(bench), 'not available'));
    expect(bench.records.leftMismatch.size).toBe(0);
    expect(bench.entries.filter((e) => e.state === 'planned')).toEqual([]);
  });
});
