import { anneal } from './anneal';
import type { Compiled } from './compile';
import type { LowerBound } from './lower-bound';
import type { Search } from './search';
import { scoreOf, type Saved } from './state';

/** When the first round and the second end; the rest of the time goes to the winner. */
const FIRST = 0.4;
const SECOND = 0.65;
const MOST_CHOICES = 8;
const FINALISTS = 3;

/**
 * Choices of donor boxes, tried by a search each: which boxes are bought changes a plan more than anything else, and a
 * search that has settled on some does not leave them. All have a short search; the best three a longer one; the winner
 * the rest.
 */
export class DonorTrial {
  private readonly rivals: (Search | undefined)[] = [];
  private finalists: Search[] = [];

  constructor(
    private readonly choices: readonly Int32Array[],
    private readonly begin: (copies: Int32Array) => Search,
  ) {}

  /** Does a little of whatever is on at this fraction of the time, and gives the search it worked on. */
  work(fraction: number): Search {
    if (fraction < FIRST) {
      const slot = (fraction / FIRST) * this.choices.length;
      const i = Math.min(this.choices.length - 1, Math.floor(slot));
      const rival = (this.rivals[i] ??= this.begin(this.choices[i]!));
      anneal(rival, slot - i);
      return rival;
    }
    if (this.finalists.length === 0) this.finalists = this.ranked().slice(0, FINALISTS);
    if (fraction < SECOND) {
      const slot = ((fraction - FIRST) / (SECOND - FIRST)) * this.finalists.length;
      const i = Math.min(this.finalists.length - 1, Math.floor(slot));
      anneal(this.finalists[i]!, 0.15 + 0.85 * (slot - i));
      return this.finalists[i]!;
    }
    const [winner] = this.ranked();
    anneal(winner!, 0.25 + (0.75 * (fraction - SECOND)) / (1 - SECOND));
    return winner!;
  }

  private ranked(): Search[] {
    const begun = this.rivals.filter((r) => r !== undefined);
    if (begun.length === 0) begun.push((this.rivals[0] = this.begin(this.choices[0]!)));
    return begun.sort((a, b) => scoreOf(a.best) - scoreOf(b.best));
  }
}

/**
 * Choices of donors worth a trial: combinations of copies whose cost, less what their pieces are worth at the floor's
 * prices, is small beside the plan; the most promising first.
 */
export function donorChoices(c: Compiled, floor: LowerBound, best: Saved): Int32Array[] {
  const slack = 0.03 * best.cost;
  let choices: { copies: number[]; cost: number }[] = [{ copies: [], cost: 0 }];
  for (let d = 0; d < c.donorPrice.length; d++)
    choices = floor
      .donorCosts(d)
      .flatMap((more, n) =>
        more <= slack || n === 0
          ? choices.map(({ copies, cost }) => ({ copies: [...copies, n], cost: cost + more }))
          : [],
      )
      .sort((a, b) => a.cost - b.cost)
      .slice(0, 64);
  return choices.slice(0, MOST_CHOICES).map((x) => Int32Array.from(x.copies));
}
