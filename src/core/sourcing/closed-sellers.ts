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
  private readonly ranges: (Range | undefined)[];
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
    this.ranges = RANGES.get(this.c) ?? [];
    RANGES.set(this.c, this.ranges);
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
    const { lots, pieces, each, pence, weight } = (this.ranges[seller] ??= rangeOf(c, seller));
    let [saved, value, grams] = [0, 0, 0];
    for (let i = 0; i < lots.length; i++) {
      const more = paid[lots[i]!]! - each[i]!;
      if (more <= 0) continue;
      saved += (more > OPEN_LOT ? OPEN_LOT : more) * pieces[i]!;
      value += pence[i]!;
      grams += weight[i]!;
    }
    const short = c.minOrder[seller]! - value;
    return saved - Math.min(postageOf(c, seller, grams), 1e6) - (short > 0 ? short : 0);
  }
}

/** What each seller could send: worked out when he is first looked at, for all searches of a problem. */
const RANGES = new WeakMap<Compiled, (Range | undefined)[]>();

/** One seller's offers for the lots they serve, side by side: as many pieces as the lot needs or he has. */
interface Range {
  readonly lots: Int32Array;
  readonly pieces: Int32Array;
  /** What a piece comes to, with what packs leave over. */
  readonly each: Float64Array;
  /** What the pieces cost bare, and what they weigh. */
  readonly pence: Float64Array;
  readonly weight: Float64Array;
}

function rangeOf(c: Compiled, seller: number): Range {
  const rows = [...c.offersOfSeller[seller]!].flatMap((offer) =>
    c.acceptedBy[c.offerElement[offer]!]!.map((lot) => {
      const n = Math.min(c.need[lot]!, c.offerCap[offer]!);
      return { offer, lot, n };
    }),
  );
  return {
    lots: Int32Array.from(rows, (r) => r.lot),
    pieces: Int32Array.from(rows, (r) => r.n),
    each: Float64Array.from(rows, (r) => priceOfNeed(c, r.offer, r.n)),
    pence: Float64Array.from(rows, (r) => c.offerPrice[r.offer]! * r.n),
    weight: Float64Array.from(rows, (r) => r.n * c.grams[c.offerElement[r.offer]!]!),
  };
}
