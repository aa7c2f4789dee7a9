import type { Compiled } from './compile';
import type { LinearModel } from './linear-model';
import { modelOf, type SourcingModel } from './milp';
import { State, type Saved } from './state';

/**
 * How a plan's pieces are divided among its parcels, as a linear model: the same sellers and boxes, and no parcel
 * heavier than its postage band allows now. A search chooses sellers and bands well and divides badly, since it passes on
 * a lot or two at a time while the parcels are full; without those choices the model is solved in a moment.
 */
export function divisionModel(c: Compiled, saved: Saved): SourcingModel {
  const state = new State(c);
  state.load(saved);
  const band = (s: number): number => c.bandGrams[s]!.findIndex((max) => state.grams[s]! <= max + 1e-9);
  const isOpen = (s: number): boolean => state.active[s]! > 0;
  const held: Compiled = {
    ...c,
    bandGrams: c.bandGrams.map((max, s) => (isOpen(s) ? max.subarray(band(s), band(s) + 1) : max)),
    bandPence: c.bandPence.map((pence, s) => (isOpen(s) ? pence.subarray(band(s), band(s) + 1) : pence)),
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

/** Pence that a column may cost more than nothing in the relaxed model and still be a choice. */
const NEAR = 0.3;

/**
 * A model without the columns that neither a plan nor the relaxed solution uses, nor would use for next to nothing: a third
 * to a half of them is left, and it is solved several times as fast.
 */
export function narrowed(model: LinearModel, plan: Float64Array, relaxed: Relaxed): LinearModel {
  const isKept = (j: number): boolean =>
    model.integer[j] === 0 ||
    plan[j]! > 1e-7 ||
    relaxed.values[j]! > 1e-7 ||
    Math.abs(relaxed.reduced[j]!) <= NEAR;
  return { ...model, upper: model.upper.map((most, j) => (isKept(j) ? most : model.lower[j]!)) };
}
