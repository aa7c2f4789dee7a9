import type { ModFileFault, RowFault, RowNote } from '@/core/formats';
import type { UploadFault } from '@/server/read-upload';

/** A sentence for a file that cannot be read. */
export function uploadFaultWords(fault: UploadFault | { fault: string }): string {
  const f = fault as UploadFault;
  switch (f.fault) {
    case 'empty':
      return 'There are no rows in it. Choose a file, or paste a block, with at least one part.';
    case 'too many rows':
      return `It has ${f.rows >= 50_900 ? 'more than 50,900' : f.rows.toLocaleString('en-GB')} rows; 50,000 is the most. Split it and bring the halves in one after the other.`;
    case 'too many columns':
      return `It has ${f.columns} columns; 200 is the most. Leave out the ones that do not matter.`;
    case 'not a table':
      return 'It is not a table of text. Save it as CSV, TSV or XLSX.';
    case 'too large':
      return 'It is larger than 20 MB. Split it, or leave out columns.';
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

export const rowNoteWords = (n: RowNote): string =>
  n.note === 'nearest colour'
    ? `${n.text} taken as the nearest, ΔE ${n.deltaE.toFixed(1)}`
    : 'Shape not read: the name is kept as written';

export function modFileFaultWords(f: ModFileFault): string {
  switch (f.fault) {
    case 'not json':
      return 'It is not a mod file: its text is not JSON. Nothing was brought in.';
    case 'not a mod file':
      return 'It is JSON, but not a mod file of Evarn. Nothing was brought in.';
    case 'newer version':
      return `It was made by a newer Evarn (${f.version}). Bring it in there, or update this one.`;
    case 'shape':
      return `Something in it is not as a mod file has it, at ${f.where || 'the top'}: ${f.says}. Nothing was brought in.`;
  }
}

export const restoreFaultWords = (fault: string): string =>
  ({
    'not a backup': 'That file is not a backup of Evarn. The workspace is as it was.',
    damaged: 'That backup is damaged. The workspace is as it was.',
    'newer program': 'That backup was made by a newer Evarn. The workspace is as it was.',
    'too large': 'That file is larger than 256 MB. The workspace is as it was.',
  })[fault] ?? 'That file could not be restored. The workspace is as it was.';
