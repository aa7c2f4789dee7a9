import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { asId, type ColourId } from '../shared/ids';
import { el } from '../testing/world';
import { rowsIn } from '../testing/tables';
import { aliasKey, readDelimited, writeCsv } from './index';

describe('tables as people have them', () => {
  it.each([
    ['comma', 'Part,Colour,Qty\n"Plate, 1 x 3",chalk,2\n'],
    ['semicolon and byte-order mark', '\uFEFFQuantity;What;Shade\r\n2;plate 1x3;Chalk\r\n'],
    ['tab', 'how many\tdescription\tcolor\n2\t1x3 plate\tCHALK'],
    ['bar', 'Name|Pieces|Colour\nplate 1x3|2|C01'],
    ['no heading, any order', '2,chalk,plate 1x3\n4,ash,brick 1x2'],
    ['hex', 'part,hex,count\nplate 1x3,#f0eee7,2'],
    ['colour in the name', 'item,qty\nplate 1x3 chalk,2'],
    ['quoted line break', 'part,colour,qty\n"plate\n1x3",chalk,2'],
    [
      'spare columns and empty lines',
      '\n\nimage,PartName,Colour ID,Colour,Qty,Weight\n\nx.png,plate 1x3,77,chalk,2,0.3\n\n',
    ],
  ])('%s', (_, text) =>
    expect(rowsIn(text)[0]).toMatchObject({ element: el('plate 1x3', 'chalk'), qty: 2, faults: [] }),
  );

  it('reads thousands and decimal commas by column', () => {
    expect(rowsIn('part,colour,qty\nbrick 1x2,ash,"1,200"')[0]!.qty).toBe(1200);
    expect(rowsIn('part;colour;qty\nbrick 1x2;ash;1.200')[0]!.qty).toBe(1200);
    expect(rowsIn('part;colour;price new;price used\nbrick 1x2;ash;0,12;€ 0,08', 'prices')[0]).toMatchObject({
      newPrice: 12,
      usedPrice: 8,
    });
  });

  it('says on which line a fault is, and what it is', () => {
    const read = rowsIn(
      'part,colour,qty\nbrick 1x2,ash,2\nbrick 1x2,puce,2\n,ash,1\nbrick 1x2,ash,two\nbrick 1x2,ash,\nbrick 1x2,,3\nbrick 1x2,ash,2.5',
    );
    expect(read.map((r) => [r.line, r.faults.map((f) => f.fault)])).toEqual([
      [2, []],
      [3, ['unknown colour']],
      [4, ['no part']],
      [5, ['quantity']],
      [6, ['no quantity']],
      [7, ['no colour']],
      [8, ['quantity']],
    ]);
  });

  it('takes everyday words for the colour that looks most like them, and says so', () => {
    const read = rowsIn('part,colour,qty\nbrick 1x2,dark grey,2\nbrick 1x2,White,1\nbrick 1x2 light blue,,1');
    expect(read.map((r) => [r.element, r.faults, r.notes.map((n) => n.note)])).toEqual([
      [el('brick 1x2', 'slate'), [], ['everyday colour']],
      [el('brick 1x2', 'chalk'), [], ['everyday colour']],
      [null, [{ fault: 'no colour' }], expect.anything()],
    ]);
    expect(rowsIn('part,qty\nbrick 1x2 dark red,2')[0]!.element).toBe(el('brick 1x2', 'berry'));
  });

  it('remembers a colour that a person matched', () => {
    const aliases = new Map([[aliasKey(' Old  GREY'), asId<ColourId>('dove')]]);
    expect(rowsIn('part,colour,qty\nbrick 1x2,old grey,2', 'set', aliases)[0]!.element).toBe(
      el('brick 1x2', 'dove'),
    );
  });

  it('takes own parts with trays and conditions, sets with zones and extras', () => {
    expect(rowsIn('part,colour,qty,drawer,condition\nbrick 1x2,ash,2,C4,Used', 'stock')[0]).toMatchObject({
      tray: 'C4',
      condition: 'used',
    });
    expect(rowsIn('part,colour,qty,zone,extra\nbrick 1x2,ash,2,Tower,yes')[0]).toMatchObject({
      zone: 'Tower',
      extra: true,
    });
  });

  it('refuses what is no table', () => {
    expect(readDelimited('')).toMatchObject({ ok: false, reason: { fault: 'empty' } });
    expect(readDelimited('a\0b')).toMatchObject({ ok: false, reason: { fault: 'not a table' } });
    expect(readDelimited('brick 1x2,ash,1\n'.repeat(50_002))).toMatchObject({
      ok: false,
      reason: { fault: 'too many rows' },
    });
    expect(readDelimited(`${'a,'.repeat(300)}\n1`)).toMatchObject({
      ok: false,
      reason: { fault: 'too many columns' },
    });
  });

  it('takes hostile names as plain text', () => {
    const read = rowsIn(
      'part,colour,qty\n"<img src=x onerror=alert(1)>",ash,2\n"=HYPERLINK(1)",ash,1\n"‮gnirts 🧱",ash,1',
    );
    expect(read.every((r) => r.faults.length === 0 && r.notes[0]?.note === 'name kept as written')).toBe(
      true,
    );
  });
});

it('makes cells harmless that a spreadsheet would run', () => {
  const csv = writeCsv({
    heading: ['a'],
    rows: [['=1+1'], ['+2'], ['-3'], ['@x'], ['\tx'], ['  =cmd'], ['−2 plates'], [-5], ['fine, "really"']],
  });
  const cells = Papa.parse<string[]>(csv.trim())
    .data.slice(1)
    .map((r) => r[0]!);
  expect(cells.slice(0, 7).every((c) => c.startsWith("'"))).toBe(true);
  expect(cells.slice(7)).toEqual(['-5', 'fine, "really"']);
});
