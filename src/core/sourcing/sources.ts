/**
 * What serves a lot: offers (or -1 - element for donors) and how many pieces of each, in the order in which they came. Nearly always
 * one or two, which lists find and change in a quarter of the time that a map takes; a search does little else.
 */
export class Sources {
  private readonly sources: number[] = [];
  private readonly pieces: number[] = [];

  get size(): number {
    return this.sources.length;
  }

  sourceAt(i: number): number {
    return this.sources[i]!;
  }

  piecesAt(i: number): number {
    return this.pieces[i]!;
  }

  /** Pieces from a source; 0 where it gives none. */
  get(source: number): number {
    const at = this.placeOf(source);
    return at < 0 ? 0 : this.pieces[at]!;
  }

  has(source: number): boolean {
    return this.placeOf(source) >= 0;
  }

  /** More pieces of a source, or fewer; one that gives none any more is none. */
  add(source: number, n: number): void {
    const { sources, pieces } = this;
    const at = this.placeOf(source);
    if (at < 0) {
      if (n === 0) return;
      sources.push(source);
      pieces.push(n);
      return;
    }
    const now = pieces[at]! + n;
    pieces[at] = now;
    if (now !== 0) return;
    for (let i = at + 1; i < sources.length; i++) {
      sources[i - 1] = sources[i]!;
      pieces[i - 1] = pieces[i]!;
    }
    sources.pop();
    pieces.pop();
  }

  /** A copy as rows. */
  rows(): [source: number, pieces: number][] {
    return this.sources.map((source, i) => [source, this.pieces[i]!]);
  }

  private placeOf(source: number): number {
    const { sources } = this;
    for (let i = 0; i < sources.length; i++) if (sources[i] === source) return i;
    return -1;
  }
}
