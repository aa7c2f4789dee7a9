import type { Problem, ProblemOffer } from '../sourcing';

/** A problem in few words: a lot accepts what it is called after, where nothing else is said; pieces weigh a gram. */
export interface MadeMarket {
  readonly lots: readonly (readonly [id: string, qty: number, accept?: readonly string[]])[];
  readonly sellers: readonly {
    readonly id: string;
    readonly offers: readonly (readonly [element: string, price: number, more?: Partial<ProblemOffer>])[];
    readonly minOrder?: number;
    readonly postage?: number | readonly (readonly [maxGrams: number, pence: number])[];
  }[];
  readonly boxes?: readonly {
    readonly id: string;
    readonly price: number;
    readonly yields: readonly (readonly [element: string, qty: number])[];
    readonly maxCopies: number;
  }[];
  readonly maxSellers?: number;
  /** Elements beside those that lots accept. */
  readonly elements?: readonly string[];
  readonly grams?: Readonly<Record<string, number>>;
}

/** A seller with so many of each element, at ten pence a piece. */
export const inStock = (
  id: string,
  stock: Readonly<Record<string, number>>,
): MadeMarket['sellers'][number] => ({
  id,
  offers: Object.entries(stock).map(([element, n]) => [element, 10, { stock: n }] as const),
});

export function market(made: MadeMarket): Problem {
  const accepted = made.lots.map(([id, , accept]) => accept ?? [id]);
  return {
    schema: 'makeup/1',
    name: 'made',
    elements: [...new Set([...accepted.flat(), ...(made.elements ?? [])])].map((id) => ({
      id,
      part: id,
      colour: 'c',
      grams: made.grams?.[id] ?? 1,
    })),
    lots: made.lots.map(([id, qty], i) => ({ id, qty, accept: [...accepted[i]!] })),
    sellers: made.sellers.map(({ id, offers, minOrder = 0, postage = 100 }) => ({
      id,
      minOrder,
      postage: (typeof postage === 'number' ? [[10_000, postage] as const] : postage).map(
        ([maxGrams, pence]) => ({ maxGrams, pence }),
      ),
      offers: offers.map(([element, price, more]) => ({
        element,
        price,
        stock: 99,
        minQty: 1,
        multiple: 1,
        ...more,
      })),
    })),
    donors: (made.boxes ?? []).map(({ yields, ...box }) => ({
      ...box,
      yields: yields.map(([element, qty]) => ({ element, qty })),
    })),
    maxSellers: made.maxSellers ?? null,
  };
}
