import type { Compiled } from './compile';
import { SellerCover } from './seller-cover';

/** Choices beyond which there are not few. */
const MOST_CHOICES = 64;
/** Lots that may go on lacking come after those that may not. */
const LAST = 1e6;

/**
 * Every choice of sellers, no more than are allowed, that lacks no more than so many pieces, by depth-first search over who
 * serves the lot that fewest can (as for exact cover, Knuth 2000): whoever brings too little even with the best of the
 * others beside him is left out. Where hardly any parcels are allowed there are often only a handful among millions. Null
 * where they are many, where some need fewer parcels than are allowed, so that anybody may join, or where it takes too long.
 *
 * @param lacking  pieces that may be lacking, of whichever lots
 * @param looks  how often a lot of a seller is looked at, at most; a hundred million take one to two seconds
 * @example everyChoice(compile(problem), 3, 1e7) // [[2, 5, 11], [2, 7, 11]]
 */
export function everyChoice(
  c: Compiled,
  lacking: number,
  looks: number,
): readonly (readonly number[])[] | null {
  const found = new Choices(c, lacking, looks);
  return found.search() ? found.all : null;
}

class Choices {
  readonly all: number[][] = [];
  private readonly cover: SellerCover;
  /** Of each lot the sellers who have any of it. */
  private readonly sellersOf: readonly (readonly number[])[];
  /** Sellers who were tried before, or are chosen. */
  private readonly isOut: Uint8Array;
  private readonly gains: Float64Array;

  constructor(
    c: Compiled,
    private readonly lacking: number,
    private readonly looks: number,
  ) {
    this.cover = new SellerCover(c);
    this.sellersOf = c.offersOfLot.map((offers) => [
      ...new Set(Array.from(offers, (o) => c.offerSeller[o]!)),
    ]);
    this.isOut = new Uint8Array(c.sellers);
    this.gains = new Float64Array(c.sellers);
  }

  /** Looks at all that can be chosen beside what is; false where it is given up. */
  search(): boolean {
    const { cover } = this;
    if (cover.looked > this.looks) return false;
    const room = cover.c.maxSellers - cover.chosen.length;
    if (cover.lacking <= this.lacking) {
      this.all.push(cover.chosen.toSorted((a, b) => a - b));
      return room === 0 && this.all.length <= MOST_CHOICES;
    }
    const least = this.leastGain(room);
    if (least === null) return true;
    const lot = this.scarcest(least);
    if (!lot) return true;
    const tried: number[] = [];
    let isWhole = true;
    const { gains } = this;
    for (const s of lot.sellers.toSorted((a, b) => gains[b]! - gains[a]!)) {
      this.isOut[s] = 1;
      tried.push(s);
      cover.add(s);
      isWhole = this.search();
      cover.remove(cover.chosen.length - 1);
      if (!isWhole) break;
    }
    // The lot may also be left as it is: none of those who could serve it comes in then.
    if (isWhole && lot.mayLack) isWhole = this.search();
    for (const s of tried) this.isOut[s] = 0;
    return isWhole;
  }

  /** What a seller must bring to be of use: what is lacking less the most that others could bring; null where all are too few. */
  private leastGain(room: number): number | null {
    const most: number[] = [];
    for (let s = 0; s < this.gains.length; s++) {
      this.gains[s] = this.isOut[s] === 1 ? 0 : this.cover.gainOf(s);
      if (this.gains[s]! > 0) most.push(this.gains[s]!);
    }
    most.sort((a, b) => b - a);
    let others = 0;
    for (let i = 0; i < room - 1 && i < most.length; i++) others += most[i]!;
    const least = this.cover.lacking - this.lacking - others;
    return room > 0 && (most[room - 1] ?? 0) >= least ? least : null;
  }

  /** The lot that fewest can serve of those that must not go on lacking; where all may, the one that lacks most for its few. */
  private scarcest(least: number): { sellers: number[]; mayLack: boolean } | null {
    const { cover, gains } = this;
    const mayServe = (s: number) => gains[s]! > 0 && gains[s]! >= least;
    let [best, first] = [-1, Infinity];
    for (let lot = 0; lot < this.sellersOf.length && first > 0; lot++) {
      const lacks = cover.lacksOf(lot);
      if (lacks === 0) continue;
      let sellers = 0;
      for (const s of this.sellersOf[lot]!) if (mayServe(s)) sellers++;
      const mayLack = lacks <= this.lacking;
      if (mayLack && sellers === 0) continue;
      const rank = mayLack ? LAST - lacks / sellers : sellers;
      if (rank < first) [best, first] = [lot, rank];
    }
    if (best < 0) return null;
    return { sellers: this.sellersOf[best]!.filter(mayServe), mayLack: cover.lacksOf(best) <= this.lacking };
  }
}
