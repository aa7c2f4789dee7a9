import type { Compiled } from './compile';
import { pairsOf, type Pairs } from './pairs';

/**
 * A Lagrangian floor (Geoffrion 1974): the need of each lot is priced instead of demanded. Each seller then stands alone:
 * the least over his postage bands of postage less a fractional knapsack of profits by gram; a multiplier shares the
 * minimum order between pieces and parcel; donors stand apart. Multipliers move by deflected Polyak steps (Camerini,
 * Fratta and Maffioli 1975). Where fewer parcels are allowed than there are sellers, the best of them count. Packs and least
 * numbers count by the least that a piece comes to when no more are wanted than all lots need; what else they bind is left
 * out, which keeps it a floor.
 */
export class LowerBound {
  best = -Infinity;
  /** How often each seller was open, and how many copies of each box were bought, over the last steps: shares tell what is torn. */
  readonly openShare: Float64Array;
  readonly copiesShare: Float64Array;
  readonly reduced: Float64Array;
  private readonly lambda: Float64Array;
  private readonly mu: Float64Array;
  private readonly direction: Float64Array;
  private readonly muDirection: Float64Array;
  private scale = 1;
  private idle = 0;
  private readonly lotsOfSeller: readonly Int32Array[];
  private readonly offersOfPair: readonly (readonly Int32Array[])[];
  private readonly pairs: Pairs;
  private bestLambda: Float64Array;
  private bestMu: Float64Array;

  constructor(
    private readonly c: Compiled,
    /** What can be met of each lot. */
    private readonly need: Int32Array,
    /** What is settled beforehand: a part of all plans, of which the floor then is. */
    private readonly settled: Settled = nothingSettled(c),
    from: Multipliers | null = null,
  ) {
    this.openShare = new Float64Array(c.sellers);
    this.copiesShare = new Float64Array(c.donorPrice.length);
    this.reduced = new Float64Array(c.sellers);
    this.lambda = new Float64Array(c.lots);
    this.mu = new Float64Array(c.sellers);
    this.direction = new Float64Array(c.lots);
    this.muDirection = new Float64Array(c.sellers);
    const pairs = from?.pairs ?? pairsOf(c, need);
    this.pairs = pairs;
    this.lotsOfSeller = pairs.lots;
    this.offersOfPair = pairs.offers;
    for (let l = 0; l < c.lots; l++) this.lambda[l] = from ? from.lambda[l]! : this.firstPrice(l);
    if (from) {
      this.mu.set(from.mu);
      this.scale = 0.4;
    }
    this.bestLambda = Float64Array.from(this.lambda);
    this.bestMu = Float64Array.from(this.mu);
  }

  /** True once its steps have become so short that few more pence are to be had by them. */
  get hasSettled(): boolean {
    return this.scale < SETTLED;
  }

  /** Where another floor, of a part of the plans, may begin. */
  get multipliers(): Multipliers {
    return {
      lambda: Float64Array.from(this.bestLambda),
      mu: Float64Array.from(this.bestMu),
      pairs: this.pairs,
    };
  }

  /** A low quantile of a lot's prices, and a little for postage. */
  private firstPrice(lot: number): number {
    const offers = this.c.offersOfLot[lot]!;
    const o = offers[Math.floor(offers.length * 0.15)];
    return o === undefined ? 0 : this.c.offerPrice[o]! * 1.1 + 1;
  }

  /** One step towards `target`, the cost of the best plan known. */
  step(target: number): void {
    const taken = new Float64Array(this.c.lots);
    const muGradient = new Float64Array(this.c.sellers);
    const shares = new Float64Array(this.c.sellers);
    const value = this.evaluate(taken, muGradient, shares);
    if (value > this.best + 1e-9) {
      if (value > this.best + 1e-4 * Math.abs(this.best)) this.idle = 0;
      this.best = value;
      this.reduced.set(shares);
      this.bestLambda.set(this.lambda);
      this.bestMu.set(this.mu);
    } else this.idle++;
    if (this.idle >= 12) {
      this.scale = Math.max(0.02, this.scale * 0.6);
      this.idle = 0;
      this.lambda.set(this.bestLambda);
      this.mu.set(this.bestMu);
    }
    this.advance(target - value, taken, muGradient);
  }

