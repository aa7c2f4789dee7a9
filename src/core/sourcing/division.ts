import type { Compiled } from './compile';
import type { LinearModel } from './linear-model';
import { modelOf, type SourcingModel } from './milp';
import { State, type Saved } from './state';

/**
 * How a plan's pieces are divided among its parcels, as a linear model: the same sellers and boxes, and no parcel
 * heavier than its postage band allows now. A search chooses sellers and bands well and divides badly, since it passes on
 * a lot or two at a time while the parcels are full; without those choices the model is solved in a moment. With
 * `beside` each parcel may also have one of so many bands below and above its own: a parcel more or less full is then a
 * choice, and the model takes several times as long.
 */
export function divisionModel(c: Compiled, saved: Saved, beside = 0): SourcingModel {
  const state = new State(c);
  state.load(saved);
  const band = (s: number): number => c.bandGrams[s]!.findIndex((max) => state.grams[s]! <= max + 1e-9);
  const isOpen = (s: number): boolean => state.active[s]! > 0;
  const bandsOf = <T extends Float64Array | Int32Array>(all: T, s: number): T =>
    isOpen(s) ? (all.subarray(Math.max(0, band(s) - beside), band(s) + beside + 1) as T) : all;
  const held: Compiled = {
    ...c,
    bandGrams: c.bandGrams.map(bandsOf),
    bandPence: c.bandPence.map(bandsOf),
    donorMax: saved.copies,
  };
  const sellers = Array.from({ length: c.sellers }, (_, s) => s).filter(isOpen);
  const met = Int32Array.from(c.need, (n, lot) => n - state.open[lot]!);
  return modelOf(held, sellers, met, { parcels: sellers.length, leastCopies: saved.copies });
}

/** A model's solution with fractions allowed: what its columns are, and what one more of each would cost. */
export interface Relaxed {
  readonly values: Float64Array;
  readonly reduced: Float64Array;
}

/** Pence that a column may cost more than nothing in the relaxed model and still be a choice: bands as they are, and free. */
export const NEAR = { held: 0.3, free: 3 } as const;

/**
 * A model without the columns that neither a plan nor the relaxed solution uses, nor would use for hardly anything (`near`
 * pence): a third to a half of them is left, and it is solved several times as fast. What a relaxed model with its bands
 * free says of a column is less exact, so more are left there.
 */
export function narrowed(
  model: LinearModel,
  plan: Float64Array,
  relaxed: Relaxed,
  near: number = NEAR.held,
): LinearModel {
  const isKept = (j: number): boolean =>
    model.integer[j] === 0 ||
    plan[j]! > 1e-7 ||
    relaxed.values[j]! > 1e-7 ||
    Math.abs(relaxed.reduced[j]!) <= near;
  return { ...model, upper: model.upper.map((most, j) => (isKept(j) ? most : model.lower[j]!)) };
}
