import type { Compiled } from './compile';
import { forcedBy } from './forced';
import { LowerBound, type Multipliers } from './lower-bound';
import { OPENED, SHUT, type Settled } from './settled';

/** Steps of the first floor, and the most of each that begins where another came to. */
const FIRST_STEPS = 600;
const MORE_STEPS = 120;
/** Every so manieth step goes to the floor of all plans. */
const ROOT_EVERY = 3;
/** How often a node with all settled is looked at. */
const ROUNDS = 8;
/** Nodes that are kept: beyond them the worst are only remembered by their floor. */
const MOST_NODES = 4000;
/** A share as near to a whole number as this is not torn. */
const WHOLE = 0.04;

interface Node {
  readonly settled: Settled;
  readonly floor: number;
  readonly multipliers: Multipliers | null;
  /** How often it was looked at with all settled. */
  readonly rounds: number;
}

/**
 * Branch and bound over boxes and sellers, with the Lagrangian floor at each node (Geoffrion 1974): where the floor tears
 * a box in two, plans with fewer of it and plans with more are looked at apart, and the floor of all is the least of
 * theirs. Boxes come first, since a torn box is what most weakens a floor; then the sellers whose parcels cost most.
 * Always on the node with the least floor.
 */
export class Branching {
  /** The floor of all plans, whose prices and reduced costs steer a search. */
  readonly root: LowerBound;
  private readonly open: Node[] = [];
  private at: { node: Node; floor: LowerBound; steps: number } | null = null;
  /** The least floor of what is no longer looked at, having been found no better than the best plan. */
  private closed = Infinity;
  private steps = 0;

  constructor(
    private readonly c: Compiled,
    private readonly need: Int32Array,
    /** Pieces of the need that plans may lack, of whichever lots. */
    spare = 0,
  ) {
    const settled = forcedBy(c, need, spare);
    this.root = new LowerBound(c, need, settled);
    this.open.push({ settled, floor: -Infinity, multipliers: null, rounds: 0 });
  }

  /** Proven: no plan costs less. */
  get best(): number {
    let least = this.closed;
    if (this.at) least = Math.min(least, Math.max(this.at.node.floor, this.at.floor.best));
    for (const n of this.open) least = Math.min(least, n.floor);
    return Math.max(this.root.best, Number.isFinite(least) ? least : -Infinity);
  }

  /** True once there is nothing left to look at: the floor then is what the best plan costs. */
  get isDone(): boolean {
    return this.at === null && this.open.length === 0;
  }

  /** One step towards `target`, the cost of the best plan known. */
  step(target: number): void {
    // Where the first floor rises slowly, it is worth more than its parts: it is gone on with in between.
    if (this.at?.floor !== this.root && ++this.steps % ROOT_EVERY === 0) return this.root.step(target);
    this.at ??= this.next(target);
    if (!this.at) return;
    const { node, floor } = this.at;
    floor.step(target);
    this.at.steps++;
    const reached = Math.max(node.floor, floor.best);
    if (reached >= target) {
      this.closed = Math.min(this.closed, target);
      this.at = null;
    } else if (
      node.multipliers ? floor.hasSettled || this.at.steps >= MORE_STEPS : this.at.steps >= FIRST_STEPS
    ) {
      this.split(node, reached, floor);
      this.at = null;
    }
  }

  private next(target: number): Branching['at'] {
    let least = -1;
    for (let i = 0; i < this.open.length; i++)
      if (least < 0 || this.open[i]!.floor < this.open[least]!.floor) least = i;
    const [node] = least < 0 ? [] : this.open.splice(least, 1);
    if (!node) return null;
    if (node.floor >= target) {
      this.closed = Math.min(this.closed, target);
      return this.next(target);
    }
    const { settled, multipliers } = node;
    const floor = multipliers ? new LowerBound(this.c, this.need, settled, multipliers) : this.root;
    return { node, floor, steps: 0 };
  }

  private split({ settled, rounds }: Node, reached: number, floor: LowerBound): void {
    const { multipliers } = floor;
    const add = (next: Settled) => {
      if (this.open.length < MOST_NODES)
        this.open.push({ settled: next, floor: reached, multipliers, rounds: 0 });
      else this.closed = Math.min(this.closed, reached);
    };
    const box = this.tornBox(settled, floor);
    if (box) {
      const { d, copies } = box;
      add({ ...settled, mostCopies: settled.mostCopies.with(d, copies) });
      add({ ...settled, leastCopies: settled.leastCopies.with(d, copies + 1) });
      return;
    }
    const s = this.tornSeller(settled, floor);
    if (s < 0) {
      // All is settled: some more steps, and then what the floor still lacks are packs and the like, which none would bring.
      if (rounds < ROUNDS) this.open.push({ settled, floor: reached, multipliers, rounds: rounds + 1 });
      else this.closed = Math.min(this.closed, reached);
      return;
    }
    add({ ...settled, sellers: settled.sellers.with(s, SHUT) });
    add({ ...settled, sellers: settled.sellers.with(s, OPENED) });
  }

  /** The box whose number of copies is furthest from whole, the dearer the sooner. */
  private tornBox(settled: Settled, floor: LowerBound): { d: number; copies: number } | null {
    let [best, most] = [-1, 0];
    for (let d = 0; d < this.c.donorPrice.length; d++) {
      if (settled.leastCopies[d] === settled.mostCopies[d]) continue;
      const part = floor.copiesShare[d]! % 1;
      const torn = Math.min(part, 1 - part);
      const weight = Math.max(torn, WHOLE) * this.c.donorPrice[d]!;
      if (torn > WHOLE && weight > most) [best, most] = [d, weight];
    }
    if (best < 0) return null;
    const copies = Math.floor(floor.copiesShare[best]!);
    const [least, limit] = [settled.leastCopies[best]!, settled.mostCopies[best]!];
    return { d: best, copies: Math.max(least, Math.min(limit - 1, copies)) };
  }

  private tornSeller(settled: Settled, floor: LowerBound): number {
    const { c } = this;
    let [best, most] = [-1, 0];
    for (let s = 0; s < c.sellers; s++) {
      if (settled.sellers[s] !== 0) continue;
      const torn = Math.min(floor.openShare[s]!, 1 - floor.openShare[s]!);
      // Those that are not torn come last, the nearest to being worth their parcel first.
      const near = 1e-3 / (1 + Math.abs(floor.reduced[s]!));
      const weight = torn > WHOLE ? torn * (c.firstPence[s]! + 0.3 * c.minOrder[s]!) : near;
      if (weight > most) [best, most] = [s, weight];
    }
    return best;
  }
}