  private advance(gap: number, taken: Float64Array, muGradient: Float64Array): void {
    const { c } = this;
    let square = 1e-9;
    for (let l = 0; l < c.lots; l++) {
      const g = this.need[l]! - taken[l]!;
      this.direction[l] = g + 0.7 * this.direction[l]!;
      square += this.direction[l]! ** 2;
    }
    // The minimum orders' multipliers live on another scale: pence against pieces.
    let muSquare = 1e-9;
    for (let s = 0; s < c.sellers; s++) {
      this.muDirection[s] = muGradient[s]! + 0.7 * this.muDirection[s]!;
      muSquare += this.muDirection[s]! ** 2;
    }
    const wish = Math.max(gap, 1e-3);
    const step = (this.scale * wish) / square;
    for (let l = 0; l < c.lots; l++)
      this.lambda[l] = Math.max(0, this.lambda[l]! + step * this.direction[l]!);
    const muStep = (0.5 * this.scale * wish) / muSquare;
    for (let s = 0; s < c.sellers; s++)
      this.mu[s] = Math.min(1, Math.max(0, this.mu[s]! + muStep * this.muDirection[s]!));
  }

  private evaluate(taken: Float64Array, muGradient: Float64Array, shares: Float64Array): number {
    let value = 0;
    for (let l = 0; l < this.c.lots; l++) value += this.lambda[l]! * this.need[l]!;
    value += this.parcels(taken, muGradient, shares);
    for (let d = 0; d < this.c.donorPrice.length; d++) value += this.donor(d, taken);
    return value;
  }

  /** What the parcels come to: of every seller who is worth one or is forced, and no more than are allowed. */
  private parcels(taken: Float64Array, muGradient: Float64Array, shares: Float64Array): number {
    const { sellers, maxSellers } = this.c;
    const limited = maxSellers < sellers;
    let value = 0;
    const open: number[] = [];
    for (let s = 0; s < sellers; s++) {
      const forced = this.settled.sellers[s] === OPENED;
      const shut = this.settled.sellers[s] === SHUT;
      shares[s] = shut ? Infinity : this.seller(s, limited ? null : taken, muGradient, forced);
      if (forced || shares[s]! < 0) open.push(s);
    }
    const kept = limited ? this.allowed(open, shares) : open;
    // More are forced than are allowed: there is no such plan.
    if (!kept) return Infinity;
    for (let s = 0; s < sellers; s++) this.openShare[s] = KEPT * this.openShare[s]!;
    for (const s of kept) {
      value += shares[s]!;
      this.openShare[s] = this.openShare[s]! + 1 - KEPT;
      if (limited) this.seller(s, taken, muGradient, this.settled.sellers[s] === OPENED);
    }
    return value;
  }

  /** Of open sellers those that are forced, and the best of the others while there is room; undefined where there is none. */
  private allowed(open: readonly number[], shares: Float64Array): number[] | undefined {
    const isForced = (s: number) => this.settled.sellers[s] === OPENED;
    const forced = open.filter(isForced);
    const room = this.c.maxSellers - forced.length;
    if (room < 0) return undefined;
    const others = open.filter((s) => !isForced(s)).sort((a, b) => shares[a]! - shares[b]!);
    return [...forced, ...others.slice(0, room)];
  }

  /** The least that a seller's parcel comes to with pieces paid by their lots' prices; what it takes is noted in `taken`. */
  private seller(s: number, taken: Float64Array | null, muGradient: Float64Array, forced: boolean): number {
    const { c } = this;
    const mu = this.mu[s]!;
    const items: Item[] = [];
    const lots = this.lotsOfSeller[s]!;
    for (let k = 0; k < lots.length; k++) {
      const lot = lots[k]!;
      let left = this.need[lot]!;
      const offers = this.offersOfPair[s]![k]!;
      let gramsLeast = Infinity;
      if (offers.length > 1)
        for (const o of offers) gramsLeast = Math.min(gramsLeast, c.grams[c.offerElement[o]!]!);
      for (let i = 0; i < offers.length && left > 0; i++) {
        const o = offers[i]!;
        const price = this.pairs.price[o]!;
        const profit = this.lambda[lot]! - (1 - mu) * price;
        if (profit <= 0) break;
        const qty = Math.min(left, c.offerCap[o]!);
        left -= qty;
        const grams = offers.length > 1 ? gramsLeast : c.grams[c.offerElement[o]!]!;
        items.push({ lot, profit, qty, grams, price, rate: grams > 0 ? profit / grams : Infinity });
      }
    }
    items.sort((a, b) => b.rate - a.rate);
    return this.pack(s, items, mu * c.minOrder[s]!, taken, muGradient, forced);
  }

