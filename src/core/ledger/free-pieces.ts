import type { ElementKey } from '../parts';
import type { AccountKey } from '../places';
import type { Balances } from './balances';
import type { Grade } from '../places';
import type { KeptAssembly } from '../records';

/** Pieces at each place that are kept together under a name, by `account|element`. */
export type Kept = ReadonlyMap<string, number>;

export const NOTHING_KEPT: Kept = new Map();

export function keptAt(kept: Iterable<KeptAssembly>): Kept {
  const sums = new Map<string, number>();
  for (const k of kept)
    for (const l of k.lots) {
      const key = `${k.account}|${l.element}`;
      sums.set(key, (sums.get(key) ?? 0) + l.qty);
    }
  return sums;
}

/**
 * What of an element may be taken from a place, by condition: what lies there less what is kept together. This is the one
 * answer to "what is free" that a line, the need, a pick list, putting away and mending mismatches all ask. What is kept is
 * counted in the order in which the conditions are listed; grades of which nothing is free are left out.
 *
 * 5 used pieces of which 5 are kept whole: []; 3 new and 4 used of which 5 are kept: [['used', 2]]
 */
export function freeGrades(
  balances: Balances,
  account: AccountKey,
  element: ElementKey,
  kept: Kept,
): [Grade, number][] {
  let held = kept.get(`${account}|${element}`) ?? 0;
  return balances.grades(account, element).flatMap(([grade, there]): [Grade, number][] => {
    if (there <= 0) return [];
    const together = Math.min(held, there);
    held -= together;
    return there > together ? [[grade, there - together]] : [];
  });
}

/** Pieces of an element that may be taken from a place, over all conditions. */
export const freeAt = (balances: Balances, account: AccountKey, element: ElementKey, kept: Kept): number =>
  freeGrades(balances, account, element, kept).reduce((sum, [, n]) => sum + n, 0);

/** Pieces of one condition that may be taken from a place. */
export const freeOf = (
  balances: Balances,
  account: AccountKey,
  element: ElementKey,
  grade: Grade,
  kept: Kept,
): number => freeGrades(balances, account, element, kept).find(([g]) => g === grade)?.[1] ?? 0;
