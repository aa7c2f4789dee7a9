import { deltaE00, type LabD65 } from '../colour';
import { assert } from '../shared/assert';

/** Pieces of one shape and one measured colour that are interchangeable. */
export interface AgeBatch {
  readonly id: string;
  /** The shape they have: a place takes only its own shape. */
  readonly shape: string;
  readonly lab: LabD65;
  readonly qty: number;
  /** How many of them are in seen places now: kept there where that costs nothing. */
  readonly seenNow: number;
}

/** How many seen places want each shape. */
export type SeenPlaces = ReadonlyMap<string, number>;

export interface AgeMatch {
  /** Pieces of each batch that go to seen places, by the batch's id. */
  readonly seen: ReadonlyMap<string, number>;
  /** Largest and middle ΔE00 between two seen pieces. */
  readonly largest: number;
  readonly typical: number;
  /** True when no choice of pieces can have a smaller largest ΔE. */
  readonly proven: boolean;
}

/** How far apart the colours of some seen pieces are: the largest and the middle ΔE00 over all pairs of pieces. */
export function spreadOf(pieces: readonly { readonly lab: LabD65; readonly qty: number }[]): {
  largest: number;
  typical: number;
} {
  const held = pieces.filter((p) => p.qty > 0);
  const pairs: { d: number; n: number }[] = [];
  held.forEach((p, i) => {
    if (p.qty > 1) pairs.push({ d: 0, n: (p.qty * (p.qty - 1)) / 2 });
    for (const q of held.slice(i + 1)) pairs.push({ d: deltaE00(p.lab, q.lab), n: p.qty * q.qty });
  });
  pairs.sort((a, b) => a.d - b.d);
  const all = pairs.reduce((s, p) => s + p.n, 0);
  let passed = 0;
  let typical = 0;
  for (const p of pairs) {
    passed += p.n;
    typical = p.d;
    if (passed * 2 >= all) break;
  }
  return { largest: pairs.at(-1)?.d ?? 0, typical };
}

/** Steps of the search after which it stops and says that its answer is not proven. */
const MOST_STEPS = 400_000;

/**
 * Chooses which of the pieces at hand go to seen places, so that the largest ΔE00 between any two seen pieces is least.
 * A zone's places are not known by where they lie, so any two seen pieces may be neighbours.
 *
 * Exact: for a largest difference D, the pieces that may stand together form a graph, and a choice is a set of pairwise
 * near batches with enough pieces of each shape. D is searched by bisection over the differences that occur; each D is
 * decided by branching on pairs that are too far apart, after dropping every batch whose near ones cannot fill the
 * places. Among
 * choices with the least D, pieces that are seen already stay.
 *
 * Asserts that the pieces can fill the places. `steps` bounds the branching, and with it the time.
 */
export function matchByAge(places: SeenPlaces, batches: readonly AgeBatch[], steps = MOST_STEPS): AgeMatch {
  const wanted = [...places].filter(([, n]) => n > 0);
  const useful = batches.filter((b) => b.qty > 0 && (places.get(b.shape) ?? 0) > 0);
  for (const [shape, n] of wanted) {
    const there = useful.reduce((s, b) => s + (b.shape === shape ? b.qty : 0), 0);
    assert(there >= n, 'there are pieces for every place', { shape, places: n, there });
  }
  if (wanted.length === 0) return { seen: new Map(), largest: 0, typical: 0, proven: true };
  const search = new Search(useful, wanted, steps);
  const found = search.run();
  return { ...choose(found.together, useful, places), proven: found.proven };
}

/** The branching search. Batches are numbered; `distance` is a full matrix. */
class Search {
  private readonly n: number;
  private readonly distance: Float64Array;
  private readonly order: number[];
  private left: number;

  constructor(
    private readonly batches: readonly AgeBatch[],
    private readonly wanted: readonly (readonly [string, number])[],
    private readonly steps: number,
  ) {
    this.n = batches.length;
    this.left = steps;
    this.distance = new Float64Array(this.n * this.n);
    for (let i = 0; i < this.n; i++)
      for (let j = i + 1; j < this.n; j++) {
        const d = deltaE00(batches[i]!.lab, batches[j]!.lab);
        this.distance[i * this.n + j] = d;
        this.distance[j * this.n + i] = d;
      }
    this.order = byAge(batches);
  }

