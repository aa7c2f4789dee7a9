import { grade, type PriceOf } from '@/core/ledger';
import { splitElementKey, type ElementKey } from '@/core/parts';
import { withoutPrint, type Register } from '@/core/audit';
import { between, pick, seededRandom, type Random } from '@/core/shared/random';
import type { MarketAnswer, MarketBox, MarketOffer, MarketSeller, MarketSource } from '@/core/supply';

const FIRST = [
  'Marram',
  'Tide',
  'Cobble',
  'Heron',
  'Gable',
  'Pepper',
  'Lantern',
  'Quarry',
  'Thistle',
  'Anchor',
  'Fennel',
  'Otter',
  'Slipway',
  'Bracken',
  'Copper',
];
const SECOND = [
  'Parts',
  'Bricks & Bits',
  'Shelf',
  'Attic',
  'Sorting Room',
  'Drawer',
  'Studs',
  'Workshop',
  'Loft',
  'Counter',
];
const PLACES = [
  'Westmouth',
  'Dunholt',
  'Carrick Sands',
  'Little Aske',
  'Port Merrow',
  'Hollin',
  'Overwold',
  'Tarn End',
  'Sele',
  'Brackwater',
];

export interface SimulatedMarketOptions {
  readonly seed: number;
  readonly sellers: number;
  readonly priceOf: PriceOf;
  readonly register: Register;
  readonly year: number;
  /** Days since some day: prices and stock move on with them, a few at a time. */
  readonly day?: number;
  readonly boxes: readonly MarketBox[];
  readonly wait: (ms: number) => Promise<void>;
  /** Chance of each answer failing, and what decides it. */
  readonly failing: number;
  readonly random: Random;
}

/** The market could not be reached this time. */
export class MarketFailed extends Error {}

const hash = (text: string): number =>
  [...text].reduce((h, c) => Math.imul(h ^ c.charCodeAt(0), 16777619) >>> 0, 2166136261);

/**
 * The market's simulated stand-in: sellers of whom each has some of it, at his price, with his postage and his idea of a
 * delivery date. All of it comes out of the seed and of names, so the same question has the same answer; it takes a
 * moment, and fails now and then.
 */
export function simulatedMarket(options: SimulatedMarketOptions): MarketSource {
  const sellers = Array.from({ length: options.sellers }, (_, i) => makeSeller(options.seed, i));
  return {
    async ask(elements): Promise<MarketAnswer> {
      await options.wait(120 + Math.floor(options.random() * 180));
      if (options.random() < options.failing) throw new MarketFailed('the market did not answer');
      const asked = elements.map((element) => askedFor(element, options)).filter((a) => a !== null);
      return {
        sellers: sellers.map((s) => ({
          ...s.seller,
          offers: asked.flatMap((e) => offersOf(s, e, options)),
        })),
        boxes: options.boxes,
      };
    },
  };
}

interface Made {
  readonly seller: Omit<MarketSeller, 'offers'>;
  /** How much of everything he has, and how dear he is. */
  readonly breadth: number;
  readonly level: number;
}

function makeSeller(seed: number, i: number): Made {
  const random = seededRandom(seed * 7919 + i);
  const name = `${FIRST[i % FIRST.length]} ${SECOND[Math.floor(i / FIRST.length) % SECOND.length]}${i >= 150 ? ` ${Math.floor(i / 150) + 1}` : ''}`;
  const base = between(random, 150, 330);
  return {
    breadth: 0.12 + 0.5 * random() ** 2,
    level: 0.72 + 0.75 * random(),
    seller: {
      id: `seller-${i + 1}`,
      name,
      place: pick(random, PLACES),
      // Told apart by name and seed alone, so that everything else of him stays as it is.
      genuine: seededRandom(hash(`genuine ${seed} ${i}`))() > 0.12,
      minOrder: pick(random, [0, 0, 0, 200, 300, 500]),
      postage: [
        { maxGrams: 100, pence: base },
        { maxGrams: 500, pence: Math.round(base * 1.6) },
        { maxGrams: 2000, pence: Math.round(base * 2.6) },
        { maxGrams: 10_000, pence: Math.round(base * 4.2) },
        { maxGrams: 100_000, pence: Math.round(base * 12) },
      ],
      days: between(random, 2, 16),
      spread: between(random, 1, 5),
      late: Math.round(random() * 25) / 100,
      short: Math.round(random() * 12) / 100,
      wrong: Math.round(random() * 8) / 100,
    },
  };
}

/** What all sellers go by when an element is asked for: looked up once, not once a seller. */
interface Asked {
  readonly element: ElementKey;
  readonly retired: boolean;
  readonly known: number;
  readonly printed: boolean;
}

/** Null for what was never made: nobody has it. */
function askedFor(element: ElementKey, options: SimulatedMarketOptions): Asked | null {
  const made = options.register.look(withoutPrint(element));
  if (!made.made) return null;
  return {
    element,
    retired: made.to !== null && made.to < options.year,
    known: options.priceOf(element, grade('new')) ?? usual(element),
    printed: splitElementKey(element).print !== '',
  };
}

function offersOf(
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

/** What happens to a parcel: settled by its order's id, so that looking twice changes nothing. */
export interface ParcelFate {
  readonly lateDays: number;
  /** Of each lot: pieces that are not in it, and pieces that are the wrong colour or yellowed. */
  readonly lacks: (element: string, qty: number) => { short: number; wrong: number };
}

export function fateOf(
  order: string,
  seller: Pick<MarketSeller, 'late' | 'short' | 'wrong'> | undefined,
): ParcelFate {
  const random = seededRandom(hash(`fate ${order}`));
  const { late, short, wrong } = seller ?? { late: 0.15, short: 0.08, wrong: 0.05 };
  const lateDays = random() < late ? between(random, 2, 21) : 0;
  return {
    lateDays,
    lacks(element, qty) {
      const own = seededRandom(hash(`${order} ${element}`));
      const missing = own() < short ? between(own, 1, Math.max(1, Math.ceil(qty / 4))) : 0;
      const bad = own() < wrong ? between(own, 1, Math.max(1, Math.ceil(qty / 4))) : 0;
      const lost = Math.min(qty, missing);
      return { short: lost, wrong: Math.min(qty - lost, bad) };
    },
  };
}
