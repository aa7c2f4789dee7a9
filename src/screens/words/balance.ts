import type { Figure, Figures } from '@/core/ledger';
import { count } from '@/ui/numbers';

/** One term of the balance: its figure, the sign before it, and the word behind it. */
export interface Term {
  readonly figure: Figure;
  readonly sign: '' | '−' | '+' | '=';
  readonly words: string;
  readonly pieces: number;
}

/**
 * What is moved, and what lay in no zone, matters to a zone alone: the whole has as much of it before and after.
 */
const TERMS: readonly (readonly [
  Figure,
  sign: Term['sign'],
  words: string,
  when: 'always' | 'ever' | 'in a zone',
])[] = [
  ['shipped', '', 'shipped', 'always'],
  ['out', '−', 'out', 'always'],
  ['in', '+', 'in', 'always'],
  ['missing', '−', 'missing', 'ever'],
  ['missingReplaced', '+', 'replaced', 'ever'],
  ['fromNoZone', '+', 'from no zone', 'in a zone'],
  ['movedIn', '+', 'moved in', 'in a zone'],
  ['movedOut', '−', 'moved out', 'in a zone'],
  ['onModel', '=', 'on the model', 'always'],
];

/** The terms of the balance in their order, those that say something; the last adds up those before it. */
export const balanceTerms = (figures: Figures, inZone: boolean): readonly Term[] =>
  TERMS.filter(
    ([figure, , , when]) => when === 'always' || (figures[figure] > 0 && (when === 'ever' || inZone)),
  ).map(([figure, sign, words]) => ({ figure, sign, words, pieces: figures[figure] }));

/**
 * The balance of a build in a line.
 *
 * @example balanceWords(figures) // "412 shipped − 12 out + 90 in − 3 missing + 2 replaced = 489 on the model"
 */
export const balanceWords = (figures: Figures): string =>
  balanceTerms(figures, false)
    .map(({ sign, words, pieces }) => `${sign} ${count(pieces)} ${words}`.trim())
    .join(' ');
