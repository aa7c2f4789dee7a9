import { between, type Random } from '../shared/random';
import type { SellerCover } from './seller-cover';

/** Rounds that begin from a part of the best sellers so far. Forty leave as little unmet as three hundred; some are to spare. */
const ROUNDS = 100;
/** And where what is allowed is enough for all who have any of it. */
const ROUNDS_OF_PLENTY = 30;

/** A choice of sellers, by their indices, and how many pieces they lack together. */
export interface Choice {
  readonly chosen: readonly number[];
  readonly lacking: number;
}

/**
 * Where no more parcels are allowed than so many: sellers that together have the most of what is wanted, by greedy choice
 * and exchanges of one and of two (maximal covering, Church and ReVelle 1974), from several beginnings. Gives every choice
 * that was come to, those that lack least first.
 */
export function sellersForMost(cover: SellerCover, random: Random): Choice[] {
  const { c } = cover;
  const found = new Map<string, Choice>();
  let best: Choice[] = [];
  const note = (): void => {
    const choice = { chosen: cover.chosen.slice(), lacking: cover.lacking };
    const key = keyOf(choice.chosen);
    if (found.has(key)) return;
    found.set(key, choice);
    const least = best[0]?.lacking ?? Infinity;
    if (choice.lacking < least) best = [];
    if (choice.lacking <= least) best.push(choice);
  };
  cover.begin([]);
  cover.addBest();
  const rounds = cover.chosen.length < c.maxSellers ? ROUNDS_OF_PLENTY : ROUNDS;
  cover.exchange(0);
  cover.exchangePairs();
  note();
  for (let round = 0; round < rounds && !cover.isTired; round++) {
    const { chosen, lacking } = best[between(random, 0, best.length - 1)]!;
    // One that is new, or the exchanges would only lead back.
    const other = between(random, 0, c.sellers - 1);
    const keep = random();
    cover.begin([other, ...chosen.filter((s) => s !== other && random() < keep)].slice(0, c.maxSellers));
    cover.addBest();
    cover.exchange(between(random, 0, c.maxSellers - 1));
    if (cover.lacking < lacking) cover.exchangePairs();
    if (!cover.isTired) note();
  }
  return [...found.values()].sort((a, b) => a.lacking - b.lacking);
}

/** A choice that waits, and what came of the one it was made from; below nothing for those that are given. */
interface Waiting extends Choice {
  readonly score: number;
}

/**
 * Choices, those that lack least first, and of those that lack alike what comes of the best: those that are given, and what
 * comes of them by exchanging one seller after another. Where many have equally much, hardly any of them is found by
 * looking for the most; and what sellers seem to have may be more than what comes of it.
 *
 * @example
 * const near = new NearChoices(cover, sellersForMost(cover, random), 200);
 * for (let at = near.next(12); at; at = near.next(12)) near.tell(at, scoreOf(planFrom(at)), 12);
 */
export class NearChoices {
  private readonly known = new Set<string>();
  private readonly waiting: Waiting[] = [];
  private best = Infinity;

  constructor(
    private readonly cover: SellerCover,
    choices: readonly Choice[],
    /** How many are to be given at most. */
    private left: number,
  ) {
    for (const choice of choices) this.add({ ...choice, score: -1 });
  }

  /** The next, or null where no other is known that lacks no more than so many pieces. */
  next(lacking: number): readonly number[] | null {
    if (this.left <= 0) return null;
    let at = -1;
    this.waiting.forEach((w, i) => {
      const first = this.waiting[at];
      if (w.lacking > lacking) return;
      if (!first || w.lacking < first.lacking || (w.lacking === first.lacking && w.score < first.score))
        at = i;
    });
    const [next] = at < 0 ? [] : this.waiting.splice(at, 1);
    this.left--;
    return next?.chosen ?? null;
  }

  /** Tells what came of one. Others like it are looked for where it is the best, or where too few wait. */
  tell(chosen: readonly number[], score: number, lacking: number): void {
    const isBest = score < this.best;
    this.best = Math.min(this.best, score);
    if (this.left <= 0 || this.cover.isTired || (!isBest && this.waiting.length >= this.left)) return;
    const { cover } = this;
    for (let i = 0; i < chosen.length; i++) {
      const kept = chosen.filter((_, at) => at !== i);
      cover.begin(kept);
      for (let s = 0; s < cover.c.sellers; s++) {
        if (chosen.includes(s)) continue;
        const lacks = cover.lacking - cover.gainOf(s);
        if (lacks <= lacking) this.add({ chosen: [...kept, s], lacking: lacks, score });
      }
    }
  }

  private add(choice: Waiting): void {
    const key = keyOf(choice.chosen);
    if (this.known.has(key)) return;
    this.known.add(key);
    this.waiting.push(choice);
  }
}

const keyOf = (chosen: readonly number[]): string => chosen.toSorted((a, b) => a - b).join();
