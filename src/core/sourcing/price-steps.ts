/** Of the step before so much counts on. */
const KEPT = 0.7;

/**
 * Prices of lots, in pence a piece, that move by deflected Polyak steps (Camerini, Fratta and Maffioli 1975) towards a higher
 * floor: up where too little of a lot is taken at its price, down where too much is. The best so far are kept.
 *
 * @example
 * const prices = new PriceSteps(Float64Array.of(3, 5));
 * prices.advance(10, Int32Array.of(4, 4), Float64Array.of(0, 4)); // the first lot gets dearer: nobody sends it at 3
 */
export class PriceSteps {
  readonly now: Float64Array;
  readonly best: Float64Array;
  private readonly direction: Float64Array;

  constructor(from: ArrayLike<number>) {
    this.now = Float64Array.from(from);
    this.best = Float64Array.from(from);
    this.direction = new Float64Array(from.length);
  }

  /** A step towards a floor that is `gap` pence higher, after so many pieces of what is needed were taken. */
  advance(gap: number, need: Int32Array, taken: Float64Array): void {
    let square = 1e-9;
    for (let l = 0; l < this.now.length; l++) {
      this.direction[l] = need[l]! - taken[l]! + KEPT * this.direction[l]!;
      square += this.direction[l]! ** 2;
    }
    for (let l = 0; l < this.now.length; l++)
      this.now[l] = Math.max(0, this.now[l]! + (gap / square) * this.direction[l]!);
  }

  /** Remembers the prices as the best. */
  keep(): void {
    this.best.set(this.now);
  }

  /** Goes back to the best. */
  goBack(): void {
    this.now.set(this.best);
  }
}
