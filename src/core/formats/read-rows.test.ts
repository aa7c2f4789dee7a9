import { describe, expect, it } from 'vitest';
import { PALETTE } from '../colour';
import { TABLE } from '../shared/bounds';
import type { ColourId } from '../shared/ids';
import { el } from '../testing/world';
import { rowsIn, tableOf } from '../testing/tables';
import { aliasKey, guessColumns, readRows, type ColumnRole, type Purpose } from './index';

/** One row under roles that are said, so that no guess comes between. */
const row = (cells: Partial<Record<ColumnRole, string>>, purpose: Purpose = 'set') => {
  const roles = Object.keys(cells) as ColumnRole[];
  const table = { heading: null, rows: [Object.values(cells)], lines: [1], columns: roles.length };
  return readRows(table, { purpose, roles, palette: PALETTE, aliases: new Map() })[0]!;
};
const part = { name: 'brick 1x2', colour: 'ash' };

describe('a quantity', () => {
  it.each([
    ['3', 3],
    ['3x', 3],
    ['x3', 3],
    ['3 pcs', 3],
    ['3 pcs.', 3],
    ['3 Pieces', 3],
    ['100000', TABLE.pieces],
  ])('%s is %i', (qty, n) => expect(row({ ...part, qty })).toMatchObject({ qty: n, faults: [] }));

  it.each(['0', '-2', '2.5', 'two', '100001', 'x', '3 pcs each', 'a3', '3 max'])('%s is none', (qty) =>
    expect(row({ ...part, qty })).toMatchObject({ qty: 0, faults: [{ fault: 'quantity', text: qty }] }),
  );

  it('is not asked for in lists of prices and in registers, and is missed elsewhere', () => {
    expect(row({ ...part, newPrice: '1', qty: '' }, 'prices')).toMatchObject({ qty: 1, faults: [] });
    expect(row({ ...part, from: '1990', qty: 'any' }, 'register')).toMatchObject({ qty: 1, faults: [] });
    expect(row({ ...part, qty: '' }, 'stock')).toMatchObject({ qty: 0, faults: [{ fault: 'no quantity' }] });
  });
});

describe('a condition', () => {
  it.each([
    ['new', 'new'],
    ['N', 'new'],
    ['used', 'used'],
    ['U', 'used'],
    ['second-hand', 'used'],
    ['a little faded', 'faded'],
    ['Yellowed', 'yellowed'],
    ['renewed', 'new'],
    ['', null],
    ['pristine', null],
    ['unknown', null],
    ['bruised', null],
    ['well used', 'used'],
  ])('“%s” is %s', (condition, is) => expect(row({ ...part, qty: '1', condition }).condition).toBe(is));
});

describe('years of a register', () => {
  const years = (from: string, to: string) => {
    const { from: a, to: b, faults } = row({ ...part, from, to }, 'register');
    return [a, b, faults];
  };
  it('are four digits, alone or in a date, and may be open', () => {
    expect(years('1999', '2004')).toEqual([1999, 2004, []]);
    expect(years('March 2012', '31.12.2019')).toEqual([2012, 2019, []]);
    expect(years('', '')).toEqual([null, null, []]);
    expect(years('2001', '')).toEqual([2001, null, []]);
    expect(years('', '2001')).toEqual([null, 2001, []]);
    expect(years('2001', '2001')).toEqual([2001, 2001, []]);
  });

  it('that are none, or end before they begin, are told as they stand', () => {
    expect(years('long ago', '2004')).toEqual([null, 2004, [{ fault: 'year', text: 'long ago' }]]);
    expect(years('1999', '12004')).toEqual([1999, null, [{ fault: 'year', text: '12004' }]]);
    expect(years('1799', '')).toEqual([null, null, [{ fault: 'year', text: '1799' }]]);
    expect(years('2004', '1999')).toEqual([2004, 1999, [{ fault: 'year', text: '2004 to 1999' }]]);
  });

  it('are of no matter to other lists', () =>
    expect(row({ ...part, qty: '1', from: 'long ago' })).toMatchObject({ from: null, to: null, faults: [] }));
});

