import { between, type Random } from '../shared/random';
import type { Compiled } from './compile';
import { modelOf, type SourcingModel } from './milp';
import { sellersOf, type Saved } from './state';

/** A part of a plan as a linear model of its own: some sellers are free, the others keep what they have. */
export interface PartModel {
  readonly model: SourcingModel;
  /** What the free sellers have now: where the solver begins. */
  readonly start: Float64Array | null;
  /** The whole plan with the part solved anew. */
  readonly whole: (part: Saved) => Saved;
}

/**
 * Frees some sellers of a plan, `open` of those in use and `closed` of the promising others, and writes what they supply
 * now as a linear model over them. Sellers that share lots are freed together: a parcel can only be dropped when its pieces
 * have somewhere to go.
 */
export function partModel(
  c: Compiled,
  saved: Saved,
  promising: readonly number[],
  { open, closed }: { readonly open: number; readonly closed: number },
  random: Random,
): PartModel | null {
  const used = new Set(sellersOf(c, saved));
  if (used.size < 2) return null;
  const free = new Set(chosen(c, [...used], open, random));
  const others = promising.filter((s) => !used.has(s));
  const pool = others.slice(0, closed * 4);
  for (let i = 0; i < closed && pool.length > 0; i++)
    free.add(pool.splice(Math.floor(random() ** 1.5 * pool.length), 1)[0]!);
  const need = new Int32Array(c.lots);
  const isFree = (source: number): boolean => source >= 0 && free.has(c.offerSeller[source]!);
  const mine = saved.from.map((rows, lot) =>
    rows.filter(([source, n]) => {
      if (!isFree(source)) return false;
      need[lot]! += n;
      return true;
    }),
  );
  const rest = saved.from.map((rows) => rows.filter(([source]) => !isFree(source)));
  const parcels = c.maxSellers - (used.size - [...free].filter((s) => used.has(s)).length);
  const model = modelOf(c, [...free], need, { donors: false, parcels });
  const none = new Int32Array(c.donorPrice.length);
  return {
    model,
    start: model.encode({ cost: 0, unmet: 0, copies: none, from: mine }),
    whole: (part) => ({
      // Told exactly when it is taken in; the part's own unmet counts what others supply.
      cost: Infinity,
      unmet: 0,
      copies: saved.copies,
      from: rest.map((rows, lot) => [...rows, ...part.from[lot]!]),
    }),
  };
}

/** One seller at random, and those whose offers reach most of what he supplies. */
function chosen(c: Compiled, used: readonly number[], count: number, random: Random): number[] {
  const first = used[between(random, 0, used.length - 1)]!;
  const lots = new Set<number>();
  for (const o of c.offersOfSeller[first]!) for (const l of c.acceptedBy[c.offerElement[o]!]!) lots.add(l);
  const near = used
    .filter((s) => s !== first)
    .map((s) => {
      let shared = 0;
      for (const o of c.offersOfSeller[s]!)
        if (c.acceptedBy[c.offerElement[o]!]!.some((l) => lots.has(l))) shared++;
      return { s, rank: shared * (0.4 + random()) };
    })
    .sort((a, b) => b.rank - a.rank);
  return [first, ...near.slice(0, count - 1).map((n) => n.s)];
}
