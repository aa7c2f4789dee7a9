import type { Grade } from '../places';
import { partOf, splitElementKey, type ElementKey } from '../parts';
import type { Minor } from '../shared/money';

/** What a seller has of one element in one condition. */
export interface MarketOffer {
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly price: Minor;
  readonly stock: number;
  readonly minQty: number;
  readonly multiple: number;
}

export interface MarketSeller extends Post {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  /** False = he does not promise that his parts are the maker's own. */
  readonly genuine: boolean;
  /** True of one whose price list a person read in: nothing about him is simulated. */
  readonly own?: boolean | undefined;
  readonly minOrder: Minor;
  readonly postage: readonly { readonly maxGrams: number; readonly pence: Minor }[];
  /** Shares of parcels that come short, or with something wrong. */
  readonly short: number;
  readonly wrong: number;
  readonly offers: readonly MarketOffer[];
}

/** How parcels come: usual days from order to door, their spread (a standard deviation), and the share that is late. */
export interface Post {
  readonly days: number;
  readonly spread: number;
  readonly late: number;
}

/** A whole set for sale, to be broken up. Its postage is in its price. */
export interface MarketBox extends Post {
  readonly code: string;
  /** Who sells it, by name. */
  readonly seller: string;
  readonly name: string;
  readonly condition: 'new' | 'second-hand';
  readonly price: Minor;
  readonly copies: number;
  /** True of one at a price of one's own: nothing about it is simulated. */
  readonly own?: boolean | undefined;
  readonly lots: readonly { readonly element: ElementKey; readonly qty: number }[];
}

export interface MarketAnswer {
  readonly sellers: readonly MarketSeller[];
  readonly boxes: readonly MarketBox[];
}

/** Where prices come from. The simulated market, a CSV price list or a real source answer alike. */
export interface MarketSource {
  ask(elements: readonly ElementKey[]): Promise<MarketAnswer>;
}

/** The chance that a parcel is there within so many days: normal around the usual days, and late ones never. */
export function chanceWithin(seller: Post, days: number): number {
  const z = (days - seller.days) / Math.max(0.5, seller.spread);
  // Logistic approximation of the normal distribution (Bowling et al. 2009), within 0.01.
  return (1 - seller.late) / (1 + Math.exp(-1.702 * z));
}

/** What a piece weighs, in grams, from its room: 0.14 g for each stud and plate, and a little for its walls. */
export const gramsOf = (room: number): number => Math.max(0.1, Math.round((0.1 + 0.14 * room) * 100) / 100);

/** What a piece of an element weighs, in grams. */
export function weightOf(element: ElementKey): number {
  const { size, height } = partOf(splitElementKey(element).part);
  return gramsOf(size[0] * size[1] * height);
}
