import { Boxes, type Side } from './boxes';
import { CountedSets } from './counted-sets';
import type { Group } from './groups';
import { keepWhole, type KeptWhole } from './keep-whole';
import { cutOff, layOut, type LaidSize, type Rect } from './lay-out';
import { areaOf, type FieldCut, type Laid, type SharedOut } from './shared-out';

/** One field opened outweighs every difference of colour that there can be. */
const OPENED = 1e12;

export interface ExactShare {
  readonly shared: SharedOut;
  /** False where the time was over before the largest rectangle to keep was proven. */
  readonly whole: boolean;
}

/** What looking at all the ways of a group costs, in pairs of sets. */
export const costOf = (group: Group): number => new CountedSets(group.kinds.map((k) => k.count)).pairs;

/**
 * The best way to cut a group's strips from its fields, proven: fewest unmet, fewest fields opened, least difference of
 * colour, largest rectangle left whole. Which sets fit a field is known from their smallest rectangles, and which set
 * comes from which field is found field by field over all sets. Null where `isOver` ended it.
 */
export function shareExactly(group: Group, isOver: () => boolean): ExactShare | null {
  const share = new Share(group, isOver);
  return share.prepare() && share.forward() ? share.answer() : null;
}

class Share {
  private readonly sets: CountedSets;
  private readonly sizes: Side[] = [];
  private readonly sizeOf: number[];
  private readonly boxes: Boxes;
  /** By set: the same strips by their sizes alone. */
  private readonly bySize: Int32Array;
  private readonly pieces: Int32Array;
  /** By set: which kinds that come from one field it holds, as bits. */
  private readonly bound: Int32Array;
  /** By field and set: fields opened and difference of colour as one number; Infinity = it can't be cut there. */
  private readonly costs: Float64Array[] = [];
  /** By number of fields looked at and set: the least cost to have cut it. */
  private readonly reached: Float64Array[] = [];

  constructor(
    private readonly group: Group,
    private readonly isOver: () => boolean,
  ) {
    const { kinds, fields, kerf } = group;
    this.sets = new CountedSets(kinds.map((k) => k.count));
    this.sizeOf = kinds.map(({ w, h }) => {
      const [long, short] = [Math.max(w, h), Math.min(w, h)];
      const at = this.sizes.findIndex((s) => s.w === long && s.h === short);
      return at >= 0 ? at : this.sizes.push({ w: long, h: short }) - 1;
    });
    const counts = this.sizes.map((_, s) =>
      kinds.reduce((n, k, i) => n + (this.sizeOf[i] === s ? k.count : 0), 0),
    );
    this.boxes = new Boxes(new CountedSets(counts), this.sizes, fields, kerf);
    this.bySize = new Int32Array(this.sets.size);
    this.pieces = new Int32Array(this.sets.size);
    this.bound = new Int32Array(this.sets.size);
  }

  prepare(): boolean {
    if (!this.boxes.fill(this.isOver)) return false;
    const { sets, sizeOf, boxes } = this;
    for (let set = 0; set < sets.size; set++) {
      const digits = sets.digits(set);
      this.bySize[set] = digits.reduce((s, n, i) => s + n * boxes.sets.weights[sizeOf[i]!]!, 0);
      this.pieces[set] = digits.reduce((s, n) => s + n, 0);
      this.bound[set] = digits.reduce((s, n, i) => s | (n > 0 ? this.bitOf(i) : 0), 0);
    }
    this.group.fields.forEach((field, f) => {
      const cost = new Float64Array(sets.size).fill(Infinity);
      cost[0] = 0;
      for (let set = 1; set < sets.size; set++)
        if (boxes.fits(this.bySize[set]!, field)) cost[set] = OPENED + this.deltaIn(set, f);
      this.costs.push(cost);
    });
    return !this.isOver();
  }

  private bitOf(kind: number): number {
    const { kinds } = this.group;
    return kinds[kind]!.oneField ? 1 << kinds.slice(0, kind).filter((k) => k.oneField).length : 0;
  }