  run(): { together: readonly number[]; proven: boolean } {
    const levels = [...new Set([0, ...this.distance])].sort((a, b) => a - b);
    let [low, high] = [0, levels.length - 1];
    let best: readonly number[] = this.order;
    let proven = true;
    while (low < high) {
      const mid = (low + high) >> 1;
      this.left = this.steps;
      const found = this.feasible(levels[mid]!);
      if (found === 'gave up') proven = false;
      if (found !== 'gave up' && found) {
        best = found;
        high = mid;
      } else low = mid + 1;
    }
    return { together: best, proven };
  }

  private near(i: number, j: number, most: number): boolean {
    return this.distance[i * this.n + j]! <= most;
  }

  /** A set of batches, all within `most` of one another, that can fill the places. */
  private feasible(most: number): readonly number[] | undefined | 'gave up' {
    return this.solve(this.order, most);
  }

  private solve(from: readonly number[], most: number): readonly number[] | undefined | 'gave up' {
    if (this.left-- <= 0) return 'gave up';
    const kept = this.prune(from, most);
    if (!kept) return undefined;
    const clash = this.worstClash(kept, most);
    if (clash === undefined) return kept;
    // Either the batch with the most clashes stands, and all that clash with it go, or it goes itself.
    const withIt = this.solve(
      kept.filter((i) => this.near(i, clash, most)),
      most,
    );
    if (withIt) return withIt;
    return this.solve(
      kept.filter((i) => i !== clash),
      most,
    );
  }

  /** Drops batches whose near ones cannot fill the places, until none is left to drop; undefined when they cannot. */
  private prune(from: readonly number[], most: number): readonly number[] | undefined {
    let kept = from;
    for (;;) {
      if (!this.fills(kept)) return undefined;
      const next = kept.filter((i) => this.fills(kept.filter((j) => this.near(i, j, most))));
      if (next.length === kept.length) return kept;
      kept = next;
    }
  }

  private fills(of: readonly number[]): boolean {
    return this.wanted.every(([shape, n]) => {
      let there = 0;
      for (const i of of) if (this.batches[i]!.shape === shape) there += this.batches[i]!.qty;
      return there >= n;
    });
  }

  private worstClash(kept: readonly number[], most: number): number | undefined {
    let worst: number | undefined;
    let count = 0;
    for (const i of kept) {
      let clashes = 0;
      for (const j of kept) if (!this.near(i, j, most)) clashes++;
      if (clashes > count) [worst, count] = [i, clashes];
    }
    return worst;
  }
}

/** Batches from the freshest to the most aged: along the line from the lightest and least yellow to the other end. */
function byAge(batches: readonly AgeBatch[]): number[] {
  const age = (b: AgeBatch): number => b.lab.b - b.lab.l;
  return batches.map((_, i) => i).sort((x, y) => age(batches[x]!) - age(batches[y]!));
}

/** Fills the places from batches that may stand together: seen ones first, then those nearest to the middle. */
function choose(
  together: readonly number[],
  batches: readonly AgeBatch[],
  places: SeenPlaces,
): Omit<AgeMatch, 'proven'> {
  const held = together.map((i) => batches[i]!);
  const centre = middleOf(held);
  const seen = new Map<string, number>();
  for (const [shape, n] of places) {
    let left = n;
    const take = (b: AgeBatch, most: number) => {
      const some = Math.min(left, most);
      if (some > 0) seen.set(b.id, (seen.get(b.id) ?? 0) + some);
      left -= Math.max(0, some);
    };
    const ofShape = held
      .filter((b) => b.shape === shape)
      .sort((x, y) => deltaE00(centre, x.lab) - deltaE00(centre, y.lab));
    for (const b of ofShape) take(b, Math.min(b.seenNow, b.qty));
    for (const b of ofShape) take(b, b.qty - (seen.get(b.id) ?? 0));
  }
  const chosen = batches.map((b) => ({ lab: b.lab, qty: seen.get(b.id) ?? 0 }));
  return { seen, ...spreadOf(chosen) };
}

/** The batch that is nearest to all others, counted by pieces. */
function middleOf(batches: readonly AgeBatch[]): LabD65 {
  let best = batches[0]!.lab;
  let least = Infinity;
  for (const b of batches) {
    const sum = batches.reduce((s, o) => s + o.qty * deltaE00(b.lab, o.lab), 0);
    if (sum < least) [best, least] = [b.lab, sum];
  }
  return best;
}
