import { withoutPrint } from '@/core/mismatch';
import { grade } from '@/core/ledger';
import { splitElementKey, type ElementKey } from '@/core/parts';
import { between, pick, seededRandom } from '@/core/shared/random';
import type { MarketOffer } from '@/core/market';
import { hash } from './hash';
import type { SimulatedMarketOptions } from './index';
import type { Made } from './sellers';

/** What all sellers go by when an element is asked for: looked up once, not once a seller. */
export interface Asked {
  readonly element: ElementKey;
  readonly retired: boolean;
  readonly known: number;
  readonly printed: boolean;
}

/** Null for what was never made: nobody has it. */
export function askedFor(element: ElementKey, options: SimulatedMarketOptions): Asked | null {
  const made = options.register.look(withoutPrint(element));
  if (!made.made) return null;
  return {
    element,
    retired: made.to !== null && made.to < options.year,
    known: options.priceOf(element, grade('new')) ?? usual(element),
    printed: splitElementKey(element).print !== '',
  };
}

export function offersOf(
  { seller, breadth, level }: Made,
  { element, retired, known, printed }: Asked,
  options: SimulatedMarketOptions,
): MarketOffer[] {
  const random = seededRandom(hash(`${options.seed} ${seller.id} ${element}`));
  const offers: MarketOffer[] = [];
  for (const g of [grade('new'), grade('used')]) {
    const has = random() < breadth * (g === 'new' && retired ? 0.25 : 1) * (printed ? 0.3 : 1);
    const asked = Math.max(
      1,
      Math.round(known * level * (g === 'new' ? 1 : 0.62) * (0.8 + 0.45 * random()) * (retired ? 1.4 : 1)),
    );
    const multiple = pick(random, [1, 1, 1, 1, 1, 2, 5, 10]);
    const stock = multiple * between(random, 1, Math.max(1, Math.round(60 / multiple)));
    const moved = movedOn(`${options.seed} ${seller.id} ${element} ${g}`, options.day ?? 0);
    const price = Math.max(1, Math.round(asked * moved.price));
    if (has && moved.there) offers.push({ element, grade: g, price, stock, minQty: multiple, multiple });
  }
  return offers;
}

/** Days that an offer stands before it may be priced anew: every offer has a day of its own in the span. */
const PRICED_FOR = 28;

/** How an offer has moved by a day: most stand as they were, some are priced anew, a few are sold out. */
function movedOn(offer: string, day: number): { readonly price: number; readonly there: boolean } {
  const span = Math.floor((day + (hash(offer) % PRICED_FOR)) / PRICED_FOR);
  if (span === 0) return { price: 1, there: true };
  const random = seededRandom(hash(`${offer} ${span}`));
  return { there: random() > 0.06, price: 0.85 + 0.35 * random() };
}

/** A price for what no book knows: small, by the length of its name's size. */
const usual = (element: ElementKey): number => 6 + (hash(element) % 18);
