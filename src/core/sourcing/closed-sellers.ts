import { between, type Random } from '../shared/random';
import { postageOf, priceOfNeed, type Compiled } from './compile';
import { OPEN_LOT } from './parcels';
import type { State } from './state';

/** Closed sellers looked at before one is tried. */
const CANDIDATES = 8;
/** And where no more parcels are allowed: then whoever takes another’s place must have what only that one had. */
const CANDIDATES_OF_FEW = 80;
/** Share of them that are anybody, however little a floor thinks of him. */
const ANYBODY = 0.1;

/** Which of the sellers from whom nothing is bought is worth a try, as a plan stands. */
export class ClosedSellers {
  private readonly c: Compiled;
  /** Scratch: the dearest bare price of each lot while closed sellers are compared. */
  private readonly paid: Float64Array;
  /** How promising they are; even until a floor gives reduced costs. */
  private promise: Float64Array | null = null;
  /** Sellers, the most promising first; null until a floor has told. */
  private order: Int32Array | null = null;

  constructor(
    private readonly state: State,
    private readonly random: Random,
    /** Sellers that are not to be tried now. */
    private readonly shut: Uint8Array,
  ) {
    this.c = state.c;
    this.paid = new Float64Array(this.c.lots);
  }

  /** Tells which closed sellers are worth trying, by their reduced costs: below zero is promising. */
  steer(reduced: Float64Array): void {
    const promise = new Float64Array(this.c.sellers);
    let spread = 1;
    for (const r of reduced) spread = Math.max(spread, Math.abs(r));
    reduced.forEach((r, s) => (promise[s] = Math.exp((-6 * r) / spread)));
    this.promise = promise;
    this.order = Int32Array.from(reduced, (_, s) => s).sort((a, b) => reduced[a]! - reduced[b]!);
  }

  /**
   * A seller at random. Those of the best plan are nearly all among the first that a floor names, twice as many as there
   * are parcels: the later one stands, the seldomer he is drawn.
   */
  private draw(): number {
    const { random, order } = this;
    if (!order || random() < ANYBODY) return between(random, 0, this.c.sellers - 1);
    const at = Math.floor(-Math.log(1 - random()) * (this.state.parcels + 2));
    return at < order.length ? order[at]! : between(random, 0, this.c.sellers - 1);
  }

  /**
   * A closed seller out of a few at random: the one whose parcel would save most, told roughly. Lots that are open would
   * go to the cheapest parcel there is, so that is what they are taken to pay.
   */
  pick(): number {
    const { c, state, promise, random } = this;
    if (c.sellers === 0) return -1;
    for (let lot = 0; lot < c.lots; lot++)
      this.paid[lot] = state.open[lot]! > 0 ? this.cheapestOpen(lot) : state.dearest(lot);
    let [best, most] = [-1, -Infinity];
    const isLimited = c.maxSellers < c.sellers && state.parcels + 1 >= c.maxSellers;
    const tries = isLimited ? CANDIDATES_OF_FEW : CANDIDATES;
    for (let i = 0; i < tries; i++) {
      const s = this.draw();
      if (state.active[s]! > 0 || this.shut[s] || c.offersOfSeller[s]!.length === 0) continue;
      const gain = this.savingOf(s);
      const saved = gain * (0.6 + 0.8 * random()) * (gain > 0 && promise ? 0.5 + promise[s]! : 1);
      if (saved > most) [best, most] = [s, saved];
    }
    return best;
  }

  /** The bare price at which an open parcel could give a lot; a large one where none can. */
  private cheapestOpen(lot: number): number {
    const { c, state } = this;
    const offers = c.offersOfLot[lot]!;
    for (let i = 0; i < offers.length; i++) {
      const s = c.offerSeller[offers[i]!]!;
      if (state.active[s]! > 0 && !this.shut[s] && state.room(offers[i]!) > 0)
        return c.offerPrice[offers[i]!]!;
    }
    return OPEN_LOT;
  }

  /** What a closed seller's prices would save on the lots as they are `paid` now, less his postage and what his least order lacks. */
  private savingOf(seller: number): number {
    const { c, paid } = this;
    const offers = c.offersOfSeller[seller]!;
    let [saved, value, grams] = [0, 0, 0];
    for (let i = 0; i < offers.length; i++) {
      const o = offers[i]!;
      const price = c.offerPrice[o]!;
      const lots = c.acceptedBy[c.offerElement[o]!]!;
      for (let k = 0; k < lots.length; k++) {
        const n = Math.min(c.need[lots[k]!]!, c.offerCap[o]!);
        const more = paid[lots[k]!]! - priceOfNeed(c, o, n);
        if (more <= 0) continue;
        saved += (more > OPEN_LOT ? OPEN_LOT : more) * n;
        value += price * n;
        grams += n * c.grams[c.offerElement[o]!]!;
      }
    }
    const short = c.minOrder[seller]! - value;
    return saved - Math.min(postageOf(c, seller, grams), 1e6) - (short > 0 ? short : 0);
  }
}
