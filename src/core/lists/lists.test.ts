import { describe, expect, it } from 'vitest';
import { needOf } from '../need';
import { makeWorkbench, planned, testSource } from '../testing/workbench';
import { el } from '../testing/world';
import { columnsOf, printedTable } from './list';
import { BUILD_LIST_NAMES, BUILD_LISTS } from './index';

const bark = el('brick 1x2', 'bark');

const build = () =>
  planned(
    makeWorkbench({
      zones: { Wall: ['40 brick 1x2 ash', '1 brick 1x2 bark', '12 tile 1x2 chalk'] },
      stock: ['3 brick 1x2 bark used'],
      prices: ['brick 1x2 bark 9'],
    }),
    testSource(),
    { kind: 'add', on: [{ element: bark, qty: 3 }], source: 'stock' },
    { kind: 'add', on: [{ element: bark, qty: 7 }], source: 'outside' },
  );

describe('lists of a build', () => {
  it.each(BUILD_LIST_NAMES)(
    '%s has as many cells in every row as its heading, and a name for each column',
    (name) => {
      const { heading, rows } = BUILD_LISTS[name].table(build());
      expect(new Set(heading).size).toBe(heading.length);
      expect(rows.filter((r) => r.length !== heading.length)).toEqual([]);
      const printed = BUILD_LISTS[name].printed ?? [];
      expect(printed.filter((c) => !heading.includes(c))).toEqual([]);
    },
  );

  it('what is needed is listed with its price and what wants it, and adds up to the need', () => {
    const workbench = build();
    const { heading, rows } = BUILD_LISTS.needed.table(workbench);
    const column = (name: string) => rows.map((r) => r[heading.indexOf(name)]);
    expect(column('quantity').reduce((s: number, n) => s + Number(n), 0)).toBe(needOf(workbench).missing);
    expect([column('part'), column('colour'), column('price'), column('about'), column('for')]).toEqual([
      ['brick 1x2'],
      ['bark'],
      ['0.09'],
      ['0.63'],
      ['Wall'],
    ]);
  });

  it('what is to be picked is listed by its place', () => {
    const { rows } = BUILD_LISTS['pick-list'].table(build());
    expect(rows).toEqual([['A1', 3, 'brick 1x2', 'bark', '', 'used']]);
  });
});

describe('a list on paper', () => {
  const table = {
    heading: ['a', 'b', 'c'],
    rows: [
      [1, '', 'x'],
      [2, '', ''],
    ],
  };

  it('has the columns that are asked for, in their order', () => {
    expect(columnsOf(table, ['c', 'nothing', 'a'])).toEqual({
      heading: ['c', 'a'],
      rows: [
        ['x', 1],
        ['', 2],
      ],
    });
  });

  it('leaves out a column in which nothing stands, and none of an empty list', () => {
    const list = { title: 'T', table: (on: typeof table) => on };
    expect(printedTable(list, table).heading).toEqual(['a', 'c']);
    expect(printedTable(list, { heading: ['a', 'b', 'c'], rows: [] }).heading).toEqual(['a', 'b', 'c']);
    expect(printedTable({ ...list, printed: ['b', 'a'] }, table)).toEqual({
      heading: ['a'],
      rows: [[1], [2]],
    });
  });
});