  /** Fills bands in one pass: items by profit for each gram, and at each band's end the profit so far. */
  private pack(
    s: number,
    items: readonly Item[],
    fixed: number,
    taken: Float64Array | null,
    muGradient: Float64Array,
    forced: boolean,
  ): number {
    const { c } = this;
    const [limits, pence] = [c.bandGrams[s]!, c.bandPence[s]!];
    let [profit, weight, band] = [0, 0, 0];
    let [best, bestBand] = [0, -1];
    const settle = (b: number, total: number) => {
      const cost = fixed + pence[b]! - total;
      if (cost < best || bestBand < 0) [best, bestBand] = [cost, b];
    };
    for (const item of items) {
      const whole = item.grams * item.qty;
      while (band < limits.length && weight + whole > limits[band]!) {
        const part = item.grams > 0 ? (limits[band]! - weight) / item.grams : item.qty;
        settle(band, profit + Math.max(0, part) * item.profit);
        band++;
      }
      if (band >= limits.length) break;
      profit += item.profit * item.qty;
      weight += whole;
    }
    if (band < limits.length) settle(band, profit);
    if (taken && bestBand >= 0 && (best < 0 || forced))
      this.note(s, items, limits[bestBand]!, taken, muGradient);
    return best;
  }

  private note(
    s: number,
    items: readonly Item[],
    limit: number,
    taken: Float64Array,
    muGradient: Float64Array,
  ): void {
    let [weight, value] = [0, 0];
    for (const item of items) {
      const room = item.grams > 0 ? (limit - weight) / item.grams : item.qty;
      const n = Math.min(item.qty, room);
      if (n <= 0) break;
      taken[item.lot]! += n;
      value += n * item.price;
      weight += n * item.grams;
    }
    muGradient[s] = this.c.minOrder[s]! - value;
  }

  /** What each number of copies of a donor, from none, costs less what its pieces are worth at the best multipliers. */
  donorCosts(d: number): number[] {
    const now = Float64Array.from(this.lambda);
    this.lambda.set(this.bestLambda);
    const costs = Array.from(
      { length: this.c.donorMax[d]! + 1 },
      (_, n) => n * this.c.donorPrice[d]! - this.yieldOf(d, n, null),
    );
    this.lambda.set(now);
    return costs;
  }

  private donor(d: number, taken: Float64Array): number {
    const { c } = this;
    const [least, most] = [this.settled.leastCopies[d]!, this.settled.mostCopies[d]!];
    let [best, bestCopies] = least > 0 ? [Infinity, least] : [0, 0];
    for (let copies = Math.max(1, least); copies <= most; copies++) {
      const cost = c.donorPrice[d]! * copies - this.yieldOf(d, copies, null);
      if (cost < best) [best, bestCopies] = [cost, copies];
    }
    if (bestCopies > 0) this.yieldOf(d, bestCopies, taken);
    this.copiesShare[d] = KEPT * this.copiesShare[d]! + (1 - KEPT) * bestCopies;
    return best;
  }

  /** What the pieces of some copies are worth to their lots, the dearest lot first. */
  private yieldOf(d: number, copies: number, taken: Float64Array | null): number {
    let worth = 0;
    for (const [e, qty] of this.c.donorYields[d]!) {
      let left = qty * copies;
      const lots = [...this.c.acceptedBy[e]!].sort((a, b) => this.lambda[b]! - this.lambda[a]!);
      for (const lot of lots) {
        const n = Math.min(left, this.need[lot]!);
        worth += n * this.lambda[lot]!;
        left -= n;
        if (taken) taken[lot]! += n;
      }
    }
    return worth;
  }
}

/** The length of a step, as a share of what is wanting, at which a floor has settled. */
const SETTLED = 0.06;

/** Share of what was seen before that counts on, at each step. */
const KEPT = 0.9;

export const SHUT = -1;
export const OPENED = 1;

/** What is settled of a plan: sellers shut or opened, and between how many copies of each box there are. */
export interface Settled {
  readonly sellers: Int8Array;
  readonly leastCopies: Int32Array;
  readonly mostCopies: Int32Array;
}

export const nothingSettled = (c: Compiled): Settled => ({
  sellers: new Int8Array(c.sellers),
  leastCopies: new Int32Array(c.donorPrice.length),
  mostCopies: Int32Array.from(c.donorMax),
});

/** Prices of the needs, and shares of the least orders, that a floor has come to. */
export interface Multipliers {
  readonly lambda: Float64Array;
  readonly mu: Float64Array;
  readonly pairs: Pairs;
}

interface Item {
  readonly lot: number;
  readonly profit: number;
  readonly qty: number;
  readonly grams: number;
  readonly price: number;
  readonly rate: number;
}
