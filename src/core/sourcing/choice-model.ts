import type { Compiled } from './compile';
import { ModelBuilder, type LinearModel } from './linear-model';
import { OPENED, SHUT, type Settled } from './settled';

/** Which sellers are chosen, and how many copies of each box. */
export interface Chosen {
  readonly sellers: readonly number[];
  readonly copies: Int32Array;
}

export interface ChoiceModel {
  readonly linearModel: LinearModel;
  readonly decode: (values: Float64Array) => Chosen;
}

/** What choosing costs, and what is asked of a choice. */
export interface ChoiceTerms {
  readonly settled: Settled;
  /** What each seller comes to in pence if he is chosen; below zero is worth it. */
  readonly sellerCost: Float64Array;
  /** What each number of copies of each box comes to, from none. */
  readonly boxCost: readonly (readonly number[])[];
  /** The lots that the chosen must have enough of together, but for the pieces that may be lacking. */
  readonly lots: Iterable<number>;
}

/**
 * What each lot can have of each seller and of each copy of a box: no more than it needs. What two lots could have of the
 * same pieces counts for both.
 */
export class LotSupply {
  private readonly sellers: readonly ReadonlyMap<number, number>[];
  private readonly boxes: readonly ReadonlyMap<number, number>[];

  constructor(
    c: Compiled,
    readonly need: Int32Array,
  ) {
    const boxes: Map<number, number>[] = Array.from({ length: c.lots }, () => new Map());
    const add = (to: Map<number, number>, key: number, qty: number) => to.set(key, (to.get(key) ?? 0) + qty);
    c.donorYields.forEach((yields, d) => {
      for (const [e, qty] of yields) for (const lot of c.acceptedBy[e]!) add(boxes[lot]!, d, qty);
    });
    this.boxes = boxes;
    this.sellers = c.offersOfLot.map((offers) => {
      const sellers = new Map<number, number>();
      for (const o of offers) add(sellers, c.offerSeller[o]!, c.offerCap[o]!);
      return sellers;
    });
  }

  /** Pieces of a lot that seller `s` has. */
  ofSeller(lot: number, s: number): number {
    return Math.min(this.need[lot]!, this.sellers[lot]!.get(s) ?? 0);
  }

  /** Pieces of a lot that so many copies of box `d` give. */
  ofBox(lot: number, d: number, copies: number): number {
    return Math.min(this.need[lot]!, copies * (this.boxes[lot]!.get(d) ?? 0));
  }

  /** Sellers who have any of a lot. */
  sellersOf(lot: number): Iterable<number> {
    return this.sellers[lot]!.keys();
  }

  /** Boxes that give any of a lot. */
  boxesOf(lot: number): Iterable<number> {
    return this.boxes[lot]!.keys();
  }
}

/**
 * The cheapest choice of sellers and boxes, as a linear model: no more parcels than are allowed, and enough of each of some
 * lots.
 */
export function choiceModel(c: Compiled, supply: LotSupply, terms: ChoiceTerms): ChoiceModel {
  const { settled } = terms;
  const b = new ModelBuilder();
  const sellers = Array.from(terms.sellerCost, (cost, s) => {
    const as = settled.sellers[s];
    return b.column(cost, as === SHUT ? 0 : 1, true, as === OPENED ? 1 : 0);
  });
  // One column for each number of copies: what the second is worth is not what the first is.
  const boxes = terms.boxCost.map((costs, d) =>
    costs.map((cost, n) => {
      const allowed = n >= settled.leastCopies[d]! && n <= settled.mostCopies[d]!;
      return b.column(cost, allowed ? 1 : 0, true);
    }),
  );
  for (const copies of boxes) b.row(1, 1, ones(copies));
  if (c.maxSellers < c.sellers) b.row(0, c.maxSellers, ones(sellers));
  const lacking: number[] = [];
  for (const lot of terms.lots) {
    const row: [number, number][] = [];
    for (const s of supply.sellersOf(lot)) row.push([sellers[s]!, supply.ofSeller(lot, s)]);
    for (const d of supply.boxesOf(lot))
      boxes[d]!.forEach((column, n) => n > 0 && row.push([column, supply.ofBox(lot, d, n)]));
    const need = supply.need[lot]!;
    if (settled.spare > 0) {
      lacking.push(b.column(0, Math.min(need, settled.spare), false));
      row.push([lacking.at(-1)!, 1]);
    }
    b.row(need, Infinity, row);
  }
  if (lacking.length > 0) b.row(0, settled.spare, ones(lacking));
  return {
    linearModel: b.build(),
    decode: (values) => ({
      sellers: sellers.flatMap((column, s) => (values[column]! > 0.5 ? [s] : [])),
      copies: Int32Array.from(boxes, (columns) =>
        Math.max(
          0,
          columns.findIndex((column) => values[column]! > 0.5),
        ),
      ),
    }),
  };
}

const ones = (columns: readonly number[]) => columns.map((column) => [column, 1] as const);
