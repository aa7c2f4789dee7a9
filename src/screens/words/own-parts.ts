import { count, pieces, piecesOfKinds } from '@/ui/numbers';

const trays = (n: number): string => `${count(n)} ${n === 1 ? 'tray' : 'trays'}`;

/** "815 pieces in 6 trays" */
export const inTraysWords = (qty: number, of: number): string => `${pieces(qty)} in ${trays(of)}`;

/** What a collection comes to before it is read: "815 pieces of 56 kinds in 6 trays." */
export const collectionWords = (of: { pieces: number; kinds: number; trays: number }): string =>
  `${piecesOfKinds(of.pieces, of.kinds)} in ${trays(of.trays)}.`;

export const priceBookWords = (prices: number): string =>
  prices === 0
    ? 'The price book is empty.'
    : `${count(prices)} ${prices === 1 ? 'price is' : 'prices are'} known.`;

export const PRICES_ARE_FOR =
  'What a piece costs, new and used. Worth and plans are calculated from it; a sum says how many of its pieces have no price.';
