import { fail, ok, type Result } from '../shared/result';
import type { BoxLot } from './box-lots';
import { allThere, countProblem, type Count, type CountProblem } from './check-off';

export type CountTextProblem = CountProblem | { readonly problem: 'not understood'; readonly text: string };

const LETTERS = { b: 'broken', f: 'faded', s: 'bare' } as const;

/**
 * Reads what is typed beside a lot: nothing = all there; a number = how many are there; then any of 2b (broken), 3f
 * (faded), 1s (sticker gone). A letter alone means all that are there, or one when it is b. What is broken is no longer
 * counted as there unless a number says so.
 *
 * readCount("", lot of 12) = 12 there; readCount("10 1b 3f", lot of 12) = 10 there, 1 broken, 3 faded, and 1 missing
 */
export function readCount(text: string, lot: BoxLot): Result<Count, CountTextProblem> {
  const words = text.toLowerCase().replaceAll(',', ' ').trim().split(/\s+/).filter(Boolean);
  const count = { ...allThere(lot) };
  let said = false;
  const letters: [keyof typeof LETTERS, number | null][] = [];
  for (const word of words) {
    const number = /^(\d{1,6})$/.exec(word);
    const marked = /^(\d{1,6})?([bfs])$/.exec(word);
    if (number && !said) {
      count.there = Number(number[1]);
      said = true;
    } else if (marked)
      letters.push([marked[2] as keyof typeof LETTERS, marked[1] === undefined ? null : Number(marked[1])]);
    else return fail({ problem: 'not understood', text: word });
  }
  for (const [letter, n] of letters) if (letter === 'b') count.broken += n ?? 1;
  if (!said) count.there = Math.max(0, count.there - count.broken);
  for (const [letter, n] of letters) if (letter !== 'b') count[LETTERS[letter]] += n ?? count.there;
  const problem = countProblem(lot, count);
  return problem ? fail(problem) : ok(count);
}

/** A count as it would be typed: "10 1b 3f"; "" for all there. */
export function printCount(count: Count, expected: number): string {
  const parts = [
    count.there === expected ? '' : `${count.there}`,
    count.broken > 0 ? `${count.broken}b` : '',
    count.faded > 0 ? `${count.faded}f` : '',
    count.bare > 0 ? `${count.bare}s` : '',
  ];
  return parts.filter(Boolean).join(' ');
}

/** What is most often said of a kind, for a thumb: its words, and what would be typed for them. */
export interface ThumbCount {
  readonly says: string;
  readonly text: string;
}

/**
 * The counts that are offered as keys beside a lot: each `text` is read by `readCount` as what `says` promises.
 *
 * thumbCounts(lot of 12) = all 12 there, one missing, one broken, all faded, none there
 */
export function thumbCounts(lot: BoxLot): readonly ThumbCount[] {
  const n = lot.expected;
  if (n === 1)
    return [
      { says: 'it is there', text: '' },
      { says: 'missing', text: '0' },
      { says: 'broken', text: '1b' },
      { says: 'faded', text: 'f' },
    ];
  return [
    { says: `all ${n} there`, text: '' },
    { says: 'one missing', text: `${n - 1}` },
    { says: 'one broken', text: '1b' },
    { says: 'all faded', text: 'f' },
    { says: 'none there', text: '0' },
  ];
}
