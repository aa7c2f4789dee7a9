/** A mixed-integer linear model to be minimised, rows compressed. The solver that takes it knows no word of parts. */
export interface LinearModel {
  readonly columns: number;
  readonly cost: Float64Array;
  readonly lower: Float64Array;
  readonly upper: Float64Array;
  /** 1 = integer, 0 = continuous. */
  readonly integer: Int32Array;
  readonly rowLower: Float64Array;
  readonly rowUpper: Float64Array;
  readonly starts: Int32Array;
  readonly indices: Int32Array;
  readonly values: Float64Array;
}

/** Builds a linear model column by column and row by row. */
export class ModelBuilder {
  private readonly columns: { cost: number; lower: number; upper: number; integer: boolean }[] = [];
  private readonly rowLower: number[] = [];
  private readonly rowUpper: number[] = [];
  private readonly starts: number[] = [0];
  private readonly indices: number[] = [];
  private readonly values: number[] = [];

  column(cost: number, upper: number, integer: boolean, lower = 0): number {
    return this.columns.push({ cost, lower, upper, integer }) - 1;
  }

  row(lower: number, upper: number, terms: readonly (readonly [column: number, value: number])[]): void {
    for (const [column, value] of terms) {
      this.indices.push(column);
      this.values.push(value);
    }
    this.starts.push(this.indices.length);
    this.rowLower.push(lower);
    this.rowUpper.push(upper);
  }

  build(): LinearModel {
    const pick = (of: (c: ModelBuilder['columns'][number]) => number) => Float64Array.from(this.columns, of);
    return {
      columns: this.columns.length,
      cost: pick((c) => c.cost),
      lower: pick((c) => c.lower),
      upper: pick((c) => c.upper),
      integer: Int32Array.from(this.columns, (c) => (c.integer ? 1 : 0)),
      rowLower: Float64Array.from(this.rowLower),
      rowUpper: Float64Array.from(this.rowUpper),
      starts: Int32Array.from(this.starts),
      indices: Int32Array.from(this.indices),
      values: Float64Array.from(this.values),
    };
  }
}
