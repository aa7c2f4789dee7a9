import { twoLists } from '../pool';
import { ENTRY_KINDS, placeOf } from '../places';
import { splitElementKey, type ElementKey } from '../parts';
import type { Books } from '../ledger';
import type { ModificationId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { piecesOn, shippedLots, type Workbench } from '../workbench';

/** For whom a list of parts is: who buys all of it, or owns the set and lacks the rest. */
export const LIST_FOR = ['all bought', 'set owned'] as const;
export type ListFor = (typeof LIST_FOR)[number];

export interface PartsListChoice {
  readonly for: ListFor;
  readonly planned: boolean;
  /** With the parts one would have in place of placeholders and of what a limit made one take. */
  readonly ideal: boolean;
  /** Of one modification alone; null = of the whole model. */
  readonly modification: ModificationId | null;
}

export interface PartsListRow {
  readonly element: ElementKey;
  readonly qty: number;
  /** What one costs new by the price book; null = no price is known. */
  readonly each: Minor | null;
}

/**
 * The parts that others need for a mod. Of one modification: what it puts on, as it is or, for who owns the set, without what it
 * takes off itself. Sorted by colour, then part.
 *
 * @example partsForOthers(workbench, { for: 'set owned', planned: false, ideal: true, modification: null })
 */
export function partsForOthers(workbench: Workbench, choice: PartsListChoice): PartsListRow[] {
  const books = choice.planned ? workbench.planned : workbench.built;
  const sums = choice.modification
    ? putOn(workbench, books, choice.modification, choice.for === 'set owned')
    : new Map(piecesOn(workbench, books));
  if (choice.ideal)
    for (const { used, ideal, qty } of twoLists(workbench).instead) {
      const n = Math.min(qty, sums.get(used) ?? 0);
      if (n <= 0) continue;
      sums.set(used, sums.get(used)! - n);
      sums.set(ideal, (sums.get(ideal) ?? 0) + n);
    }
  if (choice.for === 'set owned' && !choice.modification)
    for (const [element, n] of setOf(workbench)) sums.set(element, (sums.get(element) ?? 0) - n);
  return [...sums]
    .flatMap(([element, qty]) =>
      qty > 0 ? [{ element, qty, each: workbench.priceOf(element, 'new' as never) }] : [],
    )
    .sort((a, b) => sortKey(a.element).localeCompare(sortKey(b.element), 'en', { numeric: true }));
}

const sortKey = (element: ElementKey): string => {
  const { part, colour, print } = splitElementKey(element);
  return `${colour} ${part} ${print}`;
};

/** What a modification puts on the model, with or without what it takes off. */
function putOn(workbench: Workbench, books: Books, modification: ModificationId, without: boolean) {
  const sums = new Map<ElementKey, number>();
  const add = (element: ElementKey, n: number) => sums.set(element, (sums.get(element) ?? 0) + n);
  for (const e of workbench.entriesIn(modification)) {
    // Pieces noted in another condition are put on by nobody.
    if (!books.has(e.id) || ENTRY_KINDS[e.kind].regrades) continue;
    for (const m of e.movements) {
      const [from, to] = [placeOf(m.from) === 'model', placeOf(m.to) === 'model'];
      if (to && !from) add(m.element, m.qty);
      if (from && !to && without) add(m.element, -m.qty);
    }
  }
  return sums;
}

/** What the build's base boxes hold, spares in the box included: what an owner of the set has. */
function setOf(workbench: Workbench): Map<ElementKey, number> {
  const sums = new Map<ElementKey, number>();
  for (const { copy, element, qty } of shippedLots(workbench))
    if (copy.role === 'base') sums.set(element, (sums.get(element) ?? 0) + qty);
  return sums;
}
