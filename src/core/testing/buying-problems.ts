import { between, pick, seededRandom, type Random } from '../shared/random';
import type { Problem, ProblemDonor, ProblemOffer, ProblemSeller } from '../sourcing';

/** How large a problem is: kinds wanted, sellers, and about how many of the kinds each seller has. */
export interface ProblemSize {
  readonly lots: number;
  readonly sellers: number;
  /** Share of the elements that an average seller has. */
  readonly has: number;
}

export const SIZES = {
  small: { lots: 20, sellers: 10, has: 0.42 },
  medium: { lots: 120, sellers: 60, has: 0.36 },
  large: { lots: 400, sellers: 200, has: 0.28 },
} as const satisfies Record<string, ProblemSize>;

export type SizeName = keyof typeof SIZES;

/** What a market is like. Every number is a shape, none is taken from a market that exists. */
interface Structure {
  /** Sellers, as a multiple of the size's. */
  readonly sellers: number;
  /** Share of lots that take other elements too, and up to how many. */
  readonly others: number;
  readonly mostOthers: number;
  /** Exponent of the stock's tail: smaller is a longer tail. */
  readonly stockTail: number;
  readonly mostStock: number;
  /** Postage of the lightest band, in pence from and to, and how the dearer bands grow. */
  readonly postage: readonly [number, number];
  readonly steep: number;
  readonly firstGrams: number;
  /** Least orders that sellers have, one of which each picks. */
  readonly minOrders: readonly number[];
  readonly boxes: number;
  /** What a box costs beside its wanted pieces at their usual prices. */
  readonly boxWorth: readonly [number, number];
  /** Parcels allowed, as a share of the sellers; null = any number. */
  readonly parcels: number | null;
  readonly grams: readonly [number, number];
  /** Pieces wanted of a kind. */
  readonly qty: readonly [number, number];
  /** How far prices of one element differ between sellers, and how much of that is the seller's level. */
  readonly priceSpread: number;
  readonly sellerLevel: number;
  /** Share of offers that are sold in packs or have a least number. */
  readonly packs: number;
  /** True = a seller keeps to a few families of parts. */
  readonly specialists: boolean;
  /** Share of the elements that hardly anybody has. */
  readonly rare: number;
}

const PLAIN: Structure = {
  sellers: 1,
  others: 0.3,
  mostOthers: 3,
  stockTail: 1.1,
  mostStock: 400,
  postage: [150, 320],
  steep: 1.7,
  firstGrams: 100,
  minOrders: [0, 0, 200, 500, 1000],
  boxes: 4,
  boxWorth: [0.6, 1.4],
  parcels: null,
  grams: [0.2, 4],
  qty: [1, 30],
  priceSpread: 0.5,
  sellerLevel: 0.5,
  packs: 0.15,
  specialists: false,
  rare: 0.08,
};

/** The structures by their names: each is the plain market with what makes it hard. */
export const STRUCTURES = {
  plain: PLAIN,
  'few sellers': { ...PLAIN, sellers: 0.35, rare: 0.15 },
  'many sellers': { ...PLAIN, sellers: 2 },
  'long tails': { ...PLAIN, stockTail: 0.55, mostStock: 2000, qty: [5, 80] },
  'steep postage': { ...PLAIN, postage: [90, 500], steep: 2.6, firstGrams: 40, grams: [0.5, 6] },
  'high least orders': { ...PLAIN, minOrders: [500, 1000, 1500, 2500] },
  'many boxes': { ...PLAIN, boxes: 14, boxWorth: [0.4, 1.1] },
  'few parcels': { ...PLAIN, parcels: 0.05 },
  'heavy pieces': { ...PLAIN, grams: [4, 60], postage: [200, 420], firstGrams: 250 },
  'many acceptable': { ...PLAIN, others: 0.9, mostOthers: 8 },
  packs: { ...PLAIN, packs: 0.7 },
  specialists: { ...PLAIN, specialists: true, sellerLevel: 0.2 },
  'cheap postage': { ...PLAIN, postage: [20, 60], steep: 1.3, priceSpread: 1.1, minOrders: [0] },
  scarce: { ...PLAIN, rare: 0.4, mostStock: 40, qty: [4, 40] },
} as const satisfies Record<string, Structure>;

export type StructureName = keyof typeof STRUCTURES;
export const STRUCTURE_NAMES = Object.keys(STRUCTURES) as StructureName[];

/**
 * A buying plan problem from a seed: the same structure, size and seed give the same problem everywhere. Money in pence,
 * mass in grams.
 *
 * @example buyingProblem('steep postage', 'medium', 7).lots.length // 120
 */
export function buyingProblem(name: StructureName, size: SizeName, seed: number): Problem {
  const structure: Structure = STRUCTURES[name];
  const random = seededRandom(seed * 7919 + STRUCTURE_NAMES.indexOf(name) * 104_729 + SIZES[size].lots);
  const kinds = elementsOf(structure, SIZES[size], random);
  return {
    schema: 'makeup/1',
    name: `${name}, ${size}, seed ${seed}`,
    elements: kinds.map(({ id, part, colour, grams }) => ({ id, part, colour, grams })),
    lots: lotsOf(structure, SIZES[size], kinds, random),
    sellers: sellersOf(structure, SIZES[size], kinds, random),
    donors: boxesOf(structure, kinds, random),
    maxSellers: parcelsOf(structure, SIZES[size]),
  };
}

