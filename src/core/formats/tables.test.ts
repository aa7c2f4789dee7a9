import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PALETTE } from '../colour';
import { elementKey, readPartName, splitElementKey } from '../parts';
import { ELEMENTS } from '../testing/world';
import {
  guessColumns,
  headingKey,
  PURPOSES,
  readDelimited,
  readRows,
  ROLES_FOR,
  TableBuilder,
  writeCsv,
  type ColumnRole,
} from './index';

const read = (text: string) => {
  const table = readDelimited(text);
  if (!table.ok) throw new Error(JSON.stringify(table.reason));
  return table.value;
};

/** How people head the columns of an inventory. */
const HEADINGS: Partial<Record<ColumnRole, string[]>> = {
  name: ['Part', 'part name', 'DESCRIPTION', 'Item', 'what it is', 'PartName', 'piece_type'],
  colour: ['Colour', 'color', 'Shade', 'colour name', 'COLOR'],
  qty: ['Qty', 'quantity', 'count', 'Pieces', 'How many', 'pcs', '#', 'Amount'],
};

describe('guessing columns', () => {
  it('finds part, colour and quantity under any heading, in any order, with any delimiter', () => {
    const arbitrary = fc.record({
      order: fc.shuffledSubarray(['name', 'colour', 'qty'] as const, { minLength: 3, maxLength: 3 }),
      words: fc.tuple(
        fc.constantFrom(...HEADINGS.name!),
        fc.constantFrom(...HEADINGS.colour!),
        fc.constantFrom(...HEADINGS.qty!),
      ),
      delimiter: fc.constantFrom(',', ';', '\t', '|'),
      lots: fc.array(fc.tuple(fc.constantFrom(...ELEMENTS), fc.integer({ min: 1, max: 99 })), {
        minLength: 2,
        maxLength: 20,
      }),
    });
    fc.assert(
      fc.property(arbitrary, ({ order, words, delimiter, lots }) => {
        const heading = { name: words[0], colour: words[1], qty: words[2] };
        const rows = lots.map(([element, qty]) => {
          const { part, colour } = splitElementKey(element);
          const cells = { name: part, colour, qty: String(qty) };
          return order.map((o) => cells[o]).join(delimiter);
        });
        const table = read([order.map((o) => heading[o]).join(delimiter), ...rows].join('\n'));
        expect(guessColumns(table, 'set', PALETTE)).toEqual(order);
        const taken = readRows(table, { purpose: 'set', roles: order, palette: PALETTE, aliases: new Map() });
        expect(taken.map((r) => [r.element, r.qty])).toEqual(lots);
      }),
    );
  });

  it.each(PURPOSES.map((p) => [p]))('offers only roles that make sense for %s, each once', (purpose) => {
    const table = read('part,part,colour,colour,qty,qty,price,price,tray\nbrick 1x2,x,ash,y,2,3,0.1,0.2,A1');
    const roles = guessColumns(table, purpose, PALETTE);
    expect(roles.every((r) => ROLES_FOR[purpose].includes(r))).toBe(true);
    const used = roles.filter((r) => r !== 'ignore');
    expect(new Set(used).size).toBe(used.length);
  });

  it('knows a layout again by its heading, whatever stands in the rows', () => {
    expect(headingKey(read('A,B\nx y,1'))).toBe(headingKey(read('a,b \nother,22')));
    expect(headingKey(read('A,B\nx y,1'))).not.toBe(headingKey(read('B,A\n1,x y')));
  });
});

describe('tables', () => {
  it('come back from CSV as they were written', () => {
    const cell = fc.string({ unit: 'grapheme', maxLength: 20 }).map((s) => s.replace(/[\s\0]+/g, ' ').trim());
    const rows = fc.array(
      fc.array(
        cell.filter((c) => c !== '' && !/(^|[;,|])["'\s]*[=+\-@\u2212\uff1d\uff0b\uff0d\uff20']/.test(c)),
        { minLength: 3, maxLength: 3 },
      ),
      { minLength: 1, maxLength: 15 },
    );
    fc.assert(
      fc.property(rows, (cells) => {
        const table = read(
          writeCsv({ heading: ['first, "quoted"', 'second\nline', 'part name'], rows: cells }),
        );
        const all = table.heading ? table.rows : table.rows.slice(1);
        expect(all.map((r) => r.map((c) => c))).toEqual(
          cells.map((r) => r.map((c) => c.replace(/\s+/g, ' ').trim())),
        );
      }),
      { numRuns: 200 },
    );
  });

  it('counts lines as people see them, empty ones too', () => {
    const table = read('\n\npart,colour,qty\n\nbrick 1x2,ash,1\nbrick 1x2,ash,2');
    expect([table.lines, table.rows.length]).toEqual([[5, 6], 2]);
  });

  it('takes cells of any kind from a spreadsheet', () => {
    const builder = new TableBuilder();
    const cells = [['Part', 'Colour', 'Qty'], ['brick 1x2', null, 3], [undefined, true, 2.5], []];
    cells.forEach((row, i) => expect(builder.add(i + 1, row)).toBeUndefined());
    expect(builder.finish()).toMatchObject({
      ok: true,
      value: {
        rows: [
          ['brick 1x2', '', '3'],
          ['', 'true', '2.5'],
        ],
      },
    });
  });
});

describe('names read twice', () => {
  it('are the same part, whatever was typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 40 }), (text) => {
        const { part, print } = readPartName(text);
        const key = elementKey(part.id, 'ash' as never, print);
        expect(readPartName(part.id).part.id).toBe(part.id);
        expect(splitElementKey(key).part).toBe(part.id);
      }),
      { numRuns: 2000 },
    );
  });
});
