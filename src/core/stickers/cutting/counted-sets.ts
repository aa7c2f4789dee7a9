/**
 * Multisets of a few kinds, each a whole number: the digits of a number whose places have the counts for their bases. Sets
 * that share no piece too many then add up as their numbers do.
 */
export class CountedSets {
  readonly size: number;
  /** What one piece of each kind adds to a set's number. */
  readonly weights: readonly number[];

  constructor(readonly counts: readonly number[]) {
    let size = 1;
    this.weights = counts.map((n) => {
      const weight = size;
      size *= n + 1;
      return weight;
    });
    this.size = size;
  }

  /** How many of each kind a set holds. */
  digits(set: number): number[] {
    return this.counts.map((n, i) => Math.floor(set / this.weights[i]!) % (n + 1));
  }

  pieces(set: number): number {
    return this.digits(set).reduce((s, n) => s + n, 0);
  }

  /** Every set within another, the empty one and itself included, rising; `visit` may end it by giving true. */
  within(set: number, visit: (part: number) => boolean | void): void {
    const most = this.digits(set);
    const now = most.map(() => 0);
    let part = 0;
    for (;;) {
      if (visit(part)) return;
      let i = 0;
      for (; i < now.length; i++) {
        if (now[i]! < most[i]!) {
          now[i]!++;
          part += this.weights[i]!;
          break;
        }
        part -= now[i]! * this.weights[i]!;
        now[i] = 0;
      }
      if (i === now.length) return;
    }
  }

  /** How many pairs of a set and a set within it there are: what looking at all of them costs. */
  get pairs(): number {
    return this.counts.reduce((p, n) => p * (((n + 1) * (n + 2)) / 2), 1);
  }
}
