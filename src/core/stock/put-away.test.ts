import { describe, expect, it } from 'vitest';
import { grade, sparesAccount, stockAccount, type Tray } from '../ledger';
import { asId, type TrayId } from '../shared/ids';
import { makeWorkbench, TEST_BUILD, testSource } from '../testing/workbench';
import { el } from '../testing/world';
import { proposeTrays, putAway, type StockLot } from './index';

const id = (name: string) => asId<TrayId>(name);
const TRAYS: Tray[] = ['A', 'B', 'C'].map((name, i) => ({ id: id(name), name, place: '', position: i }));
const lies = (
  tray: string,
  part: string,
  colour: string,
  qty: number,
  condition: 'new' | 'used' = 'used',
): StockLot => ({
  account: stockAccount(id(tray)),
  element: el(part, colour),
  grade: grade(condition),
  qty,
});
const spare = (part: string, colour: string, qty = 2, condition: 'new' | 'used' = 'used'): StockLot => ({
  ...lies('A', part, colour, qty, condition),
  account: sparesAccount(TEST_BUILD),
});
const goes = (lot: StockLot, rows: StockLot[], trays = TRAYS) => {
  const [p] = proposeTrays([lot], trays, rows);
  return [p!.tray, p!.why];
};

describe('the tray that is proposed', () => {
  const brick = spare('brick 1x2', 'ash');
  it.each<[string, StockLot[], [string, string]]>([
    [
      'the same',
      [lies('A', 'brick 1x2', 'slate', 90), lies('B', 'brick 1x2', 'ash', 1)],
      ['B', 'the same lies there'],
    ],
    [
      'the same in its condition',
      [lies('A', 'brick 1x2', 'ash', 9, 'new'), lies('C', 'brick 1x2', 'ash', 1)],
      ['C', 'the same lies there'],
    ],
    [
      'the same in another condition',
      [lies('A', 'brick 1x2', 'ash', 1, 'new'), lies('B', 'brick 1x2', 'slate', 90)],
      ['A', 'the same lies there'],
    ],
    [
      'the same part',
      [lies('A', 'brick 2x4', 'ash', 90), lies('C', 'brick 1x2', 'bark', 1)],
      ['C', 'the same part'],
    ],
    [
      'parts like it',
      [lies('A', 'tile 1x2', 'ash', 90), lies('B', 'brick 2x4', 'bark', 1)],
      ['B', 'parts like it'],
    ],
    [
      'parts like it in its colour',
      [lies('A', 'brick 2x4', 'bark', 9), lies('B', 'brick 2x4', 'ash', 1)],
      ['B', 'parts like it'],
    ],
    [
      'its colour',
      [lies('A', 'tile 1x2', 'bark', 90), lies('C', 'tile 1x2', 'ash', 1)],
      ['C', 'the same colour'],
    ],
    [
      'room',
      [
        lies('A', 'tile 1x2', 'bark', 3),
        lies('B', 'tile 1x2', 'slate', 2),
        lies('C', 'tile 1x2', 'chalk', 9),
      ],
      ['B', 'room'],
    ],
    ['room in the first of equals', [lies('B', 'tile 1x2', 'slate', 2)], ['A', 'room']],
  ])('has %s', (_, rows, expected) => expect(goes(brick, rows)).toEqual(expected));

  it('is, of two with the like, the one that has more kinds of it', () =>
    expect(
      goes(brick, [
        lies('A', 'brick 1x2', 'bark', 1),
        lies('B', 'brick 1x2', 'slate', 1),
        lies('B', 'brick 1x2', 'chalk', 1),
      ]),
    ).toEqual(['B', 'the same part']));

  it('is none where there is no tray, and what lies in a tray that is gone says nothing', () => {
    expect(goes(brick, [], [])).toEqual([null, 'room']);
    expect(goes(brick, [lies('gone', 'brick 1x2', 'ash', 9)])).toEqual(['A', 'room']);
  });
});

describe('putting away', () => {
  const bench = () => makeWorkbench({ zones: { Wall: ['4 brick 1x2 slate'] } });
  it.each<[string, [number, string][]]>([
    ['put 1 piece away in 1 tray', [[1, 'A']]],
    [
      'put 5 pieces away in 2 trays',
      [
        [3, 'A'],
        [2, 'B'],
      ],
    ],
    [
      'put 5 pieces away in 1 tray',
      [
        [3, 'A'],
        [2, 'A'],
      ],
    ],
  ])('%s', (label, list) => {
    const choices = list.map(([qty, tray]) => ({ lot: spare('brick 1x2', 'ash', qty), tray: id(tray) }));
    expect(putAway(bench(), choices, [], testSource('p')).label).toBe(label);
  });

  it('makes new trays with it, and nothing where nothing goes', () => {
    const fresh = TRAYS.slice(0, 1);
    const made = putAway(
      bench(),
      [{ lot: spare('brick 1x2', 'ash'), tray: id('A') }],
      fresh,
      testSource('p'),
    );
    expect(made.diff.added.map((r) => r.type)).toEqual(['tray', 'entry']);
    const nothing = putAway(
      bench(),
      [{ lot: spare('brick 1x2', 'ash', 0), tray: id('A') }],
      fresh,
      testSource('p'),
    );
    expect(nothing).toEqual({ label: 'put nothing away', diff: { added: [], changed: [], removed: [] } });
  });
});
