import { added, changed, removed, type Command, type Price } from '../ledger';
import { elementName, type ElementKey } from '../parts';
import type { Minor } from '../shared/money';

/** Sets what a piece costs, new or used; null = not known. */
export const setPrice = (price: Price, to: Partial<Pick<Price, 'newPrice' | 'usedPrice'>>): Command => ({
  label: `set the price of ${elementName(price.element)}`,
  diff: changed('price', price, to),
});

/** Adds what a piece costs to the price book; for a kind that stands there already, its prices are set. */
export function addPrice(
  prices: readonly Price[],
  element: ElementKey,
  to: { readonly newPrice: Minor | null; readonly usedPrice: Minor | null },
): Command {
  const old = prices.find((p) => p.element === element);
  if (old) return setPrice(old, to);
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
