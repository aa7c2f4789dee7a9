import { priceOfNeed, type Compiled } from './compile';

/** What a seller can send to which lots, worked out once for all floors of a problem. */
export interface Pairs {
  /** The least that a piece of each offer comes to, packs and least numbers counted. */
  readonly price: Float64Array;
  /** Of each seller the lots that can be served. */
  readonly lots: readonly Int32Array[];
  /** Of each seller, for each of those lots, the offers, cheapest first. */
  readonly offers: readonly (readonly Int32Array[])[];
}

/** For each seller the lots he can serve, and for each of them his offers, cheapest first. */
export function pairsOf(c: Compiled, need: Int32Array): Pairs {
  const price = leastPrices(c, need);
  const lots: Int32Array[] = [];
  const offers: Int32Array[][] = [];
  for (let s = 0; s < c.sellers; s++) {
    const byLot = new Map<number, number[]>();
    for (const o of c.offersOfSeller[s]!)
      for (const lot of c.acceptedBy[c.offerElement[o]!]!) byLot.set(lot, [...(byLot.get(lot) ?? []), o]);
    lots.push(Int32Array.from(byLot.keys()));
    offers.push([...byLot.values()].map((os) => Int32Array.from(os.sort((a, b) => price[a]! - price[b]!))));
  }
  return { lots, offers, price };
}

/**
 * The least that a piece of an offer can come to: its price, where whole packs of it can be wanted; else what the most that
 * all lots together can take of it comes to, with what the pack leaves over.
 */
function leastPrices(c: Compiled, need: Int32Array): Float64Array {
  const price = new Float64Array(c.offers);
  for (let o = 0; o < c.offers; o++) {
    const wanted = c.acceptedBy[c.offerElement[o]!]!.reduce((sum, lot) => sum + need[lot]!, 0);
    const pack = Math.max(c.offerMin[o]!, c.offerMultiple[o]!);
    price[o] = wanted <= 0 || wanted >= pack ? c.offerPrice[o]! : priceOfNeed(c, o, wanted);
  }
  return price;
}
