import { anneal } from './anneal';
import { cheapChoice } from './cheap-choice';
import { ChoiceCost } from './choice-cost';
import { filledFull } from './first-plans';
import { MANY_LOTS } from './mix';
import type { Search } from './search';
import { SellerCover } from './seller-cover';
import { scoreOf, sellersOf, type Saved } from './state';

/** Beginnings that are looked at, in all threads together. */
const MOST = 64;
/** Of problems with many lots choices are looked for by what they are estimated to cost: so many, each by so many estimates. */
const CHEAP = { choices: 3, looks: 2000 };
/** And so many of the others are looked at beside them. */
const OTHERS = 5;
/** How many of them are left at last, to be begun from. */
const LAST = 3;
/** How each is looked at: so many steps of twenty in the first round, from so warm to so cold as a search is at these shares of its time. */
const LOOK = { steps: 10, from: 0.55, to: 0.95 };

/** Which of several threads that search apart this is: each looks at beginnings of its own. */
export interface Share {
  readonly of: number;
  readonly at: number;
}

/**
 * Other choices of sellers for a search to begin from. Where hardly any parcels are allowed only some choices have all that
 * can be had, and no exchange of one or two sellers leads from one to the next: a search stays with the choice it began
 * with, whatever that costs. What a choice costs only shows once its pieces have been divided well, so each is searched for
 * a moment, the better half of them for twice as long, and so forth (successive halving, Karnin, Koren and Somekh 2013);
 * the last are then begun from, one after the other.
 *
 * @example
 * const beginnings = new Beginnings(search, { of: 1, at: 0 });
 * while (beginnings.look());
 * beginnings.begin(); // the search goes on from the best of them
 */
export class Beginnings {
  private unseen: Saved[];
  /** What the others of this round have come to. */
  private seen: Saved[] = [];
  private steps = LOOK.steps;
  private cheap = 0;

  constructor(
    private readonly search: Search,
    { of, at }: Share,
  ) {
    const { best, beginnings, state } = search;
    const isMany = search.c.lots > MANY_LOTS;
    const equal = beginnings.filter((b) => b.unmet <= best.unmet).slice(0, isMany ? OTHERS : MOST);
    // With parcels to spare a seller is opened and closed as it pays: any beginning leads anywhere.
    const isTight = state.parcels >= search.c.maxSellers && equal.length > 1;
    this.unseen = isTight ? equal.filter((_, i) => i % of === at) : [];
    this.cheap = isTight && isMany ? CHEAP.choices : 0;
  }

  /** How many there are to begin from, at the most. */
  get left(): number {
    return Math.min(LAST, this.seen.length + this.unseen.length);
  }

  /** Looks at the next; false when the last have been looked at. */
  look(): boolean {
    if (this.cheap > 0) {
      this.cheap--;
      this.addCheap();
      return true;
    }
    if (this.unseen.length === 0 && this.seen.length > LAST) this.nextRound();
    const plan = this.unseen.shift();
    if (!plan) return false;
    const { search, steps } = this;
    search.goOnFrom(plan);
    let best = plan;
    for (let i = 0; i < steps; i++) {
      anneal(search, LOOK.from + ((LOOK.to - LOOK.from) * i) / steps);
      if (search.state.score < scoreOf(best)) best = search.state.save();
    }
    this.seen.push(best);
    return true;
  }

  /** One more, found elsewhere, where there are any. */
  add(plan: Saved): void {
    if (this.left > 0) this.seen.push(plan);
  }

  /** Has the search go on from the best that it has not been begun from; where there is none, from where it is. */
  begin(): void {
    // Those of a round that was not looked at to its end are as good as they were found in the one before.
    this.seen = [...this.seen, ...this.unseen].sort(better);
    this.unseen = [];
    const plan = this.seen.shift();
    if (plan) this.search.goOnFrom(plan);
  }

  private addCheap(): void {
    const { c, random, best } = this.search;
    const cover = new SellerCover(c);
    cover.begin(sellersOf(c, best));
    const chosen = cheapChoice(cover, new ChoiceCost(c), random, CHEAP.looks);
    const plan = filledFull({ c, random, donors: null }, chosen).save();
    if (plan.unmet <= best.unmet) this.unseen.push(plan);
  }

  private nextRound(): void {
    this.seen.sort(better);
    this.unseen = this.seen.slice(0, Math.max(LAST, this.seen.length >> 1));
    this.seen = [];
    this.steps *= 2;
  }
}

const better = (a: Saved, b: Saved): number => scoreOf(a) - scoreOf(b);
