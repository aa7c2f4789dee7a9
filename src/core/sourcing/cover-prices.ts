import type { Compiled } from './compile';
import { CoverFinder, type Cover } from './covers';

/** Covers and what each is priced at: prices that a floor goes on from. */
export interface PricedCovers {
  readonly covers: readonly Cover[];
  readonly prices: Float64Array;
}

/** Of what was seen before so much counts on, in the shares that covers are looked for by. */
const KEPT = 0.97;
/** How far the prices go, beside those of the needs. */
const PACE = 0.5;

/**
 * The covers of a floor with their prices: a seller who is open, and a copy of a box, earn a bonus in each cover that counts
 * them, and what all covers ask for is added to the floor.
 */
export class CoverPrices {
  readonly bonus: Float64Array;
  readonly boxBonus: Float64Array;
  /** The bonuses at the best prices. */
  readonly bestBonus: Float64Array;
  private covers: readonly Cover[];
  private prices: Float64Array;
  private best: Float64Array;
  private direction: Float64Array;
  private finder: CoverFinder | null = null;
  private readonly openShare: Float64Array;
  private readonly copiesShare: Float64Array;

  constructor(
    private readonly c: Compiled,
    private readonly need: Int32Array,
    from: PricedCovers | null,
  ) {
    this.covers = from?.covers ?? [];
    this.prices = Float64Array.from(from?.prices ?? []);
    this.best = Float64Array.from(this.prices);
    this.direction = new Float64Array(this.prices.length);
    this.bonus = new Float64Array(c.sellers);
    this.boxBonus = new Float64Array(c.donorPrice.length);
    this.bestBonus = new Float64Array(c.sellers);
    this.openShare = new Float64Array(c.sellers);
    this.copiesShare = new Float64Array(c.donorPrice.length);
  }

  get priced(): PricedCovers {
    return { covers: this.covers, prices: Float64Array.from(this.best) };
  }

  /** Looks for covers that what was open of late violates; true where there are new ones. */
  find(): boolean {
    this.finder ??= new CoverFinder(this.c, this.need);
    const found = this.finder.violatedBy(this.openShare, this.copiesShare);
    if (found.length === 0) return false;
    const longer = (of: Float64Array) => {
      const next = new Float64Array(of.length + found.length);
      next.set(of);
      return next;
    };
    this.covers = [...this.covers, ...found];
    [this.prices, this.best, this.direction] = [
      longer(this.prices),
      longer(this.best),
      longer(this.direction),
    ];
    return true;
  }

  /** Works out the bonuses; gives what the covers ask for. */
  settle(): number {
    this.bonus.fill(0);
    this.boxBonus.fill(0);
    let asked = 0;
    this.covers.forEach(({ sellers, boxes, least }, i) => {
      const price = this.prices[i]!;
      if (price === 0) return;
      asked += price * least;
      for (let j = 0; j < sellers.of.length; j++) this.bonus[sellers.of[j]!]! += price * sellers.weight[j]!;
      for (let j = 0; j < boxes.of.length; j++) this.boxBonus[boxes.of[j]!]! += price * boxes.weight[j]!;
    });
    return asked;
  }

  /** A step towards a floor that is `gap` higher, after sellers were open and copies bought as said. */
  step(gap: number, open: Uint8Array, copies: Int32Array): void {
    for (let s = 0; s < open.length; s++)
      this.openShare[s] = KEPT * this.openShare[s]! + (1 - KEPT) * open[s]!;
    for (let d = 0; d < copies.length; d++)
      this.copiesShare[d] = KEPT * this.copiesShare[d]! + (1 - KEPT) * copies[d]!;
    let square = 1e-9;
    this.covers.forEach(({ sellers, boxes, least }, i) => {
      let lacks = least;
      for (let j = 0; j < sellers.of.length; j++) lacks -= sellers.weight[j]! * open[sellers.of[j]!]!;
      for (let j = 0; j < boxes.of.length; j++) lacks -= boxes.weight[j]! * copies[boxes.of[j]!]!;
      this.direction[i] = lacks + 0.7 * this.direction[i]!;
      square += this.direction[i]! ** 2;
    });
    const pace = (PACE * gap) / square;
    for (let i = 0; i < this.prices.length; i++)
      this.prices[i] = Math.max(0, this.prices[i]! + pace * this.direction[i]!);
  }

  /** Remembers the prices as the best, or goes back to those that were. */
  keep(): void {
    this.best.set(this.prices);
    this.bestBonus.set(this.bonus);
  }

  goBack(): void {
    this.prices.set(this.best);
  }
}
