import type { Order } from '@/core/ledger';
import { between, seededRandom } from '@/core/shared/random';
import { hash } from './hash';
import { DEMO_MARKET, makeSellers } from './sellers';

/** What happens to a parcel: settled by its order, so that looking twice changes nothing. */
export interface ParcelFate {
  readonly lateDays: number;
  /** Of each lot: pieces that are not in it, and pieces that are the wrong colour or yellowed. */
  readonly lacks: (element: string, qty: number) => { short: number; wrong: number };
}

/** How parcels come of somebody who is not on the market. */
const UNKNOWN = { late: 0.15, short: 0.08, wrong: 0.05 };
const sellers = new Map(
  makeSellers(DEMO_MARKET.seed, DEMO_MARKET.sellers).map(({ seller }) => [seller.name, seller]),
);

/**
 * The fate of an order: its seller's parcels are late, short or wrong as often as he says. Orders of one parcel, that is
 * of one seller and one moment, come together.
 */
export function fateOf({ id, seller, placedAt }: Pick<Order, 'id' | 'seller' | 'placedAt'>): ParcelFate {
  const random = seededRandom(hash(`fate ${seller} ${placedAt}`));
  const { late, short, wrong } = sellers.get(seller) ?? UNKNOWN;
  const lateDays = random() < late ? between(random, 2, 21) : 0;
  return {
    lateDays,
    lacks(element, qty) {
      const own = seededRandom(hash(`${id} ${element}`));
      const missing = own() < short ? between(own, 1, Math.max(1, Math.ceil(qty / 4))) : 0;
      const bad = own() < wrong ? between(own, 1, Math.max(1, Math.ceil(qty / 4))) : 0;
      const lost = Math.min(qty, missing);
      return { short: lost, wrong: Math.min(qty - lost, bad) };
    },
  };
}
