import { describe, expect, it } from 'vitest';
import { applyDiff, entryFault, invertDiff, sparesAccount, stockAccount, type Entry } from '../ledger';
import { after, at, entriesOf, lot, planTaking, tray } from '../testing/stock';
import { makeWorkbench, TEST_BUILD, TEST_TRAY, testSource } from '../testing/workbench';
import { el } from '../testing/world';
import { mergeTrays, moveStock } from './index';

describe('moving and merging', () => {
  it('moves lots in one lawful entry, and plans that take them follow', () => {
    const rows = [lot(at('a'), 'brick 1x2', 'ash', 10), lot(at('a'), 'tile 2x2', 'bark', 3)];
    const plan = planTaking(at('a'), 'brick 1x2', 'ash', 12);
    const { diff } = moveStock([{ ...rows[0]!, qty: 10 }], tray('b'), [plan], testSource());
    const [entry] = entriesOf(diff);
    expect(entryFault(entry!)).toBeUndefined();
    expect(after(rows, [entry!]).at(at('b'), el('brick 1x2', 'ash'))).toBe(10);
    // Ten of the twelve lay there: the plan takes those from their new tray, and still lacks two at the old one.
    const next = diff.changed[0]!.to as Entry;
    expect(next.movements.map((m) => [m.from, m.qty])).toEqual([
      [at('b'), 10],
      [at('a'), 2],
    ]);
  });

  it('empties a tray into another and does away with it; undo puts it back', () => {
    const rows = [lot(at('a'), 'brick 1x2', 'ash', 10), lot(at('b'), 'brick 1x2', 'ash', 4)];
    const { diff } = mergeTrays(tray('a'), tray('b'), rows, [], testSource());
    const balances = after(rows, entriesOf(diff));
    expect([balances.total(at('a')), balances.total(at('b'))]).toEqual([0, 14]);
    expect(diff.removed).toEqual([{ type: 'tray', record: tray('a') }]);
    expect(invertDiff(diff).added).toContainEqual({ type: 'tray', record: tray('a') });
  });

  it('plans follow in their order, each by what it takes of that lot, until what went is used up', () => {
    const gone = lot(at('a'), 'brick 1x2', 'ash', 10);
    const first = planTaking(at('a'), 'brick 1x2', 'ash', 6, 'p1');
    const second = planTaking(at('a'), 'brick 1x2', 'ash', 6, 'p2');
    const others = [
      planTaking(at('a'), 'brick 1x2', 'slate', 3, 'p3'),
      planTaking(at('c'), 'brick 1x2', 'ash', 3, 'p4'),
      planTaking(at('a'), 'brick 1x2', 'ash', 1, 'p5'),
    ];
    const { diff, label } = moveStock(
      [gone],
      tray('b'),
      [first, ...others.slice(0, 2), second, others[2]!],
      testSource(),
    );
    expect(label).toBe('move 10 pieces to b');
    expect(diff.changed.map((c) => c.to.id)).toEqual(['p1', 'p2']);
    const froms = diff.changed.map((c) => (c.to as Entry).movements.map((m) => [m.from, m.qty]));
    expect(froms).toEqual([
      [[at('b'), 6]],
      [
        [at('b'), 4],
        [at('a'), 2],
      ],
    ]);
  });

  it('plans of a tray that is merged are turned to the other, those that put into it too, and no others', () => {
    const takes = planTaking(at('a'), 'tile 2x2', 'bark', 30, 'takes');
    const puts = { ...planTaking(at('c'), 'tile 2x2', 'bark', 2, 'puts') };
    const both: Entry = {
      ...puts,
      movements: [
        ...puts.movements,
        { ...puts.movements[0]!, from: sparesAccount(TEST_BUILD), to: at('a'), qty: 5 },
      ],
    };
    const apart = planTaking(at('c'), 'brick 1x2', 'ash', 1, 'apart');
    const rows = [lot(at('a'), 'tile 2x2', 'bark', 1), lot(at('c'), 'tile 2x2', 'bark', 8)];
    const { diff, label } = mergeTrays(tray('a'), tray('b'), rows, [takes, both, apart], testSource());
    expect(label).toBe('merge a into b');
    // Only what lay in the first tray moves.
    expect(entriesOf(diff).flatMap((e) => e.movements.map((m) => [m.from, m.to, m.qty]))).toEqual([
      [at('a'), at('b'), 1],
    ]);
    expect(
      diff.changed.map((c) => [c.to.id, (c.to as Entry).movements.map((m) => [m.from, m.to, m.qty])]),
    ).toEqual([
      ['takes', [[at('b'), takes.movements[0]!.to, 30]]],
      [
        'puts',
        [
          [at('c'), puts.movements[0]!.to, 2],
          [sparesAccount(TEST_BUILD), at('b'), 5],
        ],
      ],
    ]);
  });

  it('moves nothing that is not there, and says one piece as one', () => {
    const lots = [lot(at('a'), 'brick 1x2', 'ash', 0), lot(at('a'), 'tile 2x2', 'bark', 1)];
    const { diff, label } = moveStock(lots, tray('b'), [], testSource());
    expect(label).toBe('move 1 piece to b');
    expect(entriesOf(diff)[0]!.movements).toHaveLength(1);
  });

  it('says nothing to do where nothing moves', () => {
    const { diff } = moveStock([lot(at('a'), 'brick 1x2', 'ash', 2)], tray('a'), [], testSource());
    expect(entriesOf(diff)).toEqual([]);
  });
});

it('undo of a move restores the plans that followed', () => {
  const workbench = makeWorkbench({ zones: { Porch: [] }, stock: ['6 tile 2x2 bark'] });
  const plan = planTaking(stockAccount(TEST_TRAY), 'tile 2x2', 'bark', 5);
  workbench.apply({ added: [{ type: 'entry', record: plan }], changed: [], removed: [] });
  const { diff } = moveStock(
    [lot(stockAccount(TEST_TRAY), 'tile 2x2', 'bark', 6)],
    tray('b'),
    [plan],
    testSource(),
  );
  const moved = applyDiff(workbench.records, diff);
  expect(applyDiff(moved, invertDiff(diff)).entry.get('p')).toEqual(plan);
});
