import type { ElementKey } from '../parts';
import type { ColourId } from '../shared/ids';
import { printElement } from './print';

/** A key of the line's own keyboard: what it says, and what stands in the line after it. */
export interface Chip {
  readonly says: string;
  readonly line: string;
  readonly element?: ElementKey;
  readonly colour?: ColourId;
}

/** What the keys offer beside verbs and numbers. */
export interface ChipChoice {
  /** Parts that were logged last, the latest first. */
  readonly recent: readonly ElementKey[];
  readonly colours: readonly ColourId[];
}

/** The verbs that are logged with one hand, in the words that people use for them. */
const VERBS: readonly (readonly [verb: string, says: string])[] = [
  ['-', 'off'],
  ['+', 'on'],
  ['~', 'recolour'],
  ['%', 'renew'],
  ['!', 'missing'],
];
const NUMBERS = [1, 2, 3, 4, 5, 6, 8, 10, 12, 20];

/**
 * What a thumb may press next in a line: a verb, then how many, then a part that was logged lately, then of a recolouring the colour,
 * and at the end the next change. Each gives the whole line as it is then.
 *
 * @example chipsFor('-2 ', { recent: [el], colours: [] })[0].line // '-2 brick 1x2 ash'
 */
export function chipsFor(line: string, { recent, colours }: ChipChoice): Chip[] {
  const before = /^[\s\S]*[,;]\s*/.exec(line)?.[0] ?? '';
  const clause = line.slice(before.length);
  const spaced = line === '' || /\s$/.test(line) ? line : `${line} `;
  if (clause.trim() === '') return VERBS.map(([verb, says]) => ({ says, line: `${spaced}${verb}` }));
  if (/^[-+~%!]$/.test(clause.trim()))
    return NUMBERS.map((n) => ({ says: String(n), line: `${line.trimEnd()}${n} ` }));
  if (/^[-+~%!]\d+$/.test(clause.trim()))
    return recent.map((element) => {
      const says = printElement(element);
      return { says, line: `${spaced}${says}`, element };
    });
  const isRecolouring = clause.startsWith('~');
  if (isRecolouring && !clause.includes('>')) return [{ says: 'to which colour', line: `${spaced}> ` }];
  if (isRecolouring && /> ?$/.test(clause))
    return colours.map((colour) => ({ says: colour, line: `${spaced}${colour}`, colour }));
  return [{ says: 'and', line: `${line.trimEnd()}, ` }];
}

/** The line without what was put in last: its last word, or a sign that stands alone. */
export function withoutLast(line: string): string {
  const kept = line.trimEnd();
  const at = kept.lastIndexOf(' ');
  const rest = kept.slice(0, at + 1).trimEnd();
  return rest === '' ? '' : `${rest} `;
}

interface Moves {
  readonly movements: readonly { readonly element: ElementKey }[];
}

/** The elements of entries, the latest first, each once. */
export function recentElements(entries: readonly Moves[], most: number): ElementKey[] {
  const found = new Set<ElementKey>();
  for (let i = entries.length - 1; i >= 0 && found.size < most; i--)
    for (const m of entries[i]!.movements) if (found.size < most) found.add(m.element);
  return [...found];
}
