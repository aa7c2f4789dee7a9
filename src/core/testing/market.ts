import { grade } from '../ledger';
import type { ElementKey } from '../parts';
import type { MarketAnswer, MarketBox, MarketOffer, MarketSeller } from '../market';

/** An offer for tests: new, sold singly, unless said otherwise. */
export const offerOf = (
  element: ElementKey,
  price: number,
  stock: number,
  more: Partial<MarketOffer> = {},
): MarketOffer => ({ element, grade: grade('new'), price, stock, minQty: 1, multiple: 1, ...more });

/** A seller for tests: genuine, no least order, one light and one heavy postage band. */
export const sellerOf = (
  id: string,
  offers: readonly MarketOffer[],
  more: Partial<MarketSeller> = {},
): MarketSeller => ({
  id,
  name: id,
  place: 'Hollin',
  genuine: true,
  minOrder: 0,
  postage: [
    { maxGrams: 50, pence: 150 },
    { maxGrams: 5000, pence: 320 },
  ],
  days: 5,
  spread: 2,
  late: 0.1,
  short: 0,
  wrong: 0,
  offers,
  ...more,
});

export const marketOf = (...sellers: MarketSeller[]): MarketAnswer => ({ sellers, boxes: [] });

/** A box for sale, for tests: second-hand, one copy, there in four days. */
export const boxFor = (
  code: string,
  price: number,
  lots: MarketBox['lots'],
  more: Partial<MarketBox> = {},
): MarketBox => ({
  code,
  name: code,
  condition: 'second-hand',
  price,
  copies: 1,
  seller: 'Near',
  days: 4,
  spread: 1,
  late: 0.1,
  lots,
  ...more,
});