  /** True where what two fields give may come from two: neither holds a kind of one field that the other has begun. */
  private mayMeet(set: number, part: number): boolean {
    return (this.bound[set]! & this.bound[part]!) === 0;
  }

  private deltaIn(set: number, f: number): number {
    let sum = 0;
    this.sets.digits(set).forEach((n, i) => {
      if (n > 0) sum += n * this.group.kinds[i]!.deltas[f]!;
    });
    return sum;
  }

  /** Field by field: the least cost of every set that the fields so far can give. */
  forward(): boolean {
    const { sets } = this;
    const all = sets.size - 1;
    this.reached.push(new Float64Array(sets.size).fill(Infinity));
    this.reached[0]![0] = 0;
    for (const cost of this.costs) {
      const before = this.reached.at(-1)!;
      const after = before.slice();
      for (let set = 0; set < sets.size; set++) {
        const base = before[set]!;
        if (base === Infinity) continue;
        if (this.isOver()) return false;
        sets.within(all - set, (part) => {
          const sum = base + cost[part]!;
          if (sum < after[set + part]! && this.mayMeet(set, part)) after[set + part] = sum;
        });
      }
      this.reached.push(after);
    }
    return true;
  }

  answer(): ExactShare {
    const ends = this.ends();
    const onward = this.onward(ends);
    if (!onward)
      return { shared: this.cuts(this.back(this.reached.length - 1, ends[0]!), null), whole: false };
    const { best, finished } = this.keepMost(onward);
    if (!best)
      return { shared: this.cuts(this.back(this.reached.length - 1, ends[0]!), null), whole: finished };
    const { f, from, part, kept } = best;
    const parts = [...this.back(f, from), part, ...this.on(f + 1, from + part, onward)];
    return { shared: this.cuts(parts, { f, kept }), whole: finished };
  }

  /** The sets that are best to end with. */
  private ends(): number[] {
    const last = this.reached.at(-1)!;
    let [most, least] = [-1, Infinity];
    let found: number[] = [];
    last.forEach((cost, set) => {
      const n = this.pieces[set]!;
      if (cost === Infinity || n < most || (n === most && cost > least)) return;
      if (n > most || cost < least) [most, least, found] = [n, cost, []];
      found.push(set);
    });
    return found;
  }

  /** By number of fields looked at and set: the least cost of going on from there to a best end. */
  private onward(ends: readonly number[]): Float64Array[] | null {
    const { sets, costs } = this;
    const all = sets.size - 1;
    const onward = Array.from({ length: costs.length + 1 }, () => new Float64Array(sets.size).fill(Infinity));
    for (const end of ends) onward.at(-1)![end] = 0;
    for (let f = costs.length - 1; f >= 0; f--) {
      const [cost, next] = [costs[f]!, onward[f + 1]!];
      for (let set = 0; set < sets.size; set++) {
        if (this.reached[f]![set] === Infinity) continue;
        if (this.isOver()) return null;
        let least = Infinity;
        sets.within(all - set, (part) => {
          const sum = cost[part]! + next[set + part]!;
          if (sum < least && this.mayMeet(set, part)) least = sum;
        });
        onward[f]![set] = least;
      }
    }
    return onward;
  }

  /** Among all best ways: the one whose largest rectangle left whole is largest. */
  private keepMost(onward: readonly Float64Array[]) {
    const { fields, kerf } = this.group;
    const areas = this.sizes.map((s) => s.w * s.h);
    let best: { f: number; from: number; part: number; kept: KeptWhole } | null = null;
    for (const c of this.candidates(onward)) {
      const beyond = best?.kept.area ?? 0;
      if (c.bound <= beyond) break;
      const ask = { set: this.bySize[c.part]!, field: fields[c.f]!, kerf, beyond };
      const kept = keepWhole(this.boxes, areas, ask, this.isOver);
      if (kept) best = { ...c, kept };
      if (this.isOver()) return { best, finished: false };
    }
    return { best, finished: true };
  }

