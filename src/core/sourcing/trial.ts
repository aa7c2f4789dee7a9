import { anneal } from './anneal';
import type { Search } from './search';
import { scoreOf } from './state';

/** When the first round and the second end; the rest of the time goes to the winner. */
const FIRST = 0.4;
const SECOND = 0.65;
const FINALISTS = 3;

/**
 * Choices that a search which has settled on one does not leave, tried by a search each: which boxes are bought, or from whom
 * where hardly any parcels are allowed. All have a short search; the best three a longer one; the winner the rest.
 */
export class Trial<Choice> {
  private readonly rivals: (Search | undefined)[] = [];
  private finalists: Search[] = [];

  constructor(
    private readonly choices: readonly Choice[],
    private readonly begin: (choice: Choice) => Search,
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
