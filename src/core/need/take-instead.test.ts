import { describe, expect, it } from 'vitest';
import { entryFault, overdrafts } from '../ledger';
import { OUTSIDE, stockAccount } from '../places';
import {
  carriedOut,
  doneAndBack,
  makeWorkbench,
  planned,
  TEST_TRAY,
  testSource,
  zoneId,
} from '../testing/workbench';
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

describe('the near colour of a part of an entry', () => {
  it('takes the place of those pieces only that come from where too few are', () => {
    // Two of five come out of the tray, of which there are two: three are to be bought.
    const bench = planned(
      makeWorkbench({
        zones: { Wall: ['9 brick 1x2 ash'] },
        stock: ['2 brick 1x2 slate'],
        prices: ['brick 1x2 flint 7'],
      }),
      testSource('p'),
      { on: [{ element: slate, qty: 5 }], source: 'stock' },
    );
    expect(lot(bench).qty).toBe(3);
    doneAndBack(bench, takeInstead(bench, lot(bench), flint));
    lawful(bench);
    const entry = bench.entries.find((e) => e.state === 'planned')!;
    expect(entry.movements.map((m) => [m.element, m.from, m.qty, m.worth])).toEqual([
      [slate, stockAccount(TEST_TRAY), 2, null],
      [flint, OUTSIDE, 3, 5],
    ]);
    expect(needOf(bench).lots.map((l) => [l.element, l.qty])).toEqual([[flint, 3]]);
  });

  it('leaves alone what a placeholder stands for: there is no movement to change', () => {
    const bench = carriedOut(
      planned(makeWorkbench({ zones: { Wall: ['9 brick 1x2 ash'] } }), testSource('p'), {
        kind: 'placeholder',
        on: [{ element: ash, qty: 2 }],
        standsFor: slate,
        source: 'own',
      }),
    );
    expect(lot(bench)).toMatchObject({ qty: 2, sources: [{ movement: null }] });
    const command = takeInstead(bench, lot(bench), flint);
    expect([command.diff.changed, command.label]).toEqual([[], 'take brick 1x2 flint instead']);
  });
});

describe('leaving a part of it', () => {
  it('keeps of an entry what is at hand, with the pieces that it replaces', () => {
    const plate = el('plate 1x2', 'ash');
    const bench = planned(
      makeWorkbench({ zones: { Wall: ['9 plate 1x2 ash'] }, stock: ['2 brick 1x2 slate'] }),
      testSource('p'),
      { kind: 'swap', off: [{ element: plate, qty: 6 }], on: [{ element: slate, qty: 6 }], source: 'stock' },
    );
    expect(lot(bench).qty).toBe(4);
    const command = leaveNoted(bench, lot(bench), 'not available');
    expect(command.label).toBe('leave brick 1x2 slate out');
    doneAndBack(bench, command);
    lawful(bench);
    expect(
      bench.entries.find((e) => e.state === 'planned')!.movements.map((m) => [m.element, m.qty]),
    ).toEqual([
      [plate, 2],
      [slate, 2],
    ]);
    // Only where a colour stays that was to go is there anything to note.
    expect(bench.records.leftMismatch.size).toBe(0);
  });

  it('of two lots that one entry lacks leaves the other as it was', () => {
    const bench = planned(makeWorkbench({ zones: { Wall: ['9 brick 1x2 ash'] } }), testSource('p'), {
      on: [
        { element: slate, qty: 3 },
        { element: flint, qty: 2 },
      ],
    });
    doneAndBack(bench, leaveNoted(bench, lot(bench), 'not available'));
    expect(needOf(bench).lots.map((l) => [l.element, l.qty])).toEqual([[flint, 2]]);
  });

  it('takes no more of what would be replaced out than is left, over several kinds', () => {
    const dune = el('brick 1x2', 'dune');
    const bench = planned(
      makeWorkbench({
        zones: { Wall: ['3 brick 1x2 ash', '4 brick 1x2 dune'] },
        stock: ['2 brick 1x2 slate'],
      }),
      testSource('p'),
      {
        kind: 'recolour',
        off: [
          { element: ash, qty: 3 },
          { element: dune, qty: 4 },
        ],
        on: [{ element: slate, qty: 7 }],
      },
    );
    expect(lot(bench).qty).toBe(5);
    doneAndBack(bench, leaveNoted(bench, lot(bench), 'too dear'));
    lawful(bench);
    expect(bench.planned.figures({ of: 'build' })).toMatchObject({ recoloured: 2, onModel: 7 });
    expect([...bench.records.leftMismatch.values()].map((l) => [l.element, l.zone, l.reason]).sort()).toEqual(
      [
        [ash, zoneId('Wall'), 'too dear'],
        [dune, zoneId('Wall'), 'too dear'],
      ],
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
