import { boughtFor, postageOf, priceOfNeed, type Compiled } from './compile';
import { Sources } from './sources';

/** What an unmet piece weighs beside pence: more than any plan could save by it. */
export const UNMET = 1e7;

/**
 * A plan while it is being searched: which pieces of which lots come from which offers and donors. Costs are exact at
 * every moment; `mark` and `rollBack` undo.
 */
export class State {
  readonly used: Int32Array;
  readonly value: Float64Array;
  readonly grams: Float64Array;
  readonly sellerCost: Float64Array;
  /** Offers in use of each seller. */
  readonly active: Int32Array;
  readonly copies: Int32Array;
  /** Pieces of each element out of donors: there, and taken. */
  readonly donorThere: Int32Array;
  readonly donorTaken: Int32Array;
  readonly open: Int32Array;
  /** What serves each lot. */
  readonly from: Sources[];
  cost = 0;
  unmet = 0;
  parcels = 0;
  /** What was given since the mark, three numbers each. */
  private log = new Int32Array(3 * 256);
  private logged = 0;

  constructor(readonly c: Compiled) {
    this.used = new Int32Array(c.offers);
    this.value = new Float64Array(c.sellers);
    this.grams = new Float64Array(c.sellers);
    this.sellerCost = new Float64Array(c.sellers);
    this.active = new Int32Array(c.sellers);
    this.copies = new Int32Array(c.donorPrice.length);
    this.donorThere = new Int32Array(c.elements);
    this.donorTaken = new Int32Array(c.elements);
    this.open = Int32Array.from(c.need);
    this.from = Array.from({ length: c.lots }, () => new Sources());
    this.unmet = c.need.reduce((a, b) => a + b, 0);
  }

  /** The score: unmet pieces first, then pence. */
  get score(): number {
    return this.cost + this.unmet * UNMET;
  }

  mark(): void {
    this.logged = 0;
  }

  /** Where the log of what was given stands, to come back to. */
  get position(): number {
    return this.logged;
  }

  rollBack(): void {
    this.rollBackTo(0);
  }

  /** Takes back what was given since the log stood there. */
  rollBackTo(position: number): void {
    for (let i = this.logged - 3; i >= position; i -= 3) {
      const [kind, a, n] = [this.log[i]!, this.log[i + 1]!, this.log[i + 2]!];
      if (kind === -1) this.applyCopies(a, -n);
      else this.apply(kind, a, -n);
    }
    this.logged = position;
  }

  /** Gives a lot `n` pieces from a source (offer, or -1 - element for donors); below zero takes them back. */
  give(lot: number, source: number, n: number): void {
    if (n === 0) return;
    this.note(lot, source, n);
    this.apply(lot, source, n);
  }

  setCopies(donor: number, by: number): void {
    this.note(-1, donor, by);
    this.applyCopies(donor, by);
  }

  private note(kind: number, what: number, n: number): void {
    if (this.logged === this.log.length) {
      const longer = new Int32Array(2 * this.log.length);
      longer.set(this.log);
      this.log = longer;
    }
    this.log[this.logged++] = kind;
    this.log[this.logged++] = what;
    this.log[this.logged++] = n;
  }

  private applyCopies(donor: number, by: number): void {
    const { c } = this;
    this.copies[donor]! += by;
    this.cost += by * c.donorPrice[donor]!;
    for (const [e, qty] of c.donorYields[donor]!) this.donorThere[e]! += by * qty;
  }

  private apply(lot: number, source: number, n: number): void {
    this.from[lot]!.add(source, n);
    this.open[lot]! -= n;
    this.unmet -= n;
    if (source < 0) {
      this.donorTaken[-1 - source]! += n;
      return;
    }
    const { c } = this;
    const s = c.offerSeller[source]!;
    const [min, multiple] = [c.offerMin[source]!, c.offerMultiple[source]!];
    const before = boughtFor(this.used[source]!, min, multiple);
    const wasUsed = this.used[source]! > 0;
    this.used[source]! += n;
    const isUsed = this.used[source]! > 0;
    const more = boughtFor(this.used[source]!, min, multiple) - before;
    this.value[s]! += more * c.offerPrice[source]!;
    this.grams[s]! += more * c.grams[c.offerElement[source]!]!;
    if (wasUsed !== isUsed) {
      const was = this.active[s]! > 0;
      this.active[s]! += isUsed ? 1 : -1;
      const is = this.active[s]! > 0;
      if (was !== is) this.parcels += is ? 1 : -1;
      if (!is) {
        this.value[s] = 0;
        this.grams[s] = 0;
      }
    }
    const cost = this.active[s]! > 0 ? this.parcelCost(s, this.value[s]!, this.grams[s]!) : 0;
    this.cost += cost - this.sellerCost[s]!;
    this.sellerCost[s] = cost;
  }

