import type { Compiled } from './compile';

/**
 * What the pieces of a box are worth to the lots, where each piece serves one lot and no lot more than it needs: the dearest
 * lot first, passing pieces on from lot to lot where that serves one more (greedy on a matroid, so nothing is worth more).
 */
export class BoxWorth {
  private readonly c: Compiled;
  private readonly boxes: readonly Box[];

  constructor(
    c: Compiled,
    private readonly need: Int32Array,
  ) {
    this.c = c;
    this.boxes = c.donorYields.map((yields) => {
      const lots = new Map<number, number[]>();
      yields.forEach(([e], i) => {
        for (const lot of c.acceptedBy[e]!) lots.set(lot, [...(lots.get(lot) ?? []), i]);
      });
      const ways = [...lots.values()].reduce((sum, kinds) => sum + kinds.length, 0);
      return { quantities: yields.map(([, qty]) => qty), kindsOf: lots, ways };
    });
  }

  /** The worth of some copies with lots at `lambda` a piece; what goes to each lot is added to `taken`. */
  of(d: number, copies: number, lambda: Float64Array, taken: Float64Array | null): number {
    const { quantities, kindsOf, ways } = this.boxes[d]!;
    if (ways > MOST_WAYS) return this.eachKindAlone(d, copies, lambda, taken);
    const giving = new Giving(
      quantities.map((q) => q * copies),
      kindsOf,
    );
    let worth = 0;
    for (const lot of [...kindsOf.keys()].sort((a, b) => lambda[b]! - lambda[a]!)) {
      if (lambda[lot]! <= 0) break;
      const n = giving.serve(lot, this.need[lot]!);
      worth += n * lambda[lot]!;
      if (taken) taken[lot]! += n;
    }
    return worth;
  }

  /** The same with each kind by itself: lots that two kinds serve may then have more than they need, so it is worth no less. */
  private eachKindAlone(d: number, copies: number, lambda: Float64Array, taken: Float64Array | null): number {
    let worth = 0;
    for (const [e, qty] of this.c.donorYields[d]!) {
      let left = qty * copies;
      for (const lot of [...this.c.acceptedBy[e]!].sort((a, b) => lambda[b]! - lambda[a]!)) {
        const n = Math.min(left, this.need[lot]!);
        worth += n * lambda[lot]!;
        left -= n;
        if (taken) taken[lot]! += n;
        if (left === 0) break;
      }
    }
    return worth;
  }
}

/** Ways of a piece to a lot beyond which giving them out exactly takes too long. */
const MOST_WAYS = 5000;

interface Box {
  /** Pieces of each kind in one copy. */
  readonly quantities: readonly number[];
  /** Of each lot the kinds that serve it. */
  readonly kindsOf: ReadonlyMap<number, readonly number[]>;
  /** Pairs of a kind and a lot that it serves. */
  readonly ways: number;
}

/** Pieces given out to lots, so that those of a lot can be changed for others. */
class Giving {
  /** Of each kind how many each lot has. */
  private readonly held: Map<number, number>[];

  constructor(
    private readonly left: number[],
    private readonly kindsOf: ReadonlyMap<number, readonly number[]>,
  ) {
    this.held = left.map(() => new Map());
  }

  /** Serves a lot with up to so many pieces, and gives how many it got; the others keep as many as they had. */
  serve(lot: number, wanted: number): number {
    let got = 0;
    while (got < wanted) {
      const n = this.push(lot, wanted - got, new Set());
      if (n === 0) break;
      got += n;
    }
    return got;
  }

  /** Up to so many pieces for a lot, by one way: what is left of a kind, or what another lot can change for something else. */
  private push(lot: number, wanted: number, tried: Set<number>): number {
    const kinds = this.kindsOf.get(lot)!;
    for (const kind of kinds) {
      const n = Math.min(wanted, this.left[kind]!);
      if (n === 0) continue;
      this.left[kind]! -= n;
      this.give(kind, lot, n);
      return n;
    }
    for (const kind of kinds) {
      if (tried.has(kind)) continue;
      tried.add(kind);
      for (const [other, has] of this.held[kind]!) {
        if (other === lot || has === 0) continue;
        const n = this.push(other, Math.min(wanted, has), tried);
        if (n === 0) continue;
        this.give(kind, other, -n);
        this.give(kind, lot, n);
        return n;
      }
    }
    return 0;
  }

  private give(kind: number, lot: number, n: number): void {
    this.held[kind]!.set(lot, (this.held[kind]!.get(lot) ?? 0) + n);
  }
}
