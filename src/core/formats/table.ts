import Papa from 'papaparse';
import { fail, ok, type Result } from '../shared/result';

/** A table as it came: text cells, its heading apart when it has one. */
export interface RawTable {
  readonly heading: readonly string[] | null;
  readonly rows: readonly (readonly string[])[];
  /** Number of the line that `rows[0]` stood on, counted from 1, for telling people where a fault is. */
  readonly firstLine: number;
  readonly columns: number;
}

export const MOST_ROWS = 50_000;
export const MOST_BYTES = 20 * 1024 * 1024;
const MOST_COLUMNS = 200;
const MOST_CELL = 2000;

export type TableFault =
  | { readonly fault: 'empty' }
  | { readonly fault: 'too many rows'; readonly rows: number }
  | { readonly fault: 'too many columns'; readonly columns: number }
  | { readonly fault: 'not a table' };

/**
 * Reads delimited text: comma, semicolon, tab or bar, with or without byte-order mark, quotes and quoted line breaks.
 * The delimiter is the one that parts the first lines most evenly.
 */
export function readDelimited(text: string): Result<RawTable, TableFault> {
  const plain = text.replace(/^\uFEFF/, '');
  if (plain.includes('\0')) return fail({ fault: 'not a table' });
  const parsed = Papa.parse<string[]>(plain, {
    delimiter: '',
    delimitersToGuess: ['\t', ';', ',', '|'],
    skipEmptyLines: false,
    preview: MOST_ROWS + 1000,
  });
  return tableOf(parsed.data);
}

/** Makes a table of cells: trims them, leaves empty lines out, finds the heading. */
export function tableOf(cells: readonly (readonly unknown[])[]): Result<RawTable, TableFault> {
  const all = cells.map((row, i) => ({ line: i + 1, row: row.map(cellText) }));
  const filled = all.filter(({ row }) => row.some((c) => c !== ''));
  if (filled.length === 0) return fail({ fault: 'empty' });
  const columns = filled.reduce((n, { row }) => Math.max(n, row.length), 0);
  if (columns > MOST_COLUMNS) return fail({ fault: 'too many columns', columns });
  const first = filled[0];
  const heading = first && looksLikeHeading(first.row, filled[1]?.row) ? first.row : null;
  const body = heading ? filled.slice(1) : filled;
  if (body.length === 0) return fail({ fault: 'empty' });
  if (body.length > MOST_ROWS) return fail({ fault: 'too many rows', rows: body.length });
  return ok({ heading, rows: body.map((r) => r.row), firstLine: body[0]?.line ?? 1, columns });
}

function cellText(cell: unknown): string {
  if (cell === null || cell === undefined) return '';
  return String(cell).slice(0, MOST_CELL).replace(/\s+/g, ' ').trim();
}

/** A heading has no numbers, has words in most places, and is followed by a row that differs in kind. */
function looksLikeHeading(row: readonly string[], next: readonly string[] | undefined): boolean {
  if (!next) return false;
  const isNumber = (c: string) => /^[^A-Za-z]*\d[\d.,\s]*[^A-Za-z]*$/.test(c);
  if (row.some(isNumber)) return false;
  const named = row.filter((c) => /\p{L}|#/u.test(c)).length;
  return (
    named >= Math.max(1, row.filter(Boolean).length - 1) &&
    (next.some(isNumber) || headingWord.test(row.join(' ')))
  );
}

const headingWord = /\b(part|name|description|colou?r|qty|quantity|count|pieces|amount|price|tray|zone)\b/i;
