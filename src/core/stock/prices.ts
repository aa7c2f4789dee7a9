import { added, changed, removed, type Command, type Price } from '../ledger';
import { elementName, type ElementKey } from '../parts';
import type { Minor } from '../shared/money';

/** Sets what a piece costs, new or used; null = not known. */
export const setPrice = (price: Price, to: Partial<Pick<Price, 'newPrice' | 'usedPrice'>>): Command => ({
  label: `set the price of ${elementName(price.element)}`,
  diff: changed('price', price, to),
});

/** Adds what a piece costs to the price book; for a kind that stands there already, what is given is set. */
export function addPrice(
  prices: readonly Price[],
  element: ElementKey,
  to: { readonly newPrice: Minor | null; readonly usedPrice: Minor | null },
): Command {
  const old = prices.find((p) => p.element === element);
  const given = Object.fromEntries(Object.entries(to).filter(([, price]) => price !== null));
  if (old) return setPrice(old, given);
  return {
    label: `add the price of ${elementName(element)}`,
    diff: added('price', { id: element, element, ...to }),
  };
}

/** Takes a piece's prices out of the book: what they costed is then told as unpriced. */
export const deletePrice = (price: Price): Command => ({
  label: `delete the price of ${elementName(price.element)}`,
  diff: removed('price', price),
});
