import { BoxWorth } from './box-worth';
import type { Compiled } from './compile';
import { CoverPrices, type PricedCovers } from './cover-prices';
import { ParcelFloor } from './parcel-floor';
import { shapesOf } from './seller-shape';
import { nothingSettled, OPENED, SHUT, worthOfSpare, type Settled } from './settled';
import { PriceSteps } from './price-steps';

/**
 * A Lagrangian floor (Geoffrion 1974): the need of each lot is priced instead of demanded. Each seller then stands alone
 * (`ParcelFloor`), and so does each box (`BoxWorth`). Prices move by deflected Polyak steps (Camerini, Fratta and Maffioli
 * 1975). Where plans may lack some pieces, those do not count that are priced highest. Where fewer parcels are allowed than
 * there are sellers, the best of them count. What such a floor tears, a third of a parcel for each of three lots, is kept
 * together by covers that are priced as well (`CoverPrices`).
 */
export class LowerBound {
  best = -Infinity;
  /** How often each seller was open, and how many copies of each box were bought, over the last steps: shares tell what is torn. */
  readonly openShare: Float64Array;
  readonly copiesShare: Float64Array;
  private readonly prices: PriceSteps;
  private readonly covers: CoverPrices;
  private readonly parcel: ParcelFloor;
  private readonly boxes: BoxWorth;
  private readonly isOpen: Uint8Array;
  private readonly copies: Int32Array;
  private readonly isFirst: boolean;
  private steps = 0;
  private scale = 1;
  private idle = 0;
  private known: Float64Array | null = null;

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
    this.isOpen = new Uint8Array(c.sellers);
    this.copies = new Int32Array(c.donorPrice.length);
    this.isFirst = from === null;
    this.parcel = from?.parcel ?? new ParcelFloor(c, need, shapesOf(c));
    this.boxes = from?.boxes ?? new BoxWorth(c, need);
    // Of each lot as much must be there in any case.
    const surely = need.map((n) => Math.max(0, n - settled.spare));
    this.covers = new CoverPrices(c, surely, from?.covers ?? null);
    this.prices = new PriceSteps(from?.lambda ?? Array.from(need, (_, l) => this.firstPrice(l)));
    if (from) this.scale = 0.4;
  }

  /** True once its steps have become so short that few more pence are to be had by them. */
  get hasSettled(): boolean {
    return this.scale < SETTLED;
  }

  /**
   * What a parcel of each seller comes to at the best prices: below zero is worth opening. A step works out no more of a
   * closed seller than that he is not worth it; this is what he lacks, and is worked out when it is asked for. Of a seller
   * who is shut too, since a search that is steered by it compares all with one another.
   */
  get reduced(): Float64Array {
    this.known ??= Float64Array.from({ length: this.c.sellers }, (_, s) =>
      this.parcel.least(s, this.prices.best, this.covers.bestBonus[s]!, Infinity),
    );
    return this.known;
  }

  /** Where another floor, of a part of the plans, may begin. */
  get multipliers(): Multipliers {
    return {
      lambda: Float64Array.from(this.prices.best),
      covers: this.covers.priced,
      parcel: this.parcel,
      boxes: this.boxes,
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
    // New covers are new ground: the steps are long again.
    if (this.isFirst && COVERS_AT.includes(++this.steps) && this.covers.find())
      [this.scale, this.idle] = [1, 0];
    const taken = new Float64Array(this.c.lots);
    const value = this.evaluate(taken);
    if (value > this.best + 1e-9) {
      if (value > this.best + 1e-4 * Math.abs(this.best)) this.idle = 0;
      this.best = value;
      this.known = null;
      this.prices.keep();
      this.covers.keep();
    } else this.idle++;
    if (this.idle >= 12) {
      this.scale = Math.max(0.02, this.scale * 0.6);
      this.idle = 0;
      this.prices.goBack();
      this.covers.goBack();
    }
    this.advance(this.scale * Math.max(target - value, 1e-3), taken);
  }

  private advance(gap: number, taken: Float64Array): void {
    this.prices.advance(gap, this.need, taken);
    this.covers.step(gap, this.isOpen, this.copies);
  }

  private evaluate(taken: Float64Array): number {
    let value = this.covers.settle();
    for (let l = 0; l < this.c.lots; l++) value += this.prices.now[l]! * this.need[l]!;
    value += this.parcels(taken) - worthOfSpare(this.settled, this.need, this.prices.now, taken);
    for (let d = 0; d < this.c.donorPrice.length; d++) value += this.box(d, taken);
    return value;
  }

  /** What the parcels come to: of every seller who is worth one or is forced, and no more than are allowed. */
  private parcels(taken: Float64Array): number {
    const { sellers, maxSellers } = this.c;
    const open: number[] = [];
    const isForced = (s: number) => this.settled.sellers[s] === OPENED;
    const shares = this.parcel.leasts(this.prices.now, this.covers.bonus, (s) =>
      isForced(s) ? Infinity : 0,
    );
    for (let s = 0; s < sellers; s++)
      if (this.settled.sellers[s] !== SHUT && (isForced(s) || shares[s]! < 0)) open.push(s);
    const kept = maxSellers < sellers ? this.allowed(open, shares) : open;
    // More are forced than are allowed: there is no such plan.
    if (!kept) return Infinity;
    let value = 0;
    this.isOpen.fill(0);
    for (const s of kept) {
      value += shares[s]!;
      this.isOpen[s] = 1;
      this.parcel.note(s, this.prices.now, taken);
    }
    for (let s = 0; s < sellers; s++)
      this.openShare[s] = KEPT * this.openShare[s]! + (1 - KEPT) * this.isOpen[s]!;
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

  /** What each number of copies of a donor, from none, costs less what its pieces are worth at the best multipliers. */
  donorCosts(d: number): number[] {
    const price = this.c.donorPrice[d]!;
    return Array.from(
      { length: this.c.donorMax[d]! + 1 },
      (_, n) => n * price - this.boxes.of(d, n, this.prices.best, null),
    );
  }

  private box(d: number, taken: Float64Array): number {
    const [least, most] = [this.settled.leastCopies[d]!, this.settled.mostCopies[d]!];
    const price = this.c.donorPrice[d]! - this.covers.boxBonus[d]!;
    let [best, bestCopies] = least > 0 ? [Infinity, least] : [0, 0];
    for (let copies = Math.max(1, least); copies <= most; copies++) {
      const cost = price * copies - this.boxes.of(d, copies, this.prices.now, null);
      if (cost < best) [best, bestCopies] = [cost, copies];
    }
    if (bestCopies > 0) this.boxes.of(d, bestCopies, this.prices.now, taken);
    this.copies[d] = bestCopies;
    this.copiesShare[d] = KEPT * this.copiesShare[d]! + (1 - KEPT) * bestCopies;
    return best;
  }
}

/** The length of a step, as a share of what is wanting, at which a floor has settled. */
const SETTLED = 0.06;

/** Share of what was seen before that counts on, at each step. */
const KEPT = 0.9;

/** Steps of a first floor at which covers are looked for, once the prices have come to rest somewhat. */
const COVERS_AT = [150, 300, 450, 600, 800, 1000, 1200, 1400];

/** Prices that a floor has come to, and what it was worked out with, which a part of all plans shares. */
export interface Multipliers {
  readonly lambda: Float64Array;
  readonly covers: PricedCovers;
  readonly parcel: ParcelFloor;
  readonly boxes: BoxWorth;
}
