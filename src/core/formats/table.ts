import Papa from 'papaparse';
import { TABLE } from '../shared/bounds';
import { fail, ok, type Result } from '../shared/result';
import { cutText, wholeText } from '../shared/text';

/** A table as it came: text cells, its heading apart when it has one. */
export interface RawTable {
  readonly heading: readonly string[] | null;
  readonly rows: readonly (readonly string[])[];
  /** The line that each row stood on, counted from 1, for telling people where a fault is. */
  readonly lines: readonly number[];
  readonly columns: number;
}

export type TableFault =
  | { readonly fault: 'empty' }
  | { readonly fault: 'only a heading' }
  | { readonly fault: 'too many rows' }
  | { readonly fault: 'too many columns'; readonly columns: number; readonly line: number }
  | { readonly fault: 'too many cells' }
  | { readonly fault: 'too much text' }
  | { readonly fault: 'open quote'; readonly line: number }
  | { readonly fault: 'not a table' };

/**
 * Takes rows one after another and holds them to the bounds as they come, so that a table is refused before it is built.
 * `add` gives the fault at which to stop; `finish` gives the table with its heading found.
 */
export class TableBuilder {
  private readonly rows: string[][] = [];
  private readonly lines: number[] = [];
  private cells = 0;
  private text = 0;
  private columns = 0;

  add(line: number, cells: readonly unknown[]): TableFault | undefined {
    if (cells.length > TABLE.columns && cells.some((c, i) => i >= TABLE.columns && cellText(c) !== ''))
      return { fault: 'too many columns', columns: cells.length, line };
    const row = cells.slice(0, TABLE.columns).map(cellText);
    while (row.length > 0 && row[row.length - 1] === '') row.pop();
    if (row.length === 0) return undefined;
    this.cells += row.length;
    this.text += row.reduce((n, c) => n + c.length, 0);
    if (this.cells > TABLE.cells) return { fault: 'too many cells' };
    if (this.text > TABLE.text) return { fault: 'too much text' };
    // One more than the bound may be the heading.
    if (this.rows.length > TABLE.rows) return { fault: 'too many rows' };
    this.rows.push(row);
    this.lines.push(line);
    this.columns = Math.max(this.columns, row.length);
    return undefined;
  }

  finish(): Result<RawTable, TableFault> {
    const { rows, lines, columns } = this;
    const [first, second] = rows;
    if (!first) return fail({ fault: 'empty' });
    if (!second && isHeadingAlone(first)) return fail({ fault: 'only a heading' });
    const heading = looksLikeHeading(first, second) ? first : null;
    const from = heading ? 1 : 0;
    if (rows.length - from > TABLE.rows) return fail({ fault: 'too many rows' });
    const wide = (row: string[]) => [...row, ...Array<string>(columns - row.length).fill('')];
    return ok({
      heading: heading && wide(heading),
      rows: rows.slice(from).map(wide),
      lines: lines.slice(from),
      columns,
    });
  }
}

/**
 * Reads delimited text: comma, semicolon, tab or bar, with or without byte-order mark, quotes and quoted line breaks.
 * The delimiter is the one that parts the first lines most evenly. Works in time that grows with the text.
 */
export function readDelimited(text: string): Result<RawTable, TableFault> {
  const plain = text.replace(/^\uFEFF/, '');
  if (plain.length > TABLE.bytes) return fail({ fault: 'too much text' });
  if (plain.includes('\0')) return fail({ fault: 'not a table' });
  const builder = new TableBuilder();
  let fault: TableFault | undefined;
  let [line, at] = [1, 0];
  Papa.parse<string[]>(plain, {
    delimiter: '',
    delimitersToGuess: ['\t', ';', ',', '|'],
    skipEmptyLines: false,
    step: ({ data, errors, meta }, parser) => {
      fault = errors.some((e) => e.type === 'Quotes')
        ? { fault: 'open quote', line }
        : builder.add(line, data);
      line += lineBreaks(plain, at, meta.cursor);
      at = meta.cursor;
      if (fault) parser.abort();
    },
  });
  return fault ? fail(fault) : builder.finish();
}

function lineBreaks(text: string, from: number, to: number): number {
  let n = 0;
  for (let i = from; i < to; i++) {
    const code = text.charCodeAt(i);
    if (code === 10 || (code === 13 && text.charCodeAt(i + 1) !== 10)) n++;
  }
  return n;
}

function cellText(cell: unknown): string {
  if (cell === null || cell === undefined || cell === '') return '';
  return cutText(wholeText(String(cell)), TABLE.cell)
    .replace(/\s+/g, ' ')
    .trim();
}

/** A number, with whatever signs and spaces stand about it, and no letters. */
const isNumber = (cell: string): boolean => /\d/.test(cell) && !/[A-Za-z]/.test(cell);

/** A heading has no numbers, has words in most places, and is followed by a row that differs in kind. */
function looksLikeHeading(row: readonly string[], next: readonly string[] | undefined): boolean {
  if (!next || row.some(isNumber)) return false;
  const named = row.filter((c) => /[\p{L}#]/u.test(c)).length;
  return (
    named >= Math.max(1, row.filter(Boolean).length - 1) &&
    (next.some(isNumber) || headingWord.test(row.join(' ')))
  );
}

/** One row that names columns and is nothing else: no digit in it, and most of its cells are words of headings. */
function isHeadingAlone(row: readonly string[]): boolean {
  const filled = row.filter(Boolean);
  return (
    filled.length > 1 &&
    !filled.some((c) => /\d/.test(c)) &&
    filled.filter((c) => headingWord.test(c)).length * 2 >= filled.length
  );
}

const headingWord =
  /\b(part|item|piece|element|name|description|colou?r|shade|qty|quantity|count|pieces|pcs|amount|how many|price|tray|zone)\b/i;
