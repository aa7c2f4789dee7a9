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
}

/** Of each seller what can serve what; worked out once for all floors of a problem. */
export function shapesOf(c: Compiled): SellerShape[] {
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
    return { offers, shared };
  });
}
