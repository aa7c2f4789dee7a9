import { postageOf, type Compiled } from './compile';

/** What a piece that nobody open has yet is taken to cost beyond its dearest offer, in pence. */
const LACKING = 60;

/**
 * Sellers to begin with, by the ADD heuristic of plant location (Kuehn and Hamburger 1963): again and again the one whose
 * prices save most beyond his parcel's postage, until none saves anything. Prices are taken lot by lot and multiples are
 * left out, which is near enough for a start. What a seller would save only shrinks as others open, so a saving calculated
 * earlier is a bound, and most need not be calculated again (Minoux 1978). Gives 1 for each seller that is opened.
 */
export function addSellers(c: Compiled, open: Int32Array): Uint8Array {
  const opened = new Uint8Array(c.sellers);
  const paid = new Float64Array(c.lots);
  for (let l = 0; l < c.lots; l++) {
    const offers = c.offersOfLot[l]!;
    const last = offers[offers.length - 1];
    paid[l] = LACKING + (last === undefined ? 0 : c.offerPrice[last]!);
  }
  /** Walks what a seller would supply; with `take` it is noted as supplied. */
  const saving = (s: number, take: boolean): number => {
    let [saved, grams, value] = [0, 0, 0];
    for (const o of c.offersOfSeller[s]!) {
      const price = c.offerPrice[o]!;
      let left = c.offerCap[o]!;
      for (const lot of c.acceptedBy[c.offerElement[o]!]!) {
        const n = Math.min(left, open[lot]!);
        if (n <= 0 || price >= paid[lot]!) continue;
        saved += n * (paid[lot]! - price);
        grams += n * c.grams[c.offerElement[o]!]!;
        value += n * price;
        left -= n;
        if (!take) continue;
        paid[lot] = paid[lot]! + ((price - paid[lot]!) * n) / open[lot]!;
      }
    }
    return saved - postageOf(c, s, grams) - Math.max(0, c.minOrder[s]! - value);
  };
  const bounds = Float64Array.from({ length: c.sellers }, (_, s) => saving(s, false));
  const queue = Array.from({ length: c.sellers }, (_, s) => s);
  for (let parcels = 0; parcels < c.maxSellers; parcels++) {
    queue.sort((a, b) => bounds[b]! - bounds[a]!);
    let [best, most] = [-1, 0];
    for (const s of queue) {
      if (bounds[s]! <= most) break;
      if (opened[s]) continue;
      bounds[s] = saving(s, false);
      if (bounds[s]! > most) [best, most] = [s, bounds[s]!];
    }
    if (best < 0) break;
    opened[best] = 1;
    bounds[best] = -Infinity;
    saving(best, true);
  }
  return opened;
}
