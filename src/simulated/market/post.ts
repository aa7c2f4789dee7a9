import { addDays } from '@/core/market';
import type { ParcelNews, ParcelQuestion } from '@/core/orders';
import { between, seededRandom } from '@/core/shared/random';
import { hash } from './hash';
import { DEMO_MARKET, makeSellers } from './sellers';

/** What happens to a parcel: settled by its order, so that looking twice changes nothing. */
export interface ParcelFate {
  readonly lateDays: number;
  /** Of each lot: pieces that are not in it, and pieces that are the wrong colour or yellowed. */
  readonly lacks: (element: string, qty: number) => { short: number; wrong: number };
}

const sellers = new Map(
  makeSellers(DEMO_MARKET.seed, DEMO_MARKET.sellers).map(({ seller }) => [seller.name, seller]),
);

/**
 * The fate of an order: its seller's parcels are late, short or wrong as often as he says. Orders of one parcel, that is
 * of one seller and one moment, come together. Undefined for a seller who is not on the simulated market: what becomes of
 * his parcels only the person knows who ordered there.
 */
export function fateOf({
  id,
  seller,
  placedAt,
}: Pick<ParcelQuestion, 'id' | 'seller' | 'placedAt'>): ParcelFate | undefined {
  const terms = sellers.get(seller);
  if (!terms) return undefined;
  const random = seededRandom(hash(`fate ${seller} ${placedAt}`));
  const { late, short, wrong } = terms;
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

/** What the simulated post says of an order; undefined of one that is not simulated, or that comes on no day. */
export function newsOf(asked: ParcelQuestion): ParcelNews | undefined {
  const fate = fateOf(asked);
  const seller = sellers.get(asked.seller);
  if (!fate || !seller || asked.due === '') return undefined;
  const lacks = asked.lots
    .map(({ element, qty }) => ({ element, ...fate.lacks(element, qty) }))
    .filter((l) => l.short + l.wrong > 0);
  const { days, spread, late } = seller;
  return { order: asked.id, comes: addDays(asked.due, fate.lateDays), post: { days, spread, late }, lacks };
}
