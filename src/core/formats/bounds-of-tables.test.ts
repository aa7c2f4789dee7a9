import { describe, expect, it } from 'vitest';
import { TABLE } from '../shared/bounds';
import { readDelimited, TableBuilder } from './index';

const table = (text: string) => {
  const read = readDelimited(text);
  return read.ok ? read.value : read.reason;
};

describe('a table', () => {
  it('may have as many columns as are allowed, and empty ones beyond', () => {
    const row = (n: number) => Array.from({ length: n }, (_, i) => `c${i}`);
    expect(new TableBuilder().add(1, row(TABLE.columns))).toBeUndefined();
    expect(new TableBuilder().add(1, [...row(TABLE.columns), '', null, undefined])).toBeUndefined();
    expect(new TableBuilder().add(7, [...row(TABLE.columns), ''.padEnd(3), 'x'])).toEqual({
      fault: 'too many columns',
      columns: TABLE.columns + 2,
      line: 7,
    });
    expect(new TableBuilder().add(1, row(TABLE.columns + 1))).toMatchObject({ fault: 'too many columns' });
  });

  it('may have as many rows as are allowed, and a heading', () => {
    const filled = (first: readonly string[], rows: number) => {
      const builder = new TableBuilder();
      let fault = builder.add(1, first);
      for (let i = 0; i < rows && !fault; i++) fault = builder.add(i + 2, ['brick 1x2', 'ash', '3']);
      return fault ?? builder.finish();
    };
    expect(filled(['part', 'colour', 'qty'], TABLE.rows)).toMatchObject({ ok: true });
    expect(filled(['brick 1x3', 'ash', '3'], TABLE.rows - 1)).toMatchObject({ ok: true });
    expect(filled(['brick 1x3', 'ash', '3'], TABLE.rows)).toEqual({
      ok: false,
      reason: { fault: 'too many rows' },
    });
    expect(filled(['part', 'colour', 'qty'], TABLE.rows + 1)).toMatchObject({ fault: 'too many rows' });
  });

  it('may have so many cells, those at the end of a row that are empty not counted', () => {
    const many = (cells: readonly string[]) => {
      const builder = new TableBuilder();
      for (let i = 0; i < TABLE.cells / 100; i++) {
        const fault = builder.add(i + 1, cells);
        if (fault) return fault;
      }
      return builder.add(1, ['x']);
    };
    const hundred = Array.from({ length: 100 }, () => 'x');
    expect(many([...hundred, '', ''])).toEqual({ fault: 'too many cells' });
    expect(many(hundred.slice(1))).toBeUndefined();
  });

  it('may have so much text in all, a cell no more than its own bound', () => {
    const builder = new TableBuilder();
    const long = 'y'.repeat(TABLE.cell);
    const rows = Math.floor(TABLE.text / (TABLE.cell * 100));
    const cells = Array.from({ length: 100 }, () => long);
    for (let i = 0; i < rows; i++) expect(builder.add(i + 1, cells)).toBeUndefined();
    const faults = [1, 2, 3].map((n) => builder.add(rows + n, cells));
    expect(faults.at(-1)).toEqual({ fault: 'too much text' });
    expect(readDelimited('z'.repeat(TABLE.bytes + 1))).toEqual({
      ok: false,
      reason: { fault: 'too much text' },
    });
    const cut = readDelimited(`part,qty\n${'z'.repeat(3000)},2`);
    expect(cut.ok && cut.value.rows[0]).toEqual(['z'.repeat(TABLE.cell), '2']);
  });

  it('is none of these', () => {
    expect(table('')).toEqual({ fault: 'empty' });
    expect(table(' , ,\n\n')).toEqual({ fault: 'empty' });
    expect(table('part,colour,qty')).toEqual({ fault: 'only a heading' });
    expect(table('part\0,qty\n1,2')).toEqual({ fault: 'not a table' });
    expect(table('part,qty\n"brick 1x2,3\nplate,4')).toEqual({ fault: 'open quote', line: 2 });
  });

  it('of one row is a heading alone only where its words are those of one, and no number is among them', () => {
    expect(table('part')).toMatchObject({ rows: [['part']], heading: null });
    expect(table('part,colour,nonsense,more')).toEqual({ fault: 'only a heading' });
    expect(table('part,nonsense,more')).toMatchObject({ rows: [['part', 'nonsense', 'more']] });
    expect(table('part 3,colour')).toMatchObject({ rows: [['part 3', 'colour']] });
    expect(table('part,,colour,')).toEqual({ fault: 'only a heading' });
  });

  it('has a heading where the first row has words and the next is of another kind', () => {
    const heading = (text: string) => (table(text) as { heading: readonly string[] | null }).heading;
    expect(heading('what,shade,how many\nbrick,ash,3')).toEqual(['what', 'shade', 'how many']);
    expect(heading('what,tone\nbrick,ash')).toBeNull();
    expect(heading('part,tone\nbrick,ash')).toEqual(['part', 'tone']);
    expect(heading('part,,,qty\nbrick,,,3')).toEqual(['part', '', '', 'qty']);
    expect(heading('part,?,?,?\nbrick,1,2,3')).toBeNull();
    expect(heading('part,7\nbrick,3')).toBeNull();
  });

  it('tells lines as people see them, whichever way they end', () => {
    const lines = (text: string) => (table(text) as { lines: readonly number[] }).lines;
    expect(lines('part,qty\r\na b,1\r\n\r\nc d,2')).toEqual([2, 4]);
    expect(lines('part,qty\ra b,1\r\rc d,2')).toEqual([2, 4]);
    expect(lines('part,qty\n"a\nb",1\nc,2')).toEqual([2, 4]);
  });

  it('has its cells closed up, and rows as wide as the widest', () => {
    expect(table('\uFEFFpart,qty,tray\n  brick   1x2 ,3,\nplate,4,A 1')).toMatchObject({
      heading: ['part', 'qty', 'tray'],
      rows: [
        ['brick 1x2', '3', ''],
        ['plate', '4', 'A 1'],
      ],
      columns: 3,
    });
  });
});