  /** What a field gives on some best way, those with the most area to spare first. */
  private candidates(onward: readonly Float64Array[]) {
    const { sets, costs, reached } = this;
    const goal = onward[0]![0]!;
    const found = new Map<string, { f: number; from: number; part: number; bound: number }>();
    costs.forEach((cost, f) => {
      for (let set = 0; set < sets.size; set++) {
        const base = reached[f]![set]!;
        if (base + onward[f]![set]! !== goal) continue;
        sets.within(sets.size - 1 - set, (part) => {
          if (part === 0 || base + cost[part]! + onward[f + 1]![set + part]! !== goal) return;
          if (!this.mayMeet(set, part)) return;
          const key = `${f} ${part}`;
          if (!found.has(key)) found.set(key, { f, from: set, part, bound: this.spare(part, f) });
        });
      }
    });
    return [...found.values()].sort((a, b) => b.bound - a.bound);
  }

  private spare(set: number, f: number): number {
    const field = this.group.fields[f]!;
    return this.sets
      .digits(set)
      .reduce((left, n, i) => left - n * areaOf(this.group.kinds[i]!), field.w * field.h);
  }

  /** What each of the first fields gave on a best way to a set. */
  private back(fields: number, set: number): number[] {
    const parts: number[] = [];
    for (let f = fields; f > 0; f--) {
      const [goal, before, cost] = [this.reached[f]![set]!, this.reached[f - 1]!, this.costs[f - 1]!];
      let taken = 0;
      this.sets.within(set, (part) => {
        taken = part;
        return before[set - part]! + cost[part]! === goal && this.mayMeet(set - part, part);
      });
      parts.unshift(taken);
      set -= taken;
    }
    return parts;
  }

  /** What each of the other fields gives on a best way onward. */
  private on(f: number, set: number, onward: readonly Float64Array[]): number[] {
    const parts: number[] = [];
    for (; f < this.costs.length; f++) {
      const [goal, next, cost] = [onward[f]![set]!, onward[f + 1]!, this.costs[f]!];
      let taken = 0;
      this.sets.within(this.sets.size - 1 - set, (part) => {
        taken = part;
        return cost[part]! + next[set + part]! === goal && this.mayMeet(set, part);
      });
      parts.push(taken);
      set += taken;
    }
    return parts;
  }

  private cuts(parts: readonly number[], most: { f: number; kept: KeptWhole } | null): SharedOut {
    return parts.map((part, f) => this.cut(part, f, most?.f === f ? most.kept : null));
  }

  /** Where a field's strips lie: around the rectangle that is kept, or as they fall. */
  private cut(part: number, f: number, kept: KeptWhole | null): FieldCut {
    if (part === 0) return { laid: [], kept: null };
    const { boxes, sizes } = this;
    const { kerf, fields } = this.group;
    let rest: Rect = { x: 0, y: 0, w: fields[f]!.w, h: fields[f]!.h };
    if (!kept) {
      const laid = layOut(boxes, sizes, this.bySize[part]!, rest, kerf);
      return { laid: this.named(part, laid), kept: null };
    }
    const laid: LaidSize[] = [];
    for (const off of kept.offs) {
      const [taken, left] = cutOff(rest, off.beside, off.takes, kerf);
      laid.push(...layOut(boxes, sizes, off.part, taken, kerf));
      rest = left;
    }
    return { laid: this.named(part, laid), kept: kept.area > 0 ? rest : null };
  }

  /** Which kind each strip of a size is, and whether its own length lies along the field's width. */
  private named(part: number, laid: readonly LaidSize[]): Laid[] {
    const left = this.sets.digits(part);
    return laid.map(({ size, x, y, along }) => {
      const kind = left.findIndex((n, i) => n > 0 && this.sizeOf[i] === size);
      left[kind]!--;
      const { w, h } = this.group.kinds[kind]!;
      return { kind, x, y, along: w >= h ? along : !along };
    });
  }
}
