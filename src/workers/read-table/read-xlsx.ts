import { TableBuilder, type RawTable, type TableFault } from '@/core/formats/table';
import { TABLE } from '@/core/shared/bounds';
import { fail, type Result } from '@/core/shared/result';
import { readXml } from './read-xml';
import { BadSpreadsheet, openZip, type ZipParts } from './zip-parts';

/** The last row and column that a spreadsheet can have. */
const LAST = { row: 1_048_576, column: 16_384 };

/** Stops the reading of a sheet at the first bound that it breaks. */
class TableEnded extends Error {
  constructor(readonly fault: TableFault) {
    super(fault.fault);
  }
}

/**
 * Reads the first sheet of an XLSX file as a table. Everything is streamed and held to the bounds before it is built;
 * what is no such file throws `BadSpreadsheet`.
 */
export async function readXlsx(bytes: Buffer): Promise<Result<RawTable, TableFault>> {
  const parts = await openZip(bytes);
  const { sheet, epoch } = await firstSheet(parts);
  const strings = await sharedStrings(parts);
  const dates = await dateStyles(parts);
  const builder = new TableBuilder();
  try {
    await readSheet(parts, sheet, (cell) => cellText(cell, strings, dates, epoch), builder);
  } catch (error) {
    if (error instanceof TableEnded) return fail(error.fault);
    throw error;
  }
  return builder.finish();
}

async function firstSheet(parts: ZipParts): Promise<{ sheet: string; epoch: number }> {
  let id = '';
  let epoch = 25_569;
  await readXml(parts, 'xl/workbook.xml', {
    open(name, a) {
      if (name === 'workbookPr' && /^(1|true)$/.test(a.date1904 ?? '')) epoch = 24_107;
      if (name === 'sheet' && !id)
        id = a['r:id'] ?? Object.entries(a).find(([k]) => k.endsWith(':id'))?.[1] ?? '';
    },
  });
  let target = '';
  await readXml(parts, 'xl/_rels/workbook.xml.rels', {
    open(name, a) {
      if (name === 'Relationship' && a.Id === id) target = a.Target ?? '';
    },
  });
  const sheet = target.startsWith('/') ? target.slice(1) : `xl/${target}`;
  if (!parts.has(sheet)) throw new BadSpreadsheet('unreadable');
  return { sheet, epoch };
}

/** Texts that cells refer to by number. Readings beside a text in another script are left out. */
async function sharedStrings(parts: ZipParts): Promise<string[]> {
  const strings: string[] = [];
  if (!parts.has('xl/sharedStrings.xml')) return strings;
  let [text, size] = ['', 0];
  let [inText, inReading] = [false, false];
  await readXml(parts, 'xl/sharedStrings.xml', {
    open(name) {
      if (name === 'si') text = '';
      if (name === 't') inText = true;
      if (name === 'rPh') inReading = true;
    },
    text(more) {
      if (inText && !inReading && text.length < TABLE.cell) text += more;
    },
    close(name) {
      if (name === 't') inText = false;
      if (name === 'rPh') inReading = false;
      if (name !== 'si') return;
      size += text.length;
      if (strings.length >= TABLE.cells || size > TABLE.text) throw new BadSpreadsheet('too large');
      strings.push(text);
    },
  });
  return strings;
}

/** For each cell style, whether its numbers are days. */
async function dateStyles(parts: ZipParts): Promise<boolean[]> {
  const styles: boolean[] = [];
  if (!parts.has('xl/styles.xml')) return styles;
  const formats = new Map<string, boolean>();
  let inCells = false;
  await readXml(parts, 'xl/styles.xml', {
    open(name, a) {
      if (name === 'numFmt') formats.set(a.numFmtId ?? '', isDateFormat(a.formatCode ?? ''));
      if (name === 'cellXfs') inCells = true;
      if (name !== 'xf' || !inCells || styles.length >= TABLE.cells) return;
      const id = Number(a.numFmtId);
      styles.push(formats.get(a.numFmtId ?? '') ?? ((id >= 14 && id <= 22) || (id >= 45 && id <= 47)));
    },
    close(name) {
      if (name === 'cellXfs') inCells = false;
    },
  });
  return styles;
}

/** "dd/mm/yyyy" is a date, "0.00 \"my\"" is not: what is quoted, in brackets or behind a backslash does not count. */
function isDateFormat(code: string): boolean {
  let closes = '';
  for (let i = 0; i < code.length; i++) {
    const sign = code.charAt(i);
    if (closes) closes = sign === closes ? '' : closes;
    else if (sign === '"' || sign === '[') closes = sign === '[' ? ']' : sign;
    else if (sign === '\\') i++;
    else if (/[ymdh]/i.test(sign)) return true;
  }
  return false;
}

interface SheetCell {
  readonly kind: string;
  readonly style: number;
  readonly value: string;
}

async function readSheet(
  parts: ZipParts,
  sheet: string,
  textOf: (cell: SheetCell) => string,
  builder: TableBuilder,
): Promise<void> {
  let [line, column] = [0, 0];
  let row: string[] = [];
  let cell = { kind: 'n', style: 0, value: '' };
  let reading = false;
  await readXml(parts, sheet, {
    open(name, a) {
      if (name === 'row') {
        line = a.r === undefined ? line + 1 : Number(a.r);
        if (!(line >= 1 && line <= LAST.row)) throw new BadSpreadsheet('unreadable');
        [row, column] = [[], 0];
      } else if (name === 'c') {
        column = a.r === undefined ? column + 1 : columnOf(a.r);
        if (!(column >= 1 && column <= LAST.column)) throw new BadSpreadsheet('unreadable');
        cell = { kind: a.t ?? 'n', style: Number(a.s ?? 0), value: '' };
      } else if (name === 'v' || name === 't') reading = true;
    },
    text(more) {
      if (reading && cell.value.length < TABLE.cell) cell.value += more;
    },
    close(name) {
      if (name === 'v' || name === 't') reading = false;
      if (name === 'c') put(row, column, textOf(cell), line);
      if (name !== 'row') return;
      const fault = builder.add(line, row);
      if (fault) throw new TableEnded(fault);
    },
  });
}

function put(row: string[], column: number, text: string, line: number): void {
  if (text.trim() === '') return;
  if (column > TABLE.columns) throw new TableEnded({ fault: 'too many columns', columns: column, line });
  while (row.length < column) row.push('');
  row[column - 1] = text;
}

/** The column of a cell's name, from 1: columnOf("C7") = 3. */
function columnOf(name: string): number {
  let n = 0;
  for (const letter of name) {
    const digit = letter.charCodeAt(0) - 64;
    if (digit < 1 || digit > 26) break;
    n = n * 26 + digit;
  }
  return n;
}

function cellText(
  cell: SheetCell,
  strings: readonly string[],
  dates: readonly boolean[],
  epoch: number,
): string {
  if (cell.kind === 's') return strings[Number(cell.value)] ?? '';
  if (cell.kind === 'b') return cell.value === '1' ? 'yes' : '';
  if (cell.kind === 'e') return '';
  if (cell.kind !== 'n' || cell.value.trim() === '') return cell.value;
  const number = Number(cell.value);
  if (!Number.isFinite(number)) return cell.value;
  const day = (number - epoch) * 86_400_000;
  return dates[cell.style] && Math.abs(day) < 8e15
    ? new Date(day).toISOString().slice(0, 10)
    : String(number);
}
