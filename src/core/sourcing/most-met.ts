import { between, type Random } from '../shared/random';
import type { Compiled } from './compile';

/**
 * Rounds that begin from a part of the best sellers so far. Where parcels are really scarce a few dozen leave up to three
 * more pieces unmet than some hundred, and find hardly any of the choices that have equally much.
 */
const ROUNDS = 300;
/** And where what is allowed is enough for all who have any of it. */
const ROUNDS_OF_PLENTY = 30;
/** Lots of a seller looked at, in all: beyond this what was found has to do. */
const MOST_LOOKED = 50_000_000;
/** Choices that are kept. */
const MOST_CHOICES = 24;

/**
 * Where no more parcels are allowed than so many: sellers that together have the most of what is wanted, by greedy choice
 * and exchanges (maximal covering, Church and ReVelle 1974), from several beginnings. What boxes can give at most is taken
 * to be there, and pieces that two lots want count for both, so it is near enough for a start. Gives some choices that have
 * equally much, each with 1 for who is chosen.
 */
export function sellersForMost(c: Compiled, random: Random): Uint8Array[] {
  const cover = new Cover(c);
  cover.addBest();
  const rounds = cover.chosen.length < c.maxSellers ? ROUNDS_OF_PLENTY : ROUNDS;
  cover.exchange(0);
  cover.exchangePairs();
  let least = cover.lacking;
  const found = new Map([[keyOf(cover.chosen), cover.chosen.slice()]]);
  for (let round = 0; round < rounds && !cover.isTired; round++) {
    const known = [...found.values()];
    const best = known[between(random, 0, known.length - 1)]!;
    // One that is new, or the exchanges would only lead back.
    const other = between(random, 0, c.sellers - 1);
    const keep = random();
    cover.begin([other, ...best.filter((s) => s !== other && random() < keep)].slice(0, c.maxSellers));
    cover.addBest();
    cover.exchange(between(random, 0, c.maxSellers - 1));
    if (cover.lacking < least) cover.exchangePairs();
    if (cover.isTired) break;
    if (cover.lacking < least) found.clear();
    least = Math.min(least, cover.lacking);
    if (cover.lacking === least && found.size < MOST_CHOICES)
      found.set(keyOf(cover.chosen), cover.chosen.slice());
  }
  return [...found.values()].map((best) =>
    Uint8Array.from({ length: c.sellers }, (_, s) => (best.includes(s) ? 1 : 0)),
  );
}

const keyOf = (chosen: readonly number[]): string => chosen.toSorted((a, b) => a - b).join();

/** Sellers that are chosen, and what of each lot they have together. */
class Cover {
  readonly chosen: number[] = [];
  /** Pieces that lack. */
  lacking = 0;
  private looked = 0;
  private readonly had: Float64Array;
  private readonly fromBoxes: Float64Array;
  /** Of each seller the lots he serves, and of each how many pieces. */
  private readonly lots: readonly Int32Array[];
  private readonly pieces: readonly Int32Array[];

  constructor(private readonly c: Compiled) {
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

  private exchangePair(): boolean {
    const before = [...this.chosen];
    const most = this.lacking;
    for (let i = 0; i < before.length; i++)
      for (let j = 0; j < i && !this.isTired; j++) {
        const kept = before.filter((_, at) => at !== i && at !== j);
        for (let s = 0; s < this.c.sellers; s++) {
          if (before.includes(s)) continue;
          this.begin([...kept, s]);
          this.addBest();
          if (this.lacking < most) return true;
        }
      }
    this.begin(before);
    return false;
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

  private gainOf(s: number): number {
    const [lots, pieces] = [this.lots[s]!, this.pieces[s]!];
    this.looked += lots.length;
    let gain = 0;
    for (let i = 0; i < lots.length; i++) {
      const lacks = this.c.need[lots[i]!]! - this.had[lots[i]!]!;
      if (lacks > 0) gain += Math.min(lacks, pieces[i]!);
    }
    return gain;
  }

  private add(s: number): void {
    this.lacking -= this.gainOf(s);
    this.change(s, 1);
    this.chosen.push(s);
  }

  private remove(at: number): void {
    const [s] = this.chosen.splice(at, 1);
    if (s === undefined) return;
    this.change(s, -1);
    this.lacking += this.gainOf(s);
  }

  private change(s: number, by: number): void {
    const [lots, pieces] = [this.lots[s]!, this.pieces[s]!];
    for (let i = 0; i < lots.length; i++) this.had[lots[i]!]! += by * pieces[i]!;
  }
}