describe('prices', () => {
  it('stand alone or in pairs, and one of the two at least in a list of prices', () => {
    expect(row({ ...part, newPrice: '0.12', usedPrice: '' }, 'prices')).toMatchObject({
      newPrice: 12,
      usedPrice: null,
      faults: [],
    });
    expect(row({ ...part, newPrice: '', usedPrice: '0.08' }, 'prices')).toMatchObject({
      newPrice: null,
      usedPrice: 8,
      faults: [],
    });
    expect(row({ ...part, newPrice: '', usedPrice: '' }, 'prices').faults).toEqual([{ fault: 'no price' }]);
    expect(row({ ...part, qty: '1', newPrice: '', usedPrice: '' }, 'stock').faults).toEqual([]);
  });

  it('that cannot be read are told, and the other is kept', () => {
    expect(row({ ...part, newPrice: 'ask', usedPrice: '0.08' }, 'prices')).toMatchObject({
      newPrice: null,
      usedPrice: 8,
      faults: [{ fault: 'price', text: 'ask' }],
    });
    expect(row({ ...part, newPrice: '0.10', usedPrice: 'ask' }, 'prices').faults).toEqual([
      { fault: 'price', text: 'ask' },
    ]);
  });
});

describe('a colour', () => {
  it('by name, by its shade where the name is none or an everyday word, and else unknown with what is like it', () => {
    expect(row({ ...part, qty: '1', hex: '#000000' }).element).toBe(el('brick 1x2', 'ash'));
    const shade = PALETTE.find((c) => c.id === 'slate')!.hex;
    expect(row({ name: 'brick 1x2', colour: 'puce', hex: shade, qty: '1' }).element).toBe(
      el('brick 1x2', 'slate'),
    );
    const chalk = PALETTE.find((c) => c.id === 'chalk')!.hex;
    expect(row({ name: 'brick 1x2', colour: 'white', hex: chalk, qty: '1' }).element).toBe(
      el('brick 1x2', 'chalk'),
    );
    expect(row({ name: 'brick 1x2', colour: 'dark grey', qty: '1' })).toMatchObject({
      element: el('brick 1x2', 'slate'),
      notes: [{ note: 'everyday colour', text: 'dark grey' }],
    });
    const unknown = row({ name: 'brick 1x2', colour: 'asch', qty: '1' });
    expect(unknown).toMatchObject({ element: null, colourText: 'asch' });
    expect(unknown.faults[0]).toMatchObject({ fault: 'unknown colour', text: 'asch' });
    expect(unknown.faults[0]).toHaveProperty('suggestions');
    const { suggestions } = unknown.faults[0] as unknown as { suggestions: unknown[] };
    expect(suggestions.every((s) => PALETTE.some((c) => c.id === s))).toBe(true);
  });

  it('that is near one of the palette says how near, and none at all is told', () => {
    const ash = PALETTE.find((c) => c.id === 'ash')!.hex;
    const off = `#${(parseInt(ash.slice(1), 16) + 0x030000).toString(16).padStart(6, '0')}`;
    expect(row({ name: 'brick 1x2', hex: off, qty: '1' }).notes).toMatchObject([
      { note: 'nearest colour', text: off, deltaE: expect.any(Number) },
    ]);
    expect(row({ name: 'brick 1x2', colour: '', qty: '1' }).faults).toEqual([{ fault: 'no colour' }]);
  });

  it('at the end of a name is found in up to three words, by what was said before too', () => {
    const none = (name: string, aliases = new Map<string, ColourId>()) => {
      const table = { heading: null, rows: [[name, '1']], lines: [1], columns: 2 };
      return readRows(table, { purpose: 'set', roles: ['name', 'qty'], palette: PALETTE, aliases })[0]!;
    };
    expect(none('brick 1x2 ash')).toMatchObject({ element: el('brick 1x2', 'ash'), colourText: 'ash' });
    expect(none('brick 1x2 dark grey')).toMatchObject({
      element: el('brick 1x2', 'slate'),
      notes: [{ note: 'everyday colour', text: 'dark grey' }],
    });
    const said = new Map([[aliasKey('Old  SHOP Grey'), 'bark' as ColourId]]);
    expect(none('brick 1x2 old shop grey', said)).toMatchObject({ element: el('brick 1x2', 'bark') });
    expect(none('brick 1x2').faults).toEqual([{ fault: 'no colour' }]);
    expect(none('ash').faults).toEqual([{ fault: 'no colour' }]);
  });
});

