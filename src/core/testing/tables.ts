import { PALETTE } from '../colour';
import { guessColumns, readDelimited, readRows, type Purpose, type RawTable, type ReadRow } from '../formats';
import type { ColourId } from '../shared/ids';

/** A table out of delimited text that is one. */
export function tableOf(text: string): RawTable {
  const read = readDelimited(text);
  if (!read.ok) throw new Error(JSON.stringify(read.reason));
  return read.value;
}

/** Its rows, under the columns that are guessed. */
export function rowsIn(
  text: string,
  purpose: Purpose = 'set',
  aliases: ReadonlyMap<string, ColourId> = new Map(),
): ReadRow[] {
  const table = tableOf(text);
  return readRows(table, {
    purpose,
    roles: guessColumns(table, purpose, PALETTE),
    palette: PALETTE,
    aliases,
  });
}
