import { changed, type Command, type Price } from '../ledger';
import { elementName } from '../parts';

/** Sets what a piece costs, new or used; null = not known. */
export const setPrice = (price: Price, to: Partial<Pick<Price, 'newPrice' | 'usedPrice'>>): Command => ({
  label: `set the price of ${elementName(price.element)}`,
  diff: changed('price', price, to),
});
