import { choiceModel, LotSupply, type Chosen } from './choice-model';
import type { Compiled } from './compile';
import type { LinearModel } from './linear-model';
import type { Multipliers } from './lower-bound';
import type { ParcelFloor } from './parcel-floor';
import { PriceSteps } from './price-steps';
import { worthOfSpare, type Settled } from './settled';

/** Solves a model: what its columns are, null where none was found in time, and what no solution costs less than. */
export type Choose = (model: LinearModel) => {
  readonly values: Float64Array | null;
  readonly bound: number;
};

/**
 * The length of the first step, as a share of what is wanting; after how many steps without a gain they get shorter, and by
 * how much; which gain counts, as a share; and the length at which the floor has settled.
 */
const PACE = { first: 0.5, idle: 5, shorter: 0.6, gain: 3e-4, settled: 0.01 };
/** How often a choice is made again at the same prices because it has too little of some lots, or is dearer than it seemed. */
const ROUNDS = 12;
/** Parcels are worked out exactly up to what the dearest that was chosen comes to, and so much more. */
const NEAR = { times: 1.2, pence: 20, fade: 0.9 };
/** A parcel that is dearer than it seemed by less than this, in pence, is not chosen anew. */
const PENNY = 1;

/**
 * The Lagrangian floor of `LowerBound` with its sellers and boxes chosen together, exactly, from among those who have
 * enough of every lot, whatever the lots are priced at (a Lagrangian relaxation that keeps the covering in whole numbers;
 * Geoffrion 1974). Where few have what is rare, or few parcels are allowed, that is what prices alone tear: a third of a
 * parcel from each of three who have it. Goes on from the prices of a floor that has come to rest somewhat.
 *
 * @example
 * const floor = new ChoiceFloor(c, need, settled, root.multipliers);
 * while (!floor.hasSettled) floor.step(best.cost, (model) => solveExactly(highs, model, options));
 * floor.best; // pence: no plan costs less
 */
export class ChoiceFloor {
  best = -Infinity;
  /** What was chosen at the last step. */
  chosen: Chosen | null = null;
  private readonly prices: PriceSteps;
  private readonly supply: LotSupply;
  /** Lots of which some choice had too little: only these are asked for, the others are there anyway. */
  private readonly asked = new Set<number>();
  private known: Float64Array | null = null;
  private near = 0;
  private scale = PACE.first;
  private idle = 0;

  constructor(
    private readonly c: Compiled,
    /** What can be met of each lot. */
    private readonly need: Int32Array,
    private readonly settled: Settled,
    private readonly from: Multipliers,
  ) {
    this.prices = new PriceSteps(from.lambda);
    this.supply = new LotSupply(c, need);
  }

  /** True once its steps have become so short that few more pence are to be had by them. */
  get hasSettled(): boolean {
    return this.scale < PACE.settled;
  }

  /** What a parcel of each seller comes to at the best prices, and what each number of copies of each box: they steer a search. */
  get reduced(): Float64Array {
    const { c, from, prices } = this;
    this.known ??= Float64Array.from({ length: c.sellers }, (_, s) =>
      from.parcel.least(s, prices.best, 0, Infinity),
    );
    return this.known;
  }

  donorCosts(d: number): number[] {
    return this.boxCosts(d, this.prices.best);
  }

  private boxCosts(d: number, lambda: Float64Array): number[] {
    const price = this.c.donorPrice[d]!;
    return Array.from(
      { length: this.c.donorMax[d]! + 1 },
      (_, n) => n * price - this.from.boxes.of(d, n, lambda, null),
    );
  }

  /** One step towards `target`, the cost of the best plan known. */
  step(target: number, choose: Choose): void {
    const taken = new Float64Array(this.c.lots);
    const { value, isWhole } = this.evaluate(taken, choose);
    if (value > this.best + PACE.gain * Math.abs(this.best)) this.idle = 0;
    else this.idle++;
    if (value > this.best) {
      this.best = value;
      this.prices.keep();
      this.known = null;
    }
    if (this.idle >= PACE.idle) {
      this.scale *= PACE.shorter;
      this.idle = 0;
      this.prices.goBack();
    }
    // Where no choice was found in time there is nothing to step by, nor would there be the next time.
    if (isWhole) this.prices.advance(this.scale * Math.max(target - value, 1e-3), this.need, taken);
    else this.scale = 0;
  }

  /** What all plans come to at least at these prices, and what is taken of each lot where a choice was found. */
  private evaluate(taken: Float64Array, choose: Choose): { value: number; isWhole: boolean } {
    const { c, need, settled } = this;
    const { parcel, boxes } = this.from;
    const lambda = this.prices.now;
    let rest = -worthOfSpare(settled, need, lambda, taken);
    for (let l = 0; l < c.lots; l++) rest += lambda[l]! * need[l]!;
    const costs = new SellerCosts(parcel, lambda, this.near);
    const boxCost = Array.from(c.donorPrice, (_, d) => this.boxCosts(d, lambda));
    let value = -Infinity;
    for (let round = 1; ; round++) {
      const terms = { settled, sellerCost: costs.of, boxCost, lots: this.asked };
      const model = choiceModel(c, this.supply, terms);
      const { values, bound } = choose(model.linearModel);
      if (Number.isFinite(bound)) value = Math.max(value, rest + bound);
      if (!values) return { value, isWhole: false };
      const chosen = model.decode(values);
      const isDearer = costs.settle(chosen.sellers);
      const isShort = this.askForMore(chosen);
      if ((isDearer || isShort) && round < ROUNDS) continue;
      this.near = Math.max(NEAR.fade * this.near, NEAR.times * costs.dearest + NEAR.pence);
      this.chosen = chosen;
      for (const s of chosen.sellers) parcel.note(s, lambda, taken);
      chosen.copies.forEach((n, d) => n > 0 && boxes.of(d, n, lambda, taken));
      return { value, isWhole: true };
    }
  }

  /** Asks from now on for the lots that a choice has too little of; false where there are none. */
  private askForMore({ sellers, copies }: Chosen): boolean {
    const before = this.asked.size;
    for (let lot = 0; lot < this.c.lots; lot++) {
      let lacks = this.need[lot]!;
      for (const s of sellers) lacks -= this.supply.ofSeller(lot, s);
      copies.forEach((n, d) => (lacks -= this.supply.ofBox(lot, d, n)));
      if (lacks > 0) this.asked.add(lot);
    }
    return this.asked.size > before;
  }
}

/** What each seller's parcel comes to at some prices: exactly where it is not too dear to be chosen, or was. */
class SellerCosts {
  readonly of: Float64Array;
  /** Of those that were chosen last. */
  dearest = 0;
  private readonly exact = new Set<number>();

  constructor(
    private readonly parcel: ParcelFloor,
    private readonly lambda: Float64Array,
    upTo: number,
  ) {
    this.of = parcel.leasts(lambda, new Float64Array(parcel.sellers), () => upTo);
    this.of.forEach((cost, s) => cost < upTo && this.exact.add(s));
  }

  /** Works out exactly what the chosen come to; true where one is dearer than it seemed. */
  settle(chosen: readonly number[]): boolean {
    let isDearer = false;
    this.dearest = 0;
    for (const s of chosen) {
      const seemed = this.of[s]!;
      if (!this.exact.has(s)) this.of[s] = this.parcel.least(s, this.lambda, 0, Infinity);
      this.exact.add(s);
      if (this.of[s]! > seemed + PENNY) isDearer = true;
      this.dearest = Math.max(this.dearest, this.of[s]!);
    }
    return isDearer;
  }
}
