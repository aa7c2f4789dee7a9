/** Share of the time after which it is known how many steps there are going to be. */
const KNOWN = 0.15;

/**
 * How often a search cools down in its time. Where more steps in one cooling bring nothing any more, several are each begun
 * anew, and the best of them is better than one: `most` is what one cooling is worth, in steps.
 *
 * @example
 * const coolings = new Coolings(1000);
 * // Told 1,000 times over half of its time: cools down twice, and is at 0.5 of the first at a quarter of it.
 */
export class Coolings {
  private steps = 0;
  private times = 1;

  constructor(private readonly most: number) {}

  /** How far the present cooling is, from 0 to 1, with so much of the time over. Called once for each step. */
  fractionAt(over: number): number {
    this.steps++;
    if (this.times === 1 && over >= KNOWN && over < 2 * KNOWN)
      this.times = Math.max(1, Math.round(this.steps / over / this.most));
    const at = over * this.times;
    return over >= 1 ? 1 : at - Math.floor(at);
  }
}
