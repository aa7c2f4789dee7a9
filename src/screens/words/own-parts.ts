import type { Collection } from '@/core/stock';
import { count, piecesOfKinds } from '@/ui/numbers';

const trays = (n: number): string => `${count(n)} ${n === 1 ? 'tray' : 'trays'}`;

/** What a collection comes to: "815 pieces of 56 kinds in 6 trays." */
export const collectionWords = ({ pieces, kinds, trays: of }: Collection): string =>
  pieces === 0 ? 'You have added no own parts yet.' : `${piecesOfKinds(pieces, kinds)} in ${trays(of)}.`;

export const priceBookWords = (prices: number): string =>
  prices === 0
    ? 'The price book is empty.'
    : `${count(prices)} ${prices === 1 ? 'price is' : 'prices are'} known.`;

export const PRICES_ARE_FOR =
  'What a piece costs, new and used. Worth and plans are calculated from it; a sum says how many of its pieces have no price.';
