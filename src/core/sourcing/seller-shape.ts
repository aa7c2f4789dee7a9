import type { Compiled } from './compile';

/** An offer with the lots that it can serve, in whichever order they were last served. */
export interface OfferLots {
  readonly offer: number;
  readonly lots: number[];
}

/** A lot that several offers of one seller can serve, the cheapest first, so that they vie for it. */
export interface SharedLot {
  readonly lot: number;
  readonly offers: readonly number[];
}

/** What a seller can send to which lots. */
export interface SellerShape {
  readonly offers: readonly OfferLots[];
  readonly shared: readonly SharedLot[];
  /** The lots that can be served, and the most pieces that each can have. */
  readonly lots: Int32Array;
  readonly most: Float64Array;
}

/** Lots that are compared with one another at most, in all offers of one seller: beyond that prices of lots cost more than they tell. */
const MOST_COMPARED = 50_000;

/**
 * Of each seller what can serve what; worked out once for all floors of a problem. Where nearly everything serves nearly
 * everything no lot is told as shared: the floor is lower for it, and is one.
 */
export function shapesOf(c: Compiled): readonly SellerShape[] {
  const known = made.get(c) ?? makeShapes(c);
  made.set(c, known);
  return known;
}

/** Floors of one problem are begun again and again. */
const made = new WeakMap<Compiled, readonly SellerShape[]>();

function makeShapes(c: Compiled): SellerShape[] {
  return c.offersOfSeller.map((own) => {
    const byLot = new Map<number, number[]>();
    const offers = [...own].flatMap((offer) => {
      const lots = c.acceptedBy[c.offerElement[offer]!]!.filter((l) => c.need[l]! > 0);
      for (const lot of lots) {
        const list = byLot.get(lot);
        if (list) list.push(offer);
        else byLot.set(lot, [offer]);
      }
      return lots.length > 0 ? [{ offer, lots }] : [];
    });
    const shared = [...byLot].flatMap(([lot, os]) =>
      os.length > 1 ? [{ lot, offers: os.sort((a, b) => c.offerPrice[a]! - c.offerPrice[b]!) }] : [],
    );
    const lotsOf = new Map(offers.map(({ offer, lots }) => [offer, lots.length]));
    const compared = shared.reduce(
      (sum, { offers: os }) => sum + os.reduce((n, o) => n + lotsOf.get(o)!, 0),
      0,
    );
    const caps = (os: readonly number[]) => os.reduce((sum, o) => sum + c.offerCap[o]!, 0);
    return {
      offers,
      shared: compared > MOST_COMPARED ? [] : shared,
      lots: Int32Array.from(byLot.keys()),
      most: Float64Array.from(byLot, ([lot, os]) => Math.min(c.need[lot]!, caps(os))),
    };
  });
}
