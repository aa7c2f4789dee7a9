import type { Compiled } from './compile';

/**
 * What the pieces of a box are worth to the lots, where each piece serves one lot and no lot more than it needs: the dearest
 * lot first, passing pieces on from lot to lot where that serves one more (greedy on a matroid, so nothing is worth more).
 */
export class BoxWorth {
  private readonly boxes: readonly Box[];

  constructor(
    c: Compiled,
    private readonly need: Int32Array,
  ) {
    this.boxes = c.donorYields.map((yields) => {
      const lots = new Map<number, number[]>();
      yields.forEach(([e], i) => {
        for (const lot of c.acceptedBy[e]!) lots.set(lot, [...(lots.get(lot) ?? []), i]);
      });
      return { quantities: yields.map(([, qty]) => qty), kindsOf: lots };
    });
  }

  /** The worth of some copies with lots at `lambda` a piece; what goes to each lot is added to `taken`. */
  of(d: number, copies: number, lambda: Float64Array, taken: Float64Array | null): number {
    const { quantities, kindsOf } = this.boxes[d]!;
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
}

interface Box {
  /** Pieces of each kind in one copy. */
  readonly quantities: readonly number[];
  /** Of each lot the kinds that serve it. */
  readonly kindsOf: ReadonlyMap<number, readonly number[]>;
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
