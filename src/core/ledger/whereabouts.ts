import { holdsPieces, type AccountKey } from '../places';
import type { ElementKey } from '../parts';
import type { Books } from './books';
import { freeAt, NOTHING_KEPT, type Kept } from './free-pieces';

/** Where pieces of an element are, for saying so when they are not where they were looked for. */
export interface Whereabouts {
  readonly account: AccountKey;
  readonly qty: number;
}

/** Real places where an element may be taken from, most pieces first. */
export function whereabouts(books: Books, element: ElementKey, kept: Kept = NOTHING_KEPT): Whereabouts[] {
  return books.balances
    .accountKeys()
    .filter(holdsPieces)
    .map((account) => ({ account, qty: freeAt(books.balances, account, element, kept) }))
    .filter((w) => w.qty > 0)
    .sort((a, b) => b.qty - a.qty);
}
