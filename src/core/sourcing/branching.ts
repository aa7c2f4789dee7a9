import { ChoiceFloor, type Choose } from './choice-floor';
import type { Chosen } from './choice-model';
import type { Compiled } from './compile';
import { forcedBy, narrowed } from './forced';
import { LowerBound, type Multipliers } from './lower-bound';
import { OPENED, SHUT, type Settled } from './settled';

/**
 * Steps of the first floor, and the most of each that begins where another came to; every so manieth step goes to the floor
 * of all plans. Where parcels are limited what follows from a seller who is shut or open counts more than what the prices
 * still gain: many nodes are looked at, each for a moment.
 */
const PACE = { first: 600, more: 120, rootEvery: 3 };
const PACE_LIMITED = { first: 300, more: 15, rootEvery: Infinity };
/** Steps of the first floor after which sellers and boxes are chosen exactly, where that can be solved. */
const BEFORE_CHOICE = 40;
/** How often a node with all settled is looked at. */
const ROUNDS = 8;
/** Nodes that are kept: beyond them the worst are only remembered by their floor. */
const MOST_NODES = 4000;
/** A share as near to a whole number as this is not torn. */
const WHOLE = 0.04;

/** What sellers and boxes come to at a floor's prices. */
export type Steering = Pick<LowerBound, 'reduced' | 'donorCosts'>;

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
 * theirs. Boxes come first, since a torn box is what most weakens a floor; then the sellers whose parcels cost most, or who
 * have most of what few have where parcels are limited. What follows from either is settled with it (`narrowed`).
 * Always on the node with the least floor. Before that the floor of all plans is raised by choosing exactly (`ChoiceFloor`).
 */
export class Branching {
  /** The floor of all plans by prices alone. */
  readonly root: LowerBound;
  private choice: ChoiceFloor | null = null;
  private readonly open: Node[] = [];
  private at: { node: Node; floor: LowerBound; steps: number } | null = null;
  /** The least floor of what is no longer looked at, having been found no better than the best plan. */
  private closed = Infinity;
  private readonly pace: typeof PACE;
  /** Of each seller how much he has of what few have, where parcels are limited: else nobody asks. */
  private readonly rarity: Float64Array | null;
  private steps = 0;
  private rootSteps = 0;
  private readonly settled: Settled;

  constructor(
    private readonly c: Compiled,
    private readonly need: Int32Array,
    /** Pieces of the need that plans may lack, of whichever lots. */
    spare = 0,
  ) {
    const settled = forcedBy(c, need, spare);
    this.settled = settled;
    const isLimited = c.maxSellers < c.sellers;
    this.pace = isLimited ? PACE_LIMITED : PACE;
    this.rarity = isLimited ? rarities(c, need) : null;
    this.root = new LowerBound(c, need, settled);
    this.open.push({ settled, floor: -Infinity, multipliers: null, rounds: 0 });
  }

  /** Proven: no plan costs less. */
  get best(): number {
    let least = this.closed;
    if (this.at) least = Math.min(least, Math.max(this.at.node.floor, this.at.floor.best));
    for (const n of this.open) least = Math.min(least, n.floor);
    const choice = this.choice?.best ?? -Infinity;
    return Math.max(this.root.best, choice, Number.isFinite(least) ? least : -Infinity);
  }

  /** Which sellers and boxes were chosen at the last step, where they are chosen exactly. */
  get chosen(): Chosen | null {
    return this.choice?.chosen ?? null;
  }

  /** The prices that a search is steered by: of what is chosen exactly where it is. */
  get prices(): Steering {
    return this.choice ?? this.root;
  }

  /** True once there is nothing left to look at: the floor then is what the best plan costs. */
  get isDone(): boolean {
    return this.at === null && this.open.length === 0;
  }

  /**
   * One step towards `target`, the cost of the best plan known. With `choose`, sellers and boxes are chosen exactly as soon as
   * the first prices have come somewhere and for as long as that brings more: more than branching does in the same time.
   */
  step(target: number, choose: Choose | null = null): void {
    if (choose && this.rootSteps >= BEFORE_CHOICE) {
      this.choice ??= new ChoiceFloor(this.c, this.need, this.settled, this.root.multipliers);
      if (!this.choice.hasSettled) return this.choice.step(target, choose);
    }
    // Where the first floor rises slowly, it is worth more than its parts: it is gone on with in between.
    if (this.at?.floor !== this.root && ++this.steps % this.pace.rootEvery === 0)
      return this.root.step(target);
    this.at ??= this.next(target);
    // Nothing else is left to look at.
    if (!this.at) return this.root.step(target);
    const { node, floor } = this.at;
    if (floor === this.root) this.rootSteps++;
    floor.step(target);
    this.at.steps++;
    const reached = Math.max(node.floor, floor.best);
    if (reached >= target) {
      this.closed = Math.min(this.closed, target);
      this.at = null;
    } else if ((node.multipliers !== null && floor.hasSettled) || this.at.steps >= this.stepsOf(node)) {
      this.split(node, reached, floor);
      this.at = null;
    }
  }

  private stepsOf({ multipliers, rounds }: Node): number {
    if (!multipliers) return this.pace.first;
    return rounds > 0 ? PACE.more : this.pace.more;
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
    const add = (told: Settled) => {
      const next = narrowed(this.c, this.need, told);
      if (next === null) return;
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
    const { c, rarity } = this;
    let [best, most] = [-1, 0];
    for (let s = 0; s < c.sellers; s++) {
      if (settled.sellers[s] !== 0) continue;
      const torn = Math.min(floor.openShare[s]!, 1 - floor.openShare[s]!);
      // Those that are not torn come last, the nearest to being worth their parcel first.
      const near = 1e-3 / (1 + Math.abs(floor.reduced[s]!));
      const worth = rarity ? rarity[s]! : c.firstPence[s]! + 0.3 * c.minOrder[s]!;
      const weight = torn > WHOLE ? torn * worth : near;
      if (weight > most) [best, most] = [s, weight];
    }
    return best;
  }
}

/** Of each seller what share of the need of each lot he has, a lot that others have twice as much of counting a quarter. */
function rarities(c: Compiled, need: Int32Array): Float64Array {
  const rarity = new Float64Array(c.sellers);
  const shareOf = (o: number, lot: number) => Math.min(1, c.offerCap[o]! / Math.max(1, need[lot]!));
  c.offersOfLot.forEach((offers, lot) => {
    let there = 0;
    for (const o of offers) there += shareOf(o, lot);
    for (const o of offers) rarity[c.offerSeller[o]!]! += shareOf(o, lot) / Math.max(1, there) ** 2;
  });
  return rarity;
}
