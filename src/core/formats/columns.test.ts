import { describe, expect, it } from 'vitest';
import { PALETTE } from '../colour';
import { tableOf } from '../testing/tables';
import { guessColumns, headingKey, type ColumnRole, type Purpose } from './index';

/** The roles of a table's columns; where no heading is said, of one whose headings say nothing. */
const roles = (
  rows: readonly (readonly string[])[],
  heading: readonly string[] | null = null,
  purpose: Purpose = 'set',
): ColumnRole[] => {
  const columns = Math.max(...rows.map((r) => r.length));
  return guessColumns({ heading, rows, lines: rows.map((_, i) => i + 1), columns }, purpose, PALETTE);
};
/** The role of a column by what stands in it alone. */
const roleOf = (...cells: string[]): ColumnRole => roles(cells.map((c) => [c]))[0]!;

describe('a heading', () => {
  it.each([
    ['how_many', 'qty'],
    ['how__many', 'qty'],
    ['how-many', 'qty'],
    ['partName', 'name'],
    ['no. of', 'qty'],
    ['colourHex', 'hex'],
    ['Colour ID', 'ignore'],
    ['Element ID', 'code'],
    ['made from', 'ignore'],
    ['used price', 'ignore'],
  ] as const)('“%s” of a set is %s', (heading, role) => {
    expect(roles([['?'], ['!']], [heading])).toEqual([role]);
  });

  it('means what the purpose has a use for', () => {
    const words = ['part', 'colour', 'made from', 'made to', 'used price', 'tray'];
    const rows = [['brick 1x2', 'ash', '1990', '1999', '0.2', 'A1']];
    expect(roles(rows, words, 'register').slice(2)).toEqual(['from', 'to', 'ignore', 'ignore']);
    expect(roles(rows, words, 'stock').slice(4)).toEqual(['usedPrice', 'tray']);
  });

  it('says what is left out, whatever stands there, and however often it says so', () => {
    const rows = [
      ['x.png', 'brick 1x2', '3'],
      ['y.png', 'plate 1x3', '4'],
    ];
    expect(roles(rows, ['image', 'link', 'qty'])).toEqual(['ignore', 'ignore', 'qty']);
  });

  it('that comes twice names the first, and the other goes by its cells', () => {
    const rows = [
      ['brick 1x2', 'ash', '3'],
      ['plate 1x3', 'chalk', '4'],
    ];
    expect(roles(rows, ['part', 'part', 'part'])).toEqual(['name', 'colour', 'qty']);
  });
});

describe('a column whose heading says nothing', () => {
  it('is guessed by what fills it, empty cells not counted', () => {
    expect(roleOf('ash', '', '', '')).toBe('colour');
    expect(roleOf('', '')).toBe('ignore');
  });

  it('is guessed where more than half of its cells fit', () => {
    expect(roleOf('ash', 'chalk', '*')).toBe('colour');
    expect(roleOf('ash', '*')).toBe('ignore');
  });

  it('is guessed by its first sixty rows', () => {
    const some = (text: string, count: number): string[] => Array.from({ length: count }, () => text);
    expect(roleOf(...some('ash', 60), ...some('*', 200))).toBe('colour');
    expect(roleOf(...some('*', 60), ...some('ash', 200))).toBe('ignore');
  });

  it.each([
    ['#f0eee7', 'hex'],
    ['F0EEE7', 'hex'],
    ['x#f0eee7', 'name'],
    ['f0eee7a', 'name'],
    ['903411', 'ignore'],
    ['9999', 'qty'],
    ['10000', 'ignore'],
    ['2.5', 'ignore'],
    ['thingummy', 'name'],
    ['thing', 'ignore'],
    ['A-4-77-12', 'ignore'],
    ['brick 1x2', 'name'],
  ] as const)('“%s” makes it %s', (cell, role) => expect(roleOf(cell, cell)).toBe(role));

  it('is not guessed as what another column is by its heading', () => {
    const rows = [
      ['ash', 'chalk'],
      ['dove', 'slate'],
    ];
    expect(roles(rows, ['colour', 'more'])).toEqual(['colour', 'ignore']);
  });

  it('gives its meaning to the column that fits best', () => {
    const rows = [
      ['ash', 'ash', '1'],
      ['*', 'chalk', '2'],
      ['dove', 'dove', '3'],
    ];
    expect(roles(rows)).toEqual(['ignore', 'colour', 'qty']);
  });
});

describe('the heading that a layout is remembered by', () => {
  it('is the same in capitals and with spaces about it', () => {
    const words = (heading: string[]) =>
      headingKey({ heading, rows: [], lines: [], columns: heading.length });
    expect(words([' Part ', 'QTY'])).toBe(words(['part', 'qty']));
    expect(words(['part', 'qty'])).not.toBe(words(['part qty']));
  });

  it('is the number of columns where there is none, and never longer than is kept', () => {
    const bare = (text: string) => headingKey(tableOf(text));
    expect(bare('2,ash\n3,chalk')).toBe(bare('7,dove\n1,slate'));
    expect(bare('2,ash\n3,chalk')).not.toBe(bare('2,ash,x\n3,chalk,y'));
    const long = {
      heading: Array.from({ length: 400 }, () => 'a long word'),
      rows: [],
      lines: [],
      columns: 300,
    };
    expect(headingKey(long).length).toBe(3900);
  });
});
