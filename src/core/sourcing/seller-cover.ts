import type { Compiled } from './compile';

/** Lots of a seller looked at, in all: beyond this what was found has to do. */
const MOST_LOOKED = 50_000_000;

/**
 * Sellers that are chosen, and how much of what is wanted they have together. What boxes can give at most is taken to be
 * there, and pieces that two lots want count for both: no plan that buys from them leaves less unmet than `lacking`.
 *
 * @example
 * const cover = new SellerCover(compile(problem));
 * cover.begin([]);
 * cover.addBest(); // adds whoever has most of what lacks, while parcels are allowed
 * cover.lacking; // pieces that lack then
 */
export class SellerCover {
  readonly chosen: number[] = [];
  /** Pieces that lack. */
  lacking = 0;
  /** Lots of sellers that were looked at until now. */
  looked = 0;
  private readonly had: Float64Array;
  private readonly fromBoxes: Float64Array;
  /** Of each seller the lots he serves, and of each how many pieces. */
  private readonly lots: readonly Int32Array[];
  private readonly pieces: readonly Int32Array[];
  /** Scratch: what each seller would bring, and who brings anything, the most first. */
  private readonly gains: Float64Array;
  private readonly order: number[] = [];

  constructor(readonly c: Compiled) {
    this.fromBoxes = new Float64Array(c.lots);
    c.donorYields.forEach((yields, d) => {
      for (const [e, qty] of yields)
        for (const lot of c.acceptedBy[e]!) this.fromBoxes[lot]! += qty * c.donorMax[d]!;
    });
    const served = c.offersOfSeller.map((offers) => {
      const pieces = new Map<number, number>();
      for (const o of offers)
        for (const lot of c.acceptedBy[c.offerElement[o]!]!)
          pieces.set(lot, Math.min(c.need[lot]!, (pieces.get(lot) ?? 0) + c.offerCap[o]!));
      return pieces;
    });
    this.lots = served.map((m) => Int32Array.from(m.keys()));
    this.pieces = served.map((m) => Int32Array.from(m.values()));
    this.had = new Float64Array(c.lots);
    this.gains = new Float64Array(c.sellers);
    this.begin([]);
  }

  /** True once so much was looked at that it is enough. */
  get isTired(): boolean {
    return this.looked > MOST_LOOKED;
  }

  begin(chosen: readonly number[]): void {
    this.had.set(this.fromBoxes);
    this.chosen.length = 0;
    this.lacking = 0;
    for (let lot = 0; lot < this.c.lots; lot++)
      this.lacking += Math.max(0, this.c.need[lot]! - this.had[lot]!);
    for (const s of chosen) this.add(s);
  }

  /** Adds whoever has most of what lacks, while there is room for one more parcel and anybody has any of it. */
  addBest(): void {
    while (this.chosen.length < this.c.maxSellers && !this.isTired) {
      const s = this.bestToAdd();
      if (s < 0) return;
      this.add(s);
    }
  }

  /** Takes one seller after another out and puts in whoever is best instead, until that has changed nothing for all of them. */
  exchange(first: number): void {
    for (let at = first, idle = 0; idle < this.chosen.length && !this.isTired; at++) {
      const before = this.lacking;
      this.remove(at % this.chosen.length);
      const s = this.bestToAdd();
      if (s >= 0) this.add(s);
      idle = this.lacking < before ? 0 : idle + 1;
      if (this.chosen.length === 0) return;
    }
  }

  /** Takes any two out and puts any other two in, as long as less lacks by that. */
  exchangePairs(): void {
    const isFull = this.chosen.length === this.c.maxSellers;
    while (isFull && this.lacking > 0 && !this.isTired && this.exchangePair());
  }

  /** Pieces of a lot that lack. */
  lacksOf(lot: number): number {
    return Math.max(0, this.c.need[lot]! - this.had[lot]!);
  }

  /** Pieces of what lacks that a seller has. */
  gainOf(s: number): number {
    const [lots, pieces] = [this.lots[s]!, this.pieces[s]!];
    this.looked += lots.length;
    let gain = 0;
    for (let i = 0; i < lots.length; i++) {
      const lacks = this.c.need[lots[i]!]! - this.had[lots[i]!]!;
      if (lacks > 0) gain += Math.min(lacks, pieces[i]!);
    }
    return gain;
  }

  /** Chooses one more seller. */
  add(s: number): void {
    this.lacking -= this.gainOf(s);
    this.change(s, 1);
    this.chosen.push(s);
  }

  /** Takes one out, by his place among those that are chosen. */
  remove(at: number): void {
    const [s] = this.chosen.splice(at, 1);
    if (s === undefined) return;
    this.change(s, -1);
    this.lacking += this.gainOf(s);
  }

  private exchangePair(): boolean {
    const before = [...this.chosen];
    const most = this.lacking;
    for (let i = 0; i < before.length; i++)
      for (let j = 0; j < i && !this.isTired; j++) {
        this.begin(before.filter((_, at) => at !== i && at !== j));
        if (this.addPair(before, this.lacking - most)) return true;
      }
    this.begin(before);
    return false;
  }

  /** Adds two others that bring more than what is `wanted`. Two bring no more together than each alone, so few are looked at. */
  private addPair(but: readonly number[], wanted: number): boolean {
    const { gains, order } = this;
    this.sortByGain(but);
    for (let k = 0; k + 1 < order.length; k++) {
      const one = order[k]!;
      const beyond = wanted - gains[one]!;
      if (gains[order[k + 1]!]! <= beyond) return false;
      this.add(one);
      for (let l = k + 1; l < order.length && gains[order[l]!]! > beyond; l++) {
        if (this.gainOf(order[l]!) <= beyond) continue;
        this.add(order[l]!);
        return true;
      }
      this.remove(this.chosen.length - 1);
    }
    return false;
  }

  private sortByGain(but: readonly number[]): void {
    const { gains, order } = this;
    order.length = 0;
    for (let s = 0; s < this.c.sellers; s++) {
      if (but.includes(s)) continue;
      gains[s] = this.gainOf(s);
      if (gains[s]! > 0) order.push(s);
    }
    order.sort((a, b) => gains[b]! - gains[a]!);
  }

  private bestToAdd(): number {
    let [best, most] = [-1, 0];
    for (let s = 0; s < this.c.sellers; s++) {
      if (this.chosen.includes(s)) continue;
      const gain = this.gainOf(s);
      if (gain > most) [best, most] = [s, gain];
    }
    return best;
  }

  private change(s: number, by: number): void {
    const [lots, pieces] = [this.lots[s]!, this.pieces[s]!];
    for (let i = 0; i < lots.length; i++) this.had[lots[i]!]! += by * pieces[i]!;
  }
}