describe('names, extras and places', () => {
  it('a print is taken from its column, or from the name', () => {
    expect(row({ ...part, qty: '1', print: 'clock' }).element).toBe(el('brick 1x2', 'ash', 'clock'));
    expect(row({ name: 'brick 1x2 (clock)', colour: 'ash', qty: '1' }).element).toBe(
      el('brick 1x2', 'ash', 'clock'),
    );
  });

  it('what is longer than a name may be is told, and names no element', () => {
    const long = `brick ${'very '.repeat(80)}long`;
    expect(row({ name: long, colour: 'ash', qty: '1' })).toMatchObject({
      element: null,
      faults: [{ fault: 'too long', most: TABLE.name }],
    });
    const fits = 'x'.repeat(TABLE.name);
    expect(row({ name: fits, colour: 'ash', qty: '1' })).toMatchObject({ text: fits });
  });

  it.each(['y', 'YES', 'true', '1', 'x', 'extra', 'Spare'])('%s says that it is extra', (extra) =>
    expect(row({ ...part, qty: '1', extra }).extra).toBe(true),
  );
  it.each(['', 'no', '0', '12', 'yesterday', 'not spare'])('“%s” does not', (extra) =>
    expect(row({ ...part, qty: '1', extra }).extra).toBe(false),
  );

  it('a row without a part is told as such, and of nothing else', () => {
    expect(row({ name: '', colour: 'nothing', qty: '2' })).toMatchObject({
      element: null,
      part: null,
      faults: [{ fault: 'no part' }],
    });
    expect(row({ name: '', code: 'brick 1x2', colour: 'ash', qty: '2' }).element).toBe(
      el('brick 1x2', 'ash'),
    );
  });

  it('the line of a row is its own, or its place where none is known', () => {
    const table = { heading: null, rows: [['brick 1x2'], ['brick 1x3']], lines: [], columns: 1 };
    const lines = readRows(table, { purpose: 'set', roles: ['name'], palette: PALETTE, aliases: new Map() });
    expect(lines.map((r) => r.line)).toEqual([1, 2]);
    expect(rowsIn('part,colour,qty\n\nbrick 1x2,ash,2')[0]!.line).toBe(3);
  });
});

describe('what columns mean, by what stands in them', () => {
  const guess = (text: string, purpose: Purpose = 'set') => guessColumns(tableOf(text), purpose, PALETTE);

  it('is told by most of a column, and the best column has the role', () => {
    expect(guess('brick 1x2,ash,3\nplate 1x2,slate,4\ntile 1x2,bark,5')).toEqual(['name', 'colour', 'qty']);
    // Half of a column is not most of it.
    expect(guess('brick 1x2,ash,3\nplate 1x2,nonesuch,4')).toEqual(['name', 'ignore', 'qty']);
    expect(guess('brick 1x2,ash,3\nplate 1x2,,4\ntile 1x2,bark,5')).toEqual(['name', 'colour', 'qty']);
  });

  it('six hex digits are a shade with a letter or a # among them, and else a number', () => {
    expect(guess('brick 1x2,#123456,3\nplate 1x2,#654321,4')).toEqual(['name', 'hex', 'qty']);
    expect(guess('brick 1x2,12ab56,3\nplate 1x2,65cd21,4')).toEqual(['name', 'hex', 'qty']);
    expect(guess('brick 1x2,123456,3\nplate 1x2,654321,4')).toEqual(['name', 'ignore', 'qty']);
    expect(guess('brick 1x2,#12ab5,3\nplate 1x2,#65cd215,4')).not.toContain('hex');
  });

  it('a quantity is a whole number below ten thousand; a name may be one that nobody knows', () => {
    expect(guess('a strange thing,ash,2.5\nanother oddity,slate,3.5')).toEqual(['name', 'colour', 'ignore']);
    expect(guess('a strange thing,ash,10000\nanother oddity,slate,20000')).not.toContain('qty');
    expect(guess('ab,ash,1\ncd,slate,2')).toEqual(['ignore', 'colour', 'qty']);
  });

  it('of two columns with one heading the first keeps it', () => {
    expect(guess('Part,Colour,Qty,Qty\nbrick 1x2,ash,3,9\nplate 1x2,ash,3,9')).toEqual([
      'name',
      'colour',
      'qty',
      'ignore',
    ]);
    expect(guess('piece_type,pieceCount,Colour-name\nbrick 1x2,3,ash\ntile 1x2,4,ash')).toEqual([
      'name',
      'qty',
      'colour',
    ]);
  });
});