const parcelsOf = (structure: Structure, { lots }: ProblemSize): number | null =>
  structure.parcels === null ? null : Math.max(2, Math.round(lots * structure.parcels));

interface Kind {
  readonly id: string;
  readonly part: number;
  readonly colour: number;
  readonly family: number;
  readonly grams: number;
  /** The usual price in pence. */
  readonly price: number;
  /** How likely a seller has it, beside others. */
  readonly common: number;
}

/** From and to, evenly on a scale of ratios. */
const ratio = (random: Random, from: number, to: number): number => from * Math.pow(to / from, random());

function elementsOf(structure: Structure, { lots }: ProblemSize, random: Random): Kind[] {
  const parts = Math.ceil(lots * 0.7);
  return Array.from({ length: Math.ceil(lots * 1.45) }, (_, i) => {
    const grams = Math.round(ratio(random, ...structure.grams) * 10) / 10;
    return {
      id: `e${i}`,
      part: between(random, 0, parts - 1),
      colour: between(random, 0, 19),
      family: between(random, 0, 7),
      grams,
      price: Math.max(1, ratio(random, 2, 30) * (1 + grams / 10)),
      common: random() < structure.rare ? 0.08 : 0.5 + random(),
    };
  });
}

function lotsOf(structure: Structure, { lots }: ProblemSize, kinds: readonly Kind[], random: Random) {
  return Array.from({ length: lots }, (_, i) => {
    const others = random() < structure.others ? between(random, 1, structure.mostOthers) : 0;
    const accept = new Set([kinds[i]!.id]);
    for (let n = 0; n < others; n++) accept.add(pick(random, kinds).id);
    return { id: i, qty: Math.round(ratio(random, ...structure.qty)), accept: [...accept] };
  });
}

function sellersOf(
  structure: Structure,
  size: ProblemSize,
  kinds: readonly Kind[],
  random: Random,
): ProblemSeller[] {
  return Array.from({ length: Math.max(3, Math.round(size.sellers * structure.sellers)) }, (_, s) => {
    const level = Math.exp((random() - 0.5) * 2 * structure.sellerLevel * structure.priceSpread);
    // Some have nearly everything, most have little.
    const breadth = size.has * ratio(random, 0.35, 2);
    const families = new Set([0, 1, 2].map(() => between(random, 0, 7)));
    const has = (k: Kind) =>
      random() < breadth * k.common * (structure.specialists ? (families.has(k.family) ? 2.2 : 0.12) : 1);
    return {
      id: `s${s}`,
      minOrder: pick(random, structure.minOrders),
      postage: postageOf(structure, random),
      offers: kinds.filter(has).map((k) => offerOf(structure, k, level, random)),
    };
  });
}

function offerOf(structure: Structure, kind: Kind, level: number, random: Random): ProblemOffer {
  const own = Math.exp((random() - 0.5) * 2 * (1 - structure.sellerLevel) * structure.priceSpread);
  const stock = Math.ceil(Math.min(structure.mostStock, Math.pow(1 - random(), -1 / structure.stockTail)));
  const multiple = random() < structure.packs ? pick(random, [2, 4, 5, 10]) : 1;
  return {
    element: kind.id,
    price: Math.max(1, Math.round(kind.price * level * own)),
    stock: Math.max(stock * between(random, 1, 8), multiple),
    minQty: random() < structure.packs ? multiple * pick(random, [1, 2, 3]) : multiple,
    multiple,
  };
}

function postageOf(structure: Structure, random: Random): ProblemSeller['postage'] {
  let pence = ratio(random, ...structure.postage);
  const bands = [1, 5, 20, 50, 150].map((times) => {
    const band = { maxGrams: structure.firstGrams * times, pence: Math.round(pence / 5) * 5 };
    pence *= structure.steep * (0.9 + 0.2 * random());
    return band;
  });
  return [...bands, { maxGrams: 1_000_000, pence: Math.round(pence * 2) }];
}

function boxesOf(structure: Structure, kinds: readonly Kind[], random: Random): ProblemDonor[] {
  return Array.from({ length: structure.boxes }, (_, d) => {
    const yields = kinds
      .filter(() => random() < ratio(random, 0.04, 0.25))
      .map((k) => ({ element: k.id, qty: Math.round(ratio(random, 1, 24)), price: k.price }));
    const worth = yields.reduce((sum, y) => sum + y.qty * y.price, 0);
    return {
      id: `d${d}`,
      price: Math.max(199, Math.round(worth * ratio(random, ...structure.boxWorth) * 0.5)),
      maxCopies: between(random, 1, 3),
      yields: yields.map(({ element, qty }) => ({ element, qty })),
    };
  });
}
