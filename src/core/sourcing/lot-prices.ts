import type { Compiled } from './compile';
import type { SellerShape, SharedLot } from './seller-shape';

/**
 * What a piece is worth to a lot that several offers of one seller can serve: no more than what its offers would rather
 * serve others for, once it has all it needs. So the offers of a seller can be looked at one by one, and what lots are worth
 * beyond that is counted once. Each price is set at its best beside the others (coordinate descent on the dual of who
 * serves whom); any prices give a floor, good ones a high one. They change little from step to step of a floor, so they are
 * kept, and settled a little more each time.
 */
export class LotPrices {
  /** By seller, in the order of his shared lots. */
  private readonly ceiling: readonly Float64Array[];
  private readonly placeOf: readonly ReadonlyMap<number, number>[];
  private readonly lotsOf: readonly ReadonlyMap<number, readonly number[]>[];

  constructor(
    private readonly c: Compiled,
    private readonly need: Int32Array,
    private readonly shapes: readonly SellerShape[],
  ) {
    this.ceiling = shapes.map((x) => new Float64Array(x.shared.length).fill(Infinity));
    this.placeOf = shapes.map((x) => new Map(x.shared.map(({ lot }, i) => [lot, i])));
    this.lotsOf = shapes.map((x) => new Map(x.offers.map(({ offer, lots }) => [offer, lots])));
  }

  /** Sets each price of a seller's shared lots anew, once, with lots worth `lambda` a piece. */
  settle(s: number, lambda: Float64Array): void {
    const ceiling = this.ceiling[s]!;
    this.shapes[s]!.shared.forEach((lot, i) => (ceiling[i] = this.ceilingOf(s, lot, lambda)));
  }

  /** Writes to `worth` what a piece is worth to each shared lot of a seller; gives what they are worth beyond it. */
  write(s: number, lambda: Float64Array, worth: Float64Array): number {
    let beyond = 0;
    this.shapes[s]!.shared.forEach(({ lot }, i) => {
      worth[lot] = Math.min(lambda[lot]!, this.ceiling[s]![i]!);
      beyond += this.need[lot]! * (lambda[lot]! - worth[lot]);
    });
    return beyond;
  }

  /** True where a lot has, at these prices, all it needs of this seller whatever else he sends. */
  isFull(s: number, place: number, lambda: Float64Array): boolean {
    return this.ceiling[s]![place]! < lambda[this.shapes[s]!.shared[place]!.lot]!;
  }

  /**
   * What the first piece beyond the need of a lot would have to be paid. Where all up to it are just enough, any price from
   * the last of them on is as good here; the highest leaves most to be weighed in the parcel, and gives the higher floors.
   */
  private ceilingOf(s: number, { lot, offers }: SharedLot, lambda: Float64Array): number {
    const asked = offers.flatMap((o) => this.askedFor(s, o, lot, lambda)).sort((a, b) => a.pence - b.pence);
    let sum = 0;
    for (const { pence, qty } of asked) {
      if (sum >= this.need[lot]!) return pence;
      sum += qty;
      if (sum > this.need[lot]!) return pence;
    }
    return Infinity;
  }

  /** What an offer asks of a lot for pieces: its price while there are any over, then what the other lots pay for theirs. */
  private askedFor(s: number, offer: number, lot: number, lambda: Float64Array): Asked[] {
    const price = this.c.offerPrice[offer]!;
    const rivals: Asked[] = [];
    for (const l of this.lotsOf[s]!.get(offer)!) {
      if (l === lot) continue;
      const place = this.placeOf[s]!.get(l);
      const pays = place === undefined ? lambda[l]! : Math.min(lambda[l]!, this.ceiling[s]![place]!);
      if (pays > price) rivals.push({ pence: pays, qty: this.need[l]! });
    }
    rivals.sort((a, b) => b.pence - a.pence);
    let left = this.c.offerCap[offer]!;
    const held: Asked[] = [];
    for (const r of rivals) {
      const qty = Math.min(r.qty, left);
      if (qty > 0) held.push({ pence: r.pence, qty });
      left -= qty;
    }
    if (left > 0) held.push({ pence: price, qty: left });
    let wanted = this.need[lot]!;
    return held.reverse().flatMap(({ pence, qty }) => {
      const n = Math.min(qty, wanted);
      wanted -= n;
      return n > 0 ? [{ pence, qty: n }] : [];
    });
  }
}

/** So many pieces at a price each. */
interface Asked {
  readonly pence: number;
  readonly qty: number;
}
