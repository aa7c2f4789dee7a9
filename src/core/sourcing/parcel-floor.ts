import type { Compiled } from './compile';
import { LotPrices } from './lot-prices';
import { addItems, type Item, type Terms } from './parcel-items';
import type { SellerShape } from './seller-shape';

/**
 * The least that a seller's parcel can come to with its pieces paid by their lots' prices: the least over his postage bands
 * of postage less a fractional knapsack of profits by gram. The least order (at least so much is paid for pieces) pays a
 * share of each price, which is best for each band by itself, found where two lines over a concave curve meet (Kelley 1960).
 */
export class ParcelFloor {
  private readonly prices: LotPrices;
  private readonly answers: (Band | undefined)[];
  /** What a piece is worth to each lot, with one seller's shared lots at their prices. */
  private readonly worth: Float64Array;
  /** How often each seller's parcel was looked at as an open one. */
  private readonly looks: Int32Array;
  /** How often the best shares of the least order were known when a parcel was looked at. */
  private readonly rounds: Int32Array;
  private readonly cost: Float64Array;
  private readonly value: Float64Array;
  /** How far each seller was from being worth a parcel, less what has changed since that could make him. */
  private readonly slack: Float64Array;
  private readonly lastLambda: Float64Array;
  private readonly lastBonus: Float64Array;
  private readonly rise: Float64Array;
  private bonus = 0;

  constructor(
    private readonly c: Compiled,
    private readonly need: Int32Array,
    private readonly shapes: readonly SellerShape[],
  ) {
    this.prices = new LotPrices(c, need, shapes);
    this.looks = new Int32Array(c.sellers);
    this.rounds = new Int32Array(c.sellers);
    this.answers = Array.from({ length: c.sellers });
    this.worth = new Float64Array(c.lots);
    const bands = Math.max(0, ...c.bandGrams.map((b) => b.length));
    this.cost = new Float64Array(bands);
    this.value = new Float64Array(bands);
    this.slack = new Float64Array(c.sellers).fill(-1);
    this.lastLambda = new Float64Array(c.lots);
    this.lastBonus = new Float64Array(c.sellers);
    this.rise = new Float64Array(c.lots);
  }

  /**
   * Of each seller the least of his parcel in pence, less a bonus for its being there, at new prices of the lots. Where it is
   * more than is asked of him, `upTo`, a figure below it may be given, but none below that.
   */
  leasts(lambda: Float64Array, bonus: Float64Array, upTo: (s: number) => number): Float64Array {
    for (let l = 0; l < lambda.length; l++) this.rise[l] = Math.max(0, lambda[l]! - this.lastLambda[l]!);
    this.lastLambda.set(lambda);
    return Float64Array.from({ length: this.c.sellers }, (_, s) => {
      const slack = this.slack[s]! - this.mostRise(s, bonus[s]!);
      // He was further from it than all that has risen since could bring.
      if (slack >= upTo(s)) return (this.slack[s] = slack);
      const least = this.least(s, lambda, bonus[s]!, upTo(s));
      this.slack[s] = least;
      return least;
    });
  }

  get sellers(): number {
    return this.c.sellers;
  }

  /** The most by which a parcel can have become better since the last prices. */
  private mostRise(s: number, bonus: number): number {
    const { lots, most } = this.shapes[s]!;
    let sum = Math.max(0, bonus - this.lastBonus[s]!);
    this.lastBonus[s] = bonus;
    for (let i = 0; i < lots.length; i++) sum += this.rise[lots[i]!]! * most[i]!;
    return sum;
  }

  /** The least of one seller's parcel, in pence; where that is more than `upTo`, a figure between them. */
  least(s: number, lambda: Float64Array, bonus: number, upTo: number): number {
    this.bonus = bonus;
    let at = this.itemsAt(s, lambda, 0);
    const atLeast = this.withoutWeight(s, at);
    if (atLeast >= upTo) return atLeast;
    if (this.shapes[s]!.shared.length > 0 && this.looks[s]!++ % SETTLE_EVERY === 0) {
      this.prices.settle(s, lambda);
      at = this.itemsAt(s, lambda, 0);
    }
    this.sweep(s, 0, at);
    const bands = Array.from(this.c.bandGrams[s]!, (_, b) => this.bandAt(b, 0, at.items));
    const before = this.answers[s];
    // Most of the time the shares that were best last are near enough: they are looked for anew now and then.
    if (before?.high && this.rounds[s]!++ % SEARCH_EVERY !== 0) {
      this.tell(s, lambda, before.high.share, bands);
      if (before.low.share > 0) this.tell(s, lambda, before.low.share, bands);
      return this.keep(s, bands);
    }
    for (let round = 0; round < SHARES; round++) {
      const least = leastOf(bands);
      if (least.best >= upTo || !this.raise(s, lambda, least, bands)) break;
    }
    return this.keep(s, bands);
  }

  private keep(s: number, bands: readonly Band[]): number {
    const least = leastOf(bands);
    this.answers[s] = least;
    return least.best;
  }

  private bandAt(band: number, share: number, items: readonly Item[]): Band {
    const low = { share, cost: this.cost[band]!, value: this.value[band]!, items };
    return { band, best: low.cost, low, high: null };
  }

  /** What the parcel comes to at least if all that is worth it went at the least postage: enough to tell most who are too dear. */
  private withoutWeight(s: number, { items, beyond }: Items): number {
    let cost = this.c.firstPence[s]! - this.bonus - beyond;
    for (let i = 0; i < items.length; i++) cost -= items[i]!.profit;
    return cost;
  }

  private writeWorth(s: number, lambda: Float64Array): number {
    const { lots } = this.shapes[s]!;
    for (let i = 0; i < lots.length; i++) this.worth[lots[i]!] = lambda[lots[i]!]!;
    return this.prices.write(s, lambda, this.worth);
  }

