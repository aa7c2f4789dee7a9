import type { Compiled } from './compile';
import type { SellerShape } from './seller-shape';

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
  private readonly offersOf: readonly (readonly (readonly SharedOffer[])[])[];
  private readonly asked = new Ascending();
  private readonly rivals = new Ascending();

  constructor(
    private readonly c: Compiled,
    private readonly need: Int32Array,
    private readonly shapes: readonly SellerShape[],
  ) {
    this.ceiling = shapes.map((x) => new Float64Array(x.shared.length).fill(Infinity));
    this.offersOf = shapes.map(sharedOffers);
  }

  /** Sets each price of a seller's shared lots anew, once, with lots worth `lambda` a piece. */
  settle(s: number, lambda: Float64Array): void {
    const ceiling = this.ceiling[s]!;
    for (let i = 0; i < ceiling.length; i++) ceiling[i] = this.ceilingOf(s, i, lambda);
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
  private ceilingOf(s: number, place: number, lambda: Float64Array): number {
    const need = this.need[this.shapes[s]!.shared[place]!.lot]!;
    const { asked } = this;
    asked.clear();
    for (const shared of this.offersOf[s]![place]!) this.ask(s, shared, need, lambda);
    let sum = 0;
    for (let i = 0; i < asked.length; i++) {
      if (sum >= need) return asked.pence[i]!;
      sum += asked.qty[i]!;
      if (sum > need) return asked.pence[i]!;
    }
    return Infinity;
  }

  /** What an offer asks of a lot for pieces: its price while there are any over, then what the other lots pay for theirs. */
  private ask(s: number, { offer, lots, places }: SharedOffer, need: number, lambda: Float64Array): void {
    const price = this.c.offerPrice[offer]!;
    const { asked, rivals } = this;
    rivals.clear();
    for (let i = 0; i < lots.length; i++) {
      const [l, place] = [lots[i]!, places[i]!];
      const pays = place < 0 ? lambda[l]! : Math.min(lambda[l]!, this.ceiling[s]![place]!);
      if (pays > price) rivals.add(pays, this.need[l]!);
    }
    // Those who pay most have theirs first.
    let left = this.c.offerCap[offer]!;
    let first = rivals.length;
    for (; first > 0 && left > 0; first--) {
      rivals.qty[first - 1] = Math.min(left, rivals.qty[first - 1]!);
      left -= rivals.qty[first - 1]!;
    }
    let wanted = Math.min(left, need);
    if (wanted > 0) asked.add(price, wanted);
    wanted = need - wanted;
    for (let i = first; i < rivals.length && wanted > 0; i++) {
      const n = Math.min(wanted, rivals.qty[i]!);
      if (n > 0) asked.add(rivals.pence[i]!, n);
      wanted -= n;
    }
  }
}

/** An offer that can serve a shared lot, with the other lots it could serve and their places among the shared, -1 = none. */
interface SharedOffer {
  readonly offer: number;
  readonly lots: readonly number[];
  readonly places: readonly number[];
}

function sharedOffers({ shared, offers }: SellerShape): SharedOffer[][] {
  const placeOf = new Map(shared.map(({ lot }, i) => [lot, i]));
  const lotsOf = new Map(offers.map(({ offer, lots }) => [offer, lots]));
  return shared.map(({ lot, offers: of }) =>
    of.map((offer) => {
      const lots = lotsOf.get(offer)!.filter((l) => l !== lot);
      return { offer, lots, places: lots.map((l) => placeOf.get(l) ?? -1) };
    }),
  );
}

/** Pieces at a price each, the cheapest first. It is filled anew all the time, so it keeps its room. */
class Ascending {
  readonly pence: number[] = [];
  readonly qty: number[] = [];
  length = 0;

  clear(): void {
    this.length = 0;
  }

  add(pence: number, qty: number): void {
    let i = this.length++;
    for (; i > 0 && this.pence[i - 1]! > pence; i--) {
      this.pence[i] = this.pence[i - 1]!;
      this.qty[i] = this.qty[i - 1]!;
    }
    this.pence[i] = pence;
    this.qty[i] = qty;
  }
}
