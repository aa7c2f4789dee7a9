import { seededRandom, type Random } from '../shared/random';
import { byHandOf, handPlans } from './by-hand';
import { compile, type Compiled } from './compile';
import { Branching } from './branching';
import type { Choose } from './choice-floor';
import { planOf } from './plan';
import type { BuyingPlan, Problem } from './problem';
import { reachableNeed } from './reachable';
import { Search } from './search';
import { sellersOf, State, type Saved } from './state';
import { ChoicePlans, type Look } from './choice-plans';
import { donorChoices } from './donor-choices';
import { Trial } from './trial';
import { anneal } from './anneal';
import { Beginnings, type Share } from './beginnings';

/** Share of the time after which a plan that leaves more unmet than it might is given a floor of its own. */
const LACKING_AFTER = 0.7;
/** And after which that floor goes before the search. */
const LACKING_TO_THE_END = 0.92;

/** Steps of the floor after which the search is told anew who is worth trying. */
const STEER_EVERY = 20;

/** How the search is to be run. */
export interface SolverOptions {
  readonly seed: number;
  /** True = choices of donor boxes are tried one after another before the rest of the time goes to the best. */
  readonly trialDonors: boolean;
  /** Steps of the floor over the whole time. */
  readonly boundSteps: number;
  /** Where time counts, a clock in seconds and how much of it the floor may have over the whole time. */
  readonly boundTime?: { readonly now: () => number; readonly seconds: number } | undefined;
}

/**
 * Solves a buying plan problem piece by piece: `work(fraction)` does a little, `fraction` saying how much of the time or of
 * the iterations is over. There is always a plan, it only gets better, and the same seed and fractions give the same one.
 */
export class Solver {
  readonly byHand: BuyingPlan['byHand'];
  /** What solves the models of a floor, where there is anything that does. */
  choose: Choose | null = null;
  private readonly random: Random;
  private readonly reachable: Int32Array;
  private madeBounds: Branching | null = null;
  private lackingBounds: { readonly unmet: number; readonly branching: Branching } | null = null;
  private search: Search;
  private trial: { work: (fraction: number) => Search } | null = null;
  private readonly choicePlans: ChoicePlans;
  /** Fewer parcels are allowed than there are sellers. */
  private readonly isLimited: boolean;
  private boundSteps = 0;
  private boundSeconds = 0;
  private lackingSeconds = 0;
  /** Pieces that nobody has: a plan that leaves no more unmet is one that a floor speaks of. */
  private readonly unreachable: number;
  /** Proven elsewhere, by branch and bound. */
  private provenBound = 0;

  constructor(
    readonly c: Compiled,
    private readonly options: SolverOptions,
    /** What it begins with. */
    hand = handPlans(c),
  ) {
    const reachable = reachableNeed(this.c);
    this.reachable = reachable;
    this.unreachable = this.c.need.reduce((n, q, lot) => n + q - reachable[lot]!, 0);
    this.random = seededRandom(options.seed);
    this.byHand = byHandOf(hand);
    this.search = new Search(this.c, this.random, [hand.each, hand.fewest]);
    this.choicePlans = new ChoicePlans(this.search);
    this.isLimited = c.maxSellers < c.sellers;
  }

  private get bounds(): Branching {
    return (this.madeBounds ??= new Branching(this.c, this.reachable));
  }

  get best(): Saved {
    return this.search.best;
  }

  /** Where the search is now: what it cooled down to, which need not be the best. */
  get present(): Saved {
    return this.search.state.save();
  }

  /** Proven, in whole pence: no plan that leaves no more unmet than the best one costs less. 0 until there was time for it. */
  get floor(): number {
    const branching = this.leavesLeast ? this.madeBounds : this.lackingBounds?.branching;
    // What was proven of plans that leave more unmet is true of those that leave less.
    const relaxed = branching ? Math.ceil(branching.best - 1e-6) : 0;
    return Math.min(Math.round(this.best.cost), Math.max(0, relaxed, this.provenBound));
  }

  /** The floor of plans that leave no more unmet than the best, though it could be had: begun anew whenever less is left. */
  private get lacking(): Branching {
    const { unmet } = this.best;
    if (this.lackingBounds?.unmet !== unmet) {
      this.proven(this.lackingBounds?.branching.best ?? 0);
      const branching = new Branching(this.c, this.reachable, unmet - this.unreachable);
      this.lackingBounds = { unmet, branching };
    }
    return this.lackingBounds.branching;
  }

  private stepOfLacking(fraction: number): void {
    const { boundTime } = this.options;
    if (boundTime && fraction < LACKING_TO_THE_END && this.lackingSeconds > boundTime.seconds) return;
    const began = boundTime?.now() ?? 0;
    this.stepOf(this.lacking, this.best.cost);
    this.lackingSeconds += (boundTime?.now() ?? 0) - began;
  }

  /**
   * The floor whose prices steer the search. Where a limit on parcels keeps pieces from being met and what is chosen becomes
   * plans, it is of those that lack as many: there are none that meet all.
   */
  private get steering(): Branching {
    return this.isOfLacking ? this.lacking : this.bounds;
  }

  private get isOfLacking(): boolean {
    return !this.leavesLeast && this.isLimited && this.choose !== null;
  }

  /** A step of a floor towards a cost; what it chooses becomes a plan where few parcels are allowed. */
  private stepOf(branching: Branching, target: number): void {
    branching.step(target, this.choose);
    if (this.isLimited && branching.chosen) this.choicePlans.add(branching.chosen);
  }

  /** True when only that is unmet which nobody has. */
  get leavesLeast(): boolean {
    return this.best.unmet <= this.unreachable;
  }