  parcelCost(s: number, value: number, grams: number): number {
    return Math.max(value, this.c.minOrder[s]!) + postageOf(this.c, s, grams);
  }

  /** How many more pieces an offer can give: what is in stock, and what its seller can still send. */
  room(offer: number): number {
    const { c } = this;
    const stock = c.offerCap[offer]! - this.used[offer]!;
    const s = c.offerSeller[offer]!;
    const each = c.grams[c.offerElement[offer]!]!;
    if (c.weighs[s] === 0 || each <= 0 || stock <= 0) return stock;
    const [min, multiple] = [c.offerMin[offer]!, c.offerMultiple[offer]!];
    const bought = boughtFor(this.used[offer]!, min, multiple);
    const more = Math.floor((c.maxGrams[s]! - this.grams[s]! + 1e-9) / each);
    const most = Math.floor((bought + Math.max(0, more)) / multiple) * multiple;
    return most < min ? 0 : Math.min(c.offerCap[offer]!, most) - this.used[offer]!;
  }

  /** What a piece in use of an offer comes to, with what its packs or its least number leave over. */
  priceUsed(offer: number): number {
    const used = this.used[offer]!;
    return used > 0 ? priceOfNeed(this.c, offer, used) : this.c.offerPrice[offer]!;
  }

  /** The dearest price that a lot pays for a piece now, what packs leave over with it; Infinity while it lacks pieces. */
  dearest(lot: number): number {
    if (this.open[lot]! > 0) return Infinity;
    let most = -1;
    const held = this.from[lot]!;
    for (let i = 0; i < held.size; i++) {
      const source = held.sourceAt(i);
      if (source >= 0) most = Math.max(most, this.priceUsed(source));
    }
    return most;
  }

  /** What `n` more pieces of an offer would cost. `sunk` = what of the parcel's cost is paid already in thought. */
  marginal(offer: number, n: number, sunk: number): number {
    const { c } = this;
    const s = c.offerSeller[offer]!;
    const [min, multiple] = [c.offerMin[offer]!, c.offerMultiple[offer]!];
    const used = this.used[offer]!;
    const more = boughtFor(used + n, min, multiple) - boughtFor(used, min, multiple);
    if (more === 0) return 0;
    const value = this.value[s]! + more * c.offerPrice[offer]!;
    const grams = this.grams[s]! + more * c.grams[c.offerElement[offer]!]!;
    const now = this.sellerCost[s]!;
    return this.parcelCost(s, value, grams) - (now > sunk ? now : sunk);
  }

  freeLot(lot: number): void {
    const held = this.from[lot]!;
    while (held.size > 0) this.give(lot, held.sourceAt(0), -held.piecesAt(0));
  }

  /** A copy of what was given, to come back to. */
  save(): Saved {
    return {
      cost: this.cost,
      unmet: this.unmet,
      copies: Int32Array.from(this.copies),
      from: this.from.map((held) => held.rows()),
    };
  }

  load(saved: Saved): void {
    for (let l = 0; l < this.c.lots; l++) this.freeLot(l);
    for (let d = 0; d < this.copies.length; d++) this.applyCopies(d, saved.copies[d]! - this.copies[d]!);
    saved.from.forEach((rows, lot) => rows.forEach(([source, n]) => this.apply(lot, source, n)));
    this.logged = 0;
  }
}

/** A plan put away. */
export interface Saved {
  readonly cost: number;
  readonly unmet: number;
  readonly copies: Int32Array;
  readonly from: readonly (readonly (readonly [source: number, pieces: number])[])[];
}

export const scoreOf = (s: Pick<Saved, 'cost' | 'unmet'>): number => s.cost + s.unmet * UNMET;

/** The sellers that a plan buys from. */
export function sellersOf(c: Compiled, { from }: Saved): number[] {
  const used = new Set<number>();
  for (const rows of from) for (const [source] of rows) if (source >= 0) used.add(c.offerSeller[source]!);
  return [...used];
}