  /** Tries a share of the least order that is better for one band, and tells all; false when there is nothing more to gain. */
  private raise(s: number, lambda: Float64Array, { best, low, high }: Band, bands: readonly Band[]): boolean {
    const minOrder = this.c.minOrder[s]!;
    const slope = minOrder - low.value;
    if (slope <= 1e-9 || low.share === 1) return false;
    let share = 1;
    if (high) {
      const fall = minOrder - high.value;
      share = (high.cost - low.cost + slope * low.share - fall * high.share) / (slope - fall);
      const most = low.cost + slope * (share - low.share);
      const least = Math.max(LEAST_GAIN, GAIN_SHARE * Math.abs(best));
      if (!(most > best + least) || share <= low.share || share >= high.share) return false;
    }
    this.tell(s, lambda, share, bands);
    return true;
  }

  /** Looks at a parcel at one share of the least order, and tells all bands. */
  private tell(s: number, lambda: Float64Array, share: number, bands: readonly Band[]): void {
    const minOrder = this.c.minOrder[s]!;
    const at = this.itemsAt(s, lambda, share);
    this.sweep(s, share, at);
    for (const b of bands) {
      const point = { share, cost: this.cost[b.band]!, value: this.value[b.band]!, items: at.items };
      b.best = Math.max(b.best, point.cost);
      if (point.value > minOrder) {
        if (!b.high || share < b.high.share) b.high = point;
      } else if (share > b.low.share) b.low = point;
    }
  }

  /** Adds the pieces that the parcel of the last `least` takes to what is taken of each lot. */
  note(s: number, lambda: Float64Array, taken: Float64Array): void {
    const { band, low, high } = this.answers[s]!;
    // Between two shares the parcel is a mixture of both that comes to just the least order.
    const over = high && high.value > low.value ? high.value - this.c.minOrder[s]! : 0;
    const part = high && over > 0 ? Math.min(1, over / (high.value - low.value)) : 1;
    this.writeWorth(s, lambda);
    this.take(s, lambda, low, band, part, taken);
    if (high && part < 1) this.take(s, lambda, high, band, 1 - part, taken);
    this.shapes[s]!.shared.forEach(({ lot }, i) => {
      if (this.prices.isFull(s, i, lambda)) taken[lot]! += this.need[lot]!;
    });
  }

  private take(
    s: number,
    lambda: Float64Array,
    { items }: Point,
    band: number,
    times: number,
    taken: Float64Array,
  ): void {
    const limit = this.c.bandGrams[s]![band]!;
    let weight = 0;
    for (const { grams, lots, pieces } of items) {
      const part = grams > 0 ? Math.min(1, (limit - weight) / grams) : 1;
      if (part <= 0) break;
      for (let i = 0; i < lots.length; i++) {
        // What a full lot is worth does not move with its price here: all of its need is noted at once.
        const isFull = this.worth[lots[i]!]! < lambda[lots[i]!]!;
        if (!isFull) taken[lots[i]!]! += times * part * pieces[i]!;
      }
      weight += part * grams;
    }
  }

  /** What can be in the parcel, and what full lots are worth beyond it. */
  private itemsAt(s: number, lambda: Float64Array, share: number): Items {
    const beyond = this.writeWorth(s, lambda);
    const items: Item[] = [];
    const terms: Terms = { c: this.c, need: this.need, worth: this.worth, share };
    for (const offer of this.shapes[s]!.offers) addItems(terms, offer, items);
    return { items, beyond };
  }

  /** Fills bands in one pass: of each what the parcel comes to at least, and what its pieces cost. */
  private sweep(s: number, share: number, { items, beyond }: Items): void {
    const [limits, pence] = [this.c.bandGrams[s]!, this.c.bandPence[s]!];
    items.sort(byRate);
    const fixed = share * this.c.minOrder[s]! - this.bonus - beyond;
    let [profit, weight, value, band] = [0, 0, 0, 0];
    for (const item of items) {
      while (band < limits.length && weight + item.grams > limits[band]!) {
        const part = item.grams > 0 ? Math.max(0, (limits[band]! - weight) / item.grams) : 1;
        this.cost[band] = fixed + pence[band]! - profit - part * item.profit;
        this.value[band] = value + part * item.value;
        band++;
      }
      profit += item.profit;
      weight += item.grams;
      value += item.value;
    }
    // A dearer band holds all as well; where bands are out of order it may even be the cheaper.
    for (; band < limits.length; band++) {
      this.cost[band] = fixed + pence[band]! - profit;
      this.value[band] = value;
    }
  }
}

const leastOf = (bands: readonly Band[]): Band => bands.reduce((a, b) => (b.best < a.best ? b : a));

const byRate = (a: Item, b: Item): number => b.rate - a.rate;

/** Shares of the least order that are tried, and the pence below which another is not worth it. */
const SHARES = 6;
const LEAST_GAIN = 0.05;
/** The same as a share of what the parcel comes to. */
const GAIN_SHARE = 0.002;
/** Once in so many looks the best shares are looked for anew. */
const SEARCH_EVERY = 4;

/** The prices of shared lots move slowly: they are settled once in so many looks. */
const SETTLE_EVERY = 4;

/** A parcel at one share of the least order. */
interface Point {
  readonly share: number;
  readonly cost: number;
  readonly value: number;
  /** What was worth buying, by profit for each gram. */
  readonly items: readonly Item[];
}

/** What can be in a parcel, and what full lots are worth beyond it. */
interface Items {
  readonly items: Item[];
  readonly beyond: number;
}

/** A band of a parcel: the most that is known of its least, and the shares between which the best lies. */
interface Band {
  readonly band: number;
  best: number;
  low: Point;
  high: Point | null;
}