  /** What the floor is to reach: the cost of the best plan, or far more where that leaves unmet what can be had. */
  private get boundTarget(): number {
    return this.leavesLeast || this.isOfLacking ? this.best.cost : 2 * this.best.cost;
  }

  get isProven(): boolean {
    return this.leavesLeast && this.floor >= Math.round(this.best.cost);
  }

  /** Sellers worth looking at: those in the best plan, and those whose share of the floor says so. */
  promising(count: number): number[] {
    const { reduced } = this.steering.prices;
    const used = new Set(sellersOf(this.c, this.best));
    const others = Array.from({ length: this.c.sellers }, (_, s) => s)
      .filter((s) => !used.has(s))
      .sort((a, b) => reduced[a]! - reduced[b]!);
    return [...used, ...others.slice(0, Math.max(0, count - used.size))];
  }

  /** Pieces of each lot that the best plan has: what a model of a part of the sellers is to meet. */
  get met(): Int32Array {
    return Int32Array.from(this.best.from, (rows) => rows.reduce((n, [, pieces]) => n + pieces, 0));
  }

  /** How many sellers the best plan buys from. */
  get parcels(): number {
    return sellersOf(this.c, this.best).length;
  }

  /** Other choices of sellers to search from, of which this thread looks at its share. */
  beginnings(share: Share): Beginnings {
    return new Beginnings(this.search, share);
  }

  /** Takes in a plan found elsewhere. */
  adopt(saved: Saved): boolean {
    return this.search.adopt(saved);
  }

  /** Takes in a plan whose cost is not told: it is calculated here. */
  adoptExactly(saved: Saved): boolean {
    const state = new State(this.c);
    state.load(saved);
    if (state.parcels > this.c.maxSellers) return false;
    return this.search.adopt(state.save());
  }

  /** Searches for a while from a choice of sellers, and gives the plan that comes to. */
  searchFrom(sellers: readonly number[], look: Look): Saved {
    const copies = new Int32Array(this.c.donorPrice.length);
    return this.choicePlans.searchFrom({ sellers, copies }, look);
  }

  /** Takes in a floor proven elsewhere. */
  proven(floor: number): void {
    if (Number.isFinite(floor)) this.provenBound = Math.max(this.provenBound, Math.ceil(floor - 1e-6));
  }

  /** One step of the floor alone; gives the floor. */
  boundStep(): number {
    if (this.leavesLeast) this.stepOf(this.bounds, this.best.cost);
    else this.stepOfLacking(1);
    return this.floor;
  }

  /** Does a little: a step of the floor while there are any to do, and some of the search. */
  work(fraction: number): void {
    if (this.mayBound(fraction)) {
      const began = this.options.boundTime?.now() ?? 0;
      const { steering } = this;
      this.stepOf(steering, this.boundTarget);
      this.boundSteps++;
      this.boundSeconds += (this.options.boundTime?.now() ?? 0) - began;
      if (this.boundSteps % STEER_EVERY === 0) this.search.steer(steering.prices.reduced);
    } else if (!this.leavesLeast && fraction > LACKING_AFTER) this.stepOfLacking(fraction);
    if (this.options.trialDonors && this.boundSteps >= 30) {
      this.trial ??= this.newTrial();
      if (this.trial) return void this.search.adopt(this.trial.work(fraction).best);
    }
    anneal(this.search, fraction);
  }

  /** True while the floor has steps and time left. Half of it goes before the search, which its prices steer. */
  private mayBound(fraction: number): boolean {
    const { boundSteps, boundTime } = this.options;
    const share = Math.min(1, 0.5 + 1.8 * fraction);
    return (
      this.boundSteps < boundSteps * share && (!boundTime || this.boundSeconds < boundTime.seconds * share)
    );
  }

  /** What is tried: plans of what a floor chose where there are any, else choices of boxes; null where there are none. */
  private newTrial(): Solver['trial'] {
    const { c, best, random, reachable } = this;
    const { prices } = this.steering;
    const steered = (search: Search): Search => {
      search.steer(prices.reduced);
      return search;
    };
    const plans = this.choicePlans.best;
    if (plans.length > 0) return new Trial(plans, (plan) => steered(new Search(c, random, [], null, plan)));
    if (c.donorPrice.length === 0) return null;
    const boxes = donorChoices(c, prices, best, reachable);
    return new Trial(boxes, (copies) => steered(new Search(c, random, [], copies)));
  }

  /**
   * Searches on from the best plan, as warm again as at a fraction of the time, and gives where it comes to rest: another
   * plan about as good, whose parcels may be worth dividing anew.
   */
  wander(fraction: number, steps: number, isOver: () => boolean): Saved {
    this.search.returnToBest();
    for (let i = 0; i < steps && !isOver(); i++) anneal(this.search, fraction + ((1 - fraction) * i) / steps);
    return this.present;
  }

  /** The best plan so far, in the shape of the file. `problem` is what was compiled. */
  plan(problem: Problem, status: BuyingPlan['status']): BuyingPlan {
    return planOf(this.c, problem, this.best, { status, floor: this.floor, byHand: this.byHand });
  }
}

/** Solves with a budget of iterations instead of seconds: the same seed and number give the same plan everywhere. */
export function solveBySteps(problem: Problem, seed: number, iterations: number): BuyingPlan {
  const solver = new Solver(compile(problem), {
    seed,
    trialDonors: false,
    boundSteps: Math.min(600, Math.ceil(iterations / 10)),
  });
  for (let i = 0; i < iterations && !solver.isProven; i++) solver.work(i / iterations);
  return solver.plan(problem, solver.isProven ? 'optimal' : 'bestSoFar');
}
