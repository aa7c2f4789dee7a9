import type { CountedSets } from './counted-sets';

/** A rectangle in tenths of a millimetre. */
export interface Side {
  readonly w: number;
  readonly h: number;
}

const NONE = new Int32Array(0);

/**
 * The smallest rectangles that a set of strips can be cut from by cuts from edge to edge: for each set of so many of each
 * size, every (width, height) of which neither side can be made less. A group of strips cut so is one strip, or two groups
 * beside or over one another with a blade's width between them; so the rectangles of a set follow from those of the sets
 * within it (slicing floorplans: Otten, 1982), and a set fits a field exactly when one of its rectangles does. They may
 * be turned, so each list holds its own mirror image.
 */
export class Boxes {
  private readonly boxes: Int32Array[] = [];
  private readonly heights: Int32Array;
  private readonly longest: number;

  /**
   * `sizes[i]` is what one strip of kind i of `sets` measures, `fields` what they may be cut from, all in tenths of a
   * millimetre: rectangles that fit no field are left out.
   */
  constructor(
    readonly sets: CountedSets,
    private readonly sizes: readonly Side[],
    private readonly fields: readonly Side[],
    private readonly kerf: number,
  ) {
    this.longest = Math.max(0, ...fields.map((f) => Math.max(f.w, f.h)));
    this.heights = new Int32Array(this.longest + 1);
  }

  /** Works out all sets; false = `isOver` ended it, and nothing may be asked. */
  fill(isOver: () => boolean): boolean {
    for (let set = 0; set < this.sets.size; set++) {
      if (isOver()) return false;
      this.boxes.push(this.boxesOf(set));
    }
    return true;
  }

  private boxesOf(set: number): Int32Array {
    if (set === 0) return NONE;
    this.heights.fill(0);
    const single = this.sets.weights.indexOf(set);
    if (single >= 0) this.note(this.sizes[single]!.w, this.sizes[single]!.h);
    else
      this.sets.within(set, (part) => {
        // Each pair of groups once.
        if (part === 0 || part > set - part) return;
        const [a, b] = [this.boxes[part]!, this.boxes[set - part]!];
        if (a.length > 0 && b.length > 0) this.beside(a, b);
      });
    return this.least();
  }

  /** Two groups beside one another: going down in height, whichever is higher gives way to its next wider rectangle. */
  private beside(a: Int32Array, b: Int32Array): void {
    let [i, j] = [0, 0];
    while (i < a.length && j < b.length) {
      const [ha, hb] = [a[i + 1]!, b[j + 1]!];
      const w = a[i]! + this.kerf + b[j]!;
      if (w > this.longest) return;
      this.note(w, Math.max(ha, hb));
      if (ha >= hb) i += 2;
      if (hb >= ha) j += 2;
    }
  }

  private note(w: number, h: number): void {
    if (w > this.longest || h > this.longest) return;
    const { heights } = this;
    if (heights[w] === 0 || h < heights[w]!) heights[w] = h;
    if (heights[h] === 0 || w < heights[h]!) heights[h] = w;
  }

  /** What was noted, without what is no smaller than another, and without what fits no field. */
  private least(): Int32Array {
    const kept: number[] = [];
    let low = Infinity;
    for (let w = 1; w <= this.longest; w++) {
      const h = this.heights[w]!;
      if (h === 0 || h >= low) continue;
      low = h;
      if (this.fields.some((f) => (w <= f.w && h <= f.h) || (w <= f.h && h <= f.w))) kept.push(w, h);
    }
    return Int32Array.from(kept);
  }

  /** The least width in which a set can be cut from a strip of a height; Infinity when none is. The empty set: 0. */
  widthOf(set: number, height: number): number {
    if (set === 0) return 0;
    const list = this.boxes[set]!;
    let [low, high] = [0, list.length >> 1];
    while (low < high) {
      const mid = (low + high) >> 1;
      if (list[2 * mid + 1]! <= height) high = mid;
      else low = mid + 1;
    }
    return 2 * low < list.length ? list[2 * low]! : Infinity;
  }

  fits(set: number, { w, h }: Side): boolean {
    return this.widthOf(set, h) <= w;
  }
}
