import { postageOf, type Compiled } from './compile';

/**
 * About what it costs to buy from some sellers and no others: each lot from the cheapest of them, with postage and least
 * orders as that comes out, and boxes for what none of them has. Pieces that two lots want are counted for both, packs are
 * opened, and no lot is moved to fill a parcel up, so it is a guide to which sellers go together and no price.
 *
 * @example new ChoiceCost(compile(problem)).of([3, 8, 12]) // pence
 */
export class ChoiceCost {
  private readonly isChosen: Uint8Array;
  private readonly grams: Float64Array;
  private readonly value: Float64Array;
  /** Of each lot what a piece was paid last, and how many nobody has. */
  private readonly paid: Float64Array;
  private readonly lacks: Int32Array;
  private readonly copies: Int32Array;
  /** Boxes that have pieces for a lot. */
  private readonly boxesOf: readonly { readonly box: number; readonly qty: number }[][];

  constructor(private readonly c: Compiled) {
    this.isChosen = new Uint8Array(c.sellers);
    this.grams = new Float64Array(c.sellers);
    this.value = new Float64Array(c.sellers);
    this.paid = new Float64Array(c.lots);
    this.lacks = new Int32Array(c.lots);
    this.copies = new Int32Array(c.donorPrice.length);
    const boxesOf: { box: number; qty: number }[][] = Array.from({ length: c.lots }, () => []);
    c.donorYields.forEach((yields, box) => {
      for (const [e, qty] of yields)
        if (qty > 0) for (const lot of c.acceptedBy[e]!) boxesOf[lot]!.push({ box, qty });
    });
    this.boxesOf = boxesOf;
  }

  of(chosen: readonly number[]): number {
    const { isChosen, grams, value } = this;
    for (const s of chosen) [isChosen[s], grams[s], value[s]] = [1, 0, 0];
    let cost = this.lots() + this.boxes();
    for (const s of chosen) {
      cost += postageOf(this.c, s, Math.min(grams[s]!, this.c.maxGrams[s]!));
      cost += Math.max(0, this.c.minOrder[s]! - value[s]!);
      isChosen[s] = 0;
    }
    return cost;
  }

  private lots(): number {
    const { c, isChosen, grams, value } = this;
    let cost = 0;
    for (let lot = 0; lot < c.lots; lot++) {
      const offers = c.offersOfLot[lot]!;
      let left = c.need[lot]!;
      this.paid[lot] = 0;
      for (let i = 0; i < offers.length && left > 0; i++) {
        const o = offers[i]!;
        const s = c.offerSeller[o]!;
        if (isChosen[s] === 0) continue;
        const n = Math.min(left, c.offerCap[o]!);
        const pence = n * c.offerPrice[o]!;
        cost += pence;
        value[s]! += pence;
        grams[s]! += n * c.grams[c.offerElement[o]!]!;
        this.paid[lot] = c.offerPrice[o]!;
        left -= n;
      }
      this.lacks[lot] = left;
    }
    return cost;
  }

  /** What the boxes cost that what lacks comes from, less what they save on the other lots. */
  private boxes(): number {
    const { c, copies, lacks } = this;
    copies.fill(0);
    for (let lot = 0; lot < c.lots; lot++) {
      if (lacks[lot] === 0) continue;
      let left = lacks[lot]!;
      for (const { box, qty } of this.boxesOf[lot]!) left -= qty * copies[box]!;
      for (const { box, qty } of this.boxesOf[lot]!) {
        if (left <= 0) break;
        const more = Math.min(c.donorMax[box]! - copies[box]!, Math.ceil(left / qty));
        copies[box]! += more;
        left -= more * qty;
      }
    }
    let cost = 0;
    for (let box = 0; box < copies.length; box++) {
      if (copies[box] === 0) continue;
      cost += c.donorPrice[box]! * copies[box]!;
      for (const [e, qty] of c.donorYields[box]!) {
        const lot = c.acceptedBy[e]![0]!;
        cost -= Math.min(qty * copies[box]!, c.need[lot]! - lacks[lot]!) * this.paid[lot]!;
      }
    }
    return cost;
  }
}
