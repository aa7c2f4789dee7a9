import { between, pick, seededRandom } from '@/core/shared/random';
import type { MarketSeller } from '@/core/market';
import { hash } from './hash';

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
  'Builds',
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

/** A seller, as his name and the seed make him. */
export interface Made {
  readonly seller: Omit<MarketSeller, 'offers'>;
  /** How much of everything he has, and how dear he is. */
  readonly breadth: number;
  readonly level: number;
}

/** The demo's market: everyone who looks at it sees the same sellers. */
export const DEMO_MARKET = { seed: 2026, sellers: 40 } as const;

/** The seller so numbered. */
export function makeSeller(seed: number, i: number): Made {
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

/** Sellers of a market. */
export const makeSellers = (seed: number, count: number): Made[] =>
  Array.from({ length: count }, (_, i) => makeSeller(seed, i));
