import { differenceWords } from './colour';
import type { ModFileFault, RowFault, RowNote } from '@/core/formats';
import type { ZoneTreeFault } from '@/core/ledger';
import { TABLE } from '@/core/shared/bounds';
import type { UploadFault } from '@/workers/read-table/read-bytes';
import { count } from '@/ui/numbers';

/** A sentence for a file that cannot be read. */
export function uploadFaultWords(fault: UploadFault | { fault: string }): string {
  const f = fault as UploadFault;
  switch (f.fault) {
    case 'empty':
      return 'There are no rows in it. Choose a file, or paste a block, with at least one part.';
    case 'only a heading':
      return 'It has a heading and no rows below it. Choose a file, or paste a block, with at least one part.';
    case 'too many rows':
      return `It has more than ${count(TABLE.rows)} rows, which is the most. Split it and import the halves one after the other.`;
    case 'too many columns':
      return `Line ${count(f.line)} has something in column ${count(f.columns)}; ${TABLE.columns} columns are the most. Delete what stands there, or leave out the columns that do not matter.`;
    case 'too many cells':
    case 'too much text':
      return 'It has more in it than can be read at once. Leave out columns that do not matter, or split it.';
    case 'open quote':
      return `A quote (") opens in line ${count(f.line)} and is not closed there, so everything behind it would be one cell. Close it or take it out.`;
    case 'too costly':
      return `It takes more than ${TABLE.seconds} seconds or more memory than a table may. Save only the sheet with the parts, or save it as CSV.`;
    case 'busy':
      return 'Other files are being read. Try again in a moment.';
    case 'not a table':
      return 'It is not a table of text. Save it as CSV, TSV or XLSX.';
    case 'too large':
      return 'It is larger than 20 MB, or unpacks to far more. Split it, or leave out columns.';
    case 'unreadable':
      return 'The XLSX file could not be read: it may be damaged. Save it again, or as CSV.';
    case 'old spreadsheet':
      return 'It is a spreadsheet of the old kind. Save it as XLSX or CSV.';
    default:
      return 'It could not be read. Save it as CSV, TSV or XLSX.';
  }
}

export function rowFaultWords(f: RowFault): string {
  switch (f.fault) {
    case 'no part':
      return 'No part is named.';
    case 'too long':
      return `The name, with its colour and print, is longer than the ${f.most} characters that are kept. Shorten it.`;
    case 'no colour':
      return 'No colour is named.';
    case 'unknown colour':
      return `“${f.text}” is not in the palette. Choose what it is.`;
    case 'no quantity':
      return 'No quantity.';
    case 'quantity':
      return `“${f.text}” is not a whole number of pieces from 1 to 100,000.`;
    case 'no price':
      return 'No price.';
    case 'year':
      return `“${f.text}” is not a year, or ends before it begins. Write 2009, or leave it empty.`;
    case 'price':
      return `“${f.text}” is not a price.`;
  }
}

export function rowNoteWords(n: RowNote): string {
  switch (n.note) {
    case 'nearest colour':
      return `${n.text} taken as the nearest, ${differenceWords(n.deltaE)}`;
    case 'everyday colour':
      return `${short(n.text)} taken as the colour of that name that looks most like it`;
    case 'name kept as written':
      return 'Shape not read: the name is kept as written';
  }
}

const short = (id: string): string => `“${id.slice(0, 30)}”`;
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

export const ZONE_WORDS: Readonly<Record<ZoneTreeFault['fault'], string>> = {
  'no root': 'No zone stands for the whole model.',
  'two roots': 'Two zones stand for the whole model.',
  circle: 'A zone lies within itself, by way of others.',
  'parent is not there': 'A zone lies within one that is not there.',
};

export function modFileFaultWords(f: ModFileFault): string {
  switch (f.fault) {
    case 'not json':
      return 'It is not a mod file: its text is not JSON. Nothing was imported.';
    case 'not a mod file':
      return 'It is JSON, but not a mod file of Evarn. Nothing was imported.';
    case 'newer version':
      return `It was made by a newer Evarn (${f.version}). Bring it in there, or update this one.`;
    case 'twice':
      return `Two ${f.where} in it have the same name, ${short(f.id)}. Nothing was imported.`;
    case 'refers to nothing':
      return `${capital(f.where)} names something that is not in the file, ${short(f.id)}. Nothing was imported.`;
    case 'zones':
      return `${ZONE_WORDS[f.how]} Nothing was imported.`;
    case 'entry':
      return `${capital(f.where)} moves pieces as no entry may (${f.how}). Nothing was imported.`;
    case 'shape':
      return `Something in it is not as a mod file has it, at ${f.where || 'the top'}: ${f.says}. Nothing was imported.`;
  }
}
