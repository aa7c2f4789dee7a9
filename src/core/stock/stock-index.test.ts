import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { grade, stockAccount } from '../ledger';
import { asId, type TrayId } from '../shared/ids';
import { el, ELEMENTS } from '../testing/world';
import { StockIndex, type StockLot } from './index';

const lot = (
  tray: string,
  part: string,
  colour: string,
  qty: number,
  condition: 'new' | 'used' = 'used',
): StockLot => ({
  account: stockAccount(asId<TrayId>(tray)),
  element: el(part, colour),
  grade: grade(condition),
  qty,
});
const ROWS = [
  lot('b', 'tile 1x2', 'ash', 4),
  lot('a', 'brick 1x2', 'slate', 3),
  lot('a', 'brick 1x2', 'ash', 5),
  lot('b', 'brick 1x2', 'ash', 2, 'new'),
  lot('a', 'plate 1x2', 'ash', 0),
  lot('a', 'arch 1x4', 'ash', -1),
];
const names = (index: StockIndex, text: string, tray: string | null = null) =>
  index.search(text, tray).map((h) => [h.name, h.qty]);

describe('own parts to be searched', () => {
  it('are listed by name, each element once over trays and conditions, and only what is there', () => {
    const hits = new StockIndex(ROWS).search('');
    expect(hits.map((h) => [h.name, h.qty, h.lots.length])).toEqual([
      ['brick 1x2 ash', 7, 2],
      ['brick 1x2 slate', 3, 1],
      ['tile 1x2 ash', 4, 1],
    ]);
  });

  it('have all the words of a search, in any order', () => {
    const index = new StockIndex(ROWS);
    expect(names(index, 'ash brick')).toEqual([['brick 1x2 ash', 7]]);
    expect(names(index, '1x2 s')).toEqual([
      ['brick 1x2 ash', 7],
      ['brick 1x2 slate', 3],
      ['tile 1x2 ash', 4],
    ]);
    expect(names(index, 'ash door')).toEqual([]);
  });

  it('of one tray count what lies in that', () => {
    const index = new StockIndex(ROWS);
    expect(names(index, '', 'b')).toEqual([
      ['brick 1x2 ash', 2],
      ['tile 1x2 ash', 4],
    ]);
    expect(names(index, 'brick', 'b')).toEqual([['brick 1x2 ash', 2]]);
    expect(names(index, 'brick', 'a')).toEqual([
      ['brick 1x2 ash', 5],
      ['brick 1x2 slate', 3],
    ]);
    expect(names(index, 'brick')).toHaveLength(2);
  });

  it('are found again when a search gets wider or turns to other words', () => {
    const index = new StockIndex(ROWS);
    expect(names(index, 'brick slate')).toEqual([['brick 1x2 slate', 3]]);
    expect(names(index, 'brick s')).toHaveLength(2);
    expect(names(index, 'tile')).toEqual([['tile 1x2 ash', 4]]);
    expect(names(index, 'tiles of nothing')).toEqual([]);
    expect(names(index, '')).toHaveLength(3);
  });
});

describe('own parts that are searched at every keystroke', () => {
  it('finds at each keystroke what a search from nothing finds, in a tray and in all', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('plate 2 x 3 cha', 'ti ba', 'slope 45', 'zzz', ''),
        fc.boolean(),
        (text, one) => {
          const rows = ELEMENTS.map((element, i) => ({
            account: stockAccount(asId<TrayId>(`t${i % 3}`)),
            element,
            grade: grade('used'),
            qty: i + 1,
          }));
          const index = new StockIndex(rows);
          const where = one ? 't1' : null;
          for (let n = 0; n <= text.length; n++) {
            const typed = text.slice(0, n);
            const names = index.search(typed, where).map((h) => h.name);
            expect(names).toEqual(new StockIndex(rows).search(typed, where).map((h) => h.name));
          }
        },
      ),
    ));
});
