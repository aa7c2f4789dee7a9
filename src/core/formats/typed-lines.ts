import { everydayColours, type Colour } from '../colour';
import type { RawTable } from './table';

/** The heading of a table that was typed line by line. */
export const TYPED_HEADING = ['How many', 'Part', 'Colour', 'Zone'] as const;

/**
 * Lines as a person types what is in a box, as a table to be looked through like any other: a number, the part, and its colour at the
 * end; a name in square brackets begins a zone. What is not read stays in its row, where it is told as a fault.
 *
 * @returns null where it is no such text: a block of columns, or a line without a number before it
 * @example typedTable('[Roof]\n12 brick 2x4 dark grey', PALETTE)!.rows // [['12', 'brick 2x4', 'dark grey', 'Roof']]
 */
export function typedTable(text: string, palette: readonly Colour[]): RawTable | null {
  const lines = text.split(/\r?\n/).map((line) => line.trim());
  const rows: string[][] = [];
  const numbers: number[] = [];
  let zone = '';
  for (const [i, line] of lines.entries()) {
    if (line === '') continue;
    if (line.includes('\t')) return null;
    const heading = /^\[(.{1,100})\]$/.exec(line);
    if (heading) {
      zone = heading[1]!.trim();
      continue;
    }
    const found = /^\+?(\d{1,6})(?: ?[x×])? (\S.*)$/.exec(line);
    if (!found) return null;
    const { part, colour } = splitColour(found[2]!, palette);
    rows.push([found[1]!, part, colour, zone]);
    numbers.push(i + 1);
  }
  return rows.length > 0 ? { heading: TYPED_HEADING, rows, lines: numbers, columns: 4 } : null;
}

/** Words of which a colour's name may consist at most. */
const MOST_WORDS = 4;

/** The longest run of words at the end that names a colour, and what stands before it. The first word always is the part's. */
function splitColour(text: string, palette: readonly Colour[]): { part: string; colour: string } {
  const words = text.split(/\s+/);
  for (let n = Math.min(MOST_WORDS, words.length - 1); n >= 1; n--) {
    const colour = words.slice(-n).join(' ');
    const plain = colour.toLowerCase();
    const isKnown =
      palette.some((c) => c.id === plain || c.name.toLowerCase() === plain) ||
      everydayColours(plain.split(' '), palette).length > 0;
    if (isKnown) return { part: words.slice(0, -n).join(' '), colour };
  }
  return { part: text, colour: '' };
}
