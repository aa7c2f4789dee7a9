import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { highs, solveExactly, solveRelaxed } from '@/workers/sourcing/exact';
import { dividedAnew } from '@/workers/sourcing/divide';
import { buyingProblem, STRUCTURE_NAMES } from '../testing/buying-problems';
import { market } from '../testing/made-market';
import { faultsIn } from '../testing/sourcing';
import { compile, type Compiled } from './compile';
import { divisionModel, narrowed } from './division';
import { Solver } from './solver';
import { State, type Saved } from './state';

const solver = await highs();
const loaded = (c: Compiled, saved: Saved): State => {
  const state = new State(c);
  state.load(saved);
  return state;
};
/** A plan as a short search leaves it: lawful, and divided badly. */
function searched(c: Compiled, seed: number): Saved {
  const search = new Solver(c, { seed, trialDonors: false, boundSteps: 10 });
  for (let i = 0; i < 20; i++) search.work(i / 20);
  return search.best;
}
const structures = fc.constantFrom(...STRUCTURE_NAMES);
const seeds = fc.integer({ min: 1, max: 999 });
const objective = (cost: Float64Array, values: ArrayLike<number>): number =>
  cost.reduce((sum, pence, j) => sum + pence * values[j]!, 0);
const bandOf = (c: Compiled, s: number, grams: number): number =>
  c.bandGrams[s]!.findIndex((max) => grams <= max + 1e-9);

describe('a plan’s division as a model', () => {
  it('has the plan itself among its solutions, at the plan’s cost', () =>
    fc.assert(
      fc.property(structures, seeds, (name, seed) => {
        const c = compile(buyingProblem(name, 'small', seed));
        const plan = searched(c, seed);
        const { linearModel: p, encode, decode } = divisionModel(c, plan);
        const values = encode(plan)!;
        values.forEach((v, j) => {
          expect(v).toBeGreaterThanOrEqual(p.lower[j]!);
          expect(v).toBeLessThanOrEqual(p.upper[j]! + 1e-9);
        });
        for (let row = 0; row < p.rowLower.length; row++) {
          let sum = 0;
          for (let k = p.starts[row]!; k < p.starts[row + 1]!; k++)
            sum += p.values[k]! * values[p.indices[k]!]!;
          expect(sum).toBeGreaterThanOrEqual(p.rowLower[row]! - 1e-6);
          expect(sum).toBeLessThanOrEqual(p.rowUpper[row]! + 1e-6);
        }
        expect(objective(p.cost, values)).toBeCloseTo(plan.cost, 3);
        expect(loaded(c, decode(values)).cost).toBeLessThanOrEqual(plan.cost + 1e-6);
      }),
      { numRuns: 40 },
    ));

  it('keeps sellers, boxes, bands and what is met, and the best division is never dearer', () =>
    fc.assert(
      fc.property(structures, seeds, (name, seed) => {
        const problem = buyingProblem(name, 'small', seed);
        const c = compile(problem);
        const plan = searched(c, seed);
        const model = divisionModel(c, plan);
        const answer = solveExactly(solver, model.linearModel, {
          start: model.encode(plan),
          seconds: 2,
          gap: 1e-3,
        });
        const [before, after] = [loaded(c, plan), loaded(c, model.decode(answer.values!))];
        expect(faultsIn(c, problem, after.save())).toEqual([]);
        expect(after.cost).toBeLessThanOrEqual(before.cost + 1e-6);
        expect(after.unmet).toBeLessThanOrEqual(before.unmet);
        expect([...after.copies]).toEqual([...plan.copies]);
        for (let s = 0; s < c.sellers; s++) {
          if (after.active[s]! === 0) continue;
          expect(before.active[s]).toBeGreaterThan(0);
          expect(bandOf(c, s, after.grams[s]!)).toBeLessThanOrEqual(bandOf(c, s, before.grams[s]!));
        }
      }),
      { numRuns: 25 },
    ));

  it('with bands beside them free keeps to those, sellers and boxes, and is not dearer than with bands as they are', () =>
    fc.assert(
      fc.property(structures, seeds, (name, seed) => {
        const problem = buyingProblem(name, 'small', seed);
        const c = compile(problem);
        const plan = searched(c, seed);
        const [held, free] = [0, 1].map((beside) => {
          const model = divisionModel(c, plan, beside);
          const answer = solveExactly(solver, model.linearModel, {
            start: model.encode(plan),
            seconds: 4,
            gap: 0,
          });
          return { state: loaded(c, model.decode(answer.values!)), optimal: answer.optimal };
        }) as [{ state: State; optimal: boolean }, { state: State; optimal: boolean }];
        const before = loaded(c, plan);
        expect(faultsIn(c, problem, free.state.save())).toEqual([]);
        expect(free.state.unmet).toBeLessThanOrEqual(before.unmet);
        expect([...free.state.copies]).toEqual([...plan.copies]);
        if (free.optimal && free.state.unmet === held.state.unmet)
          expect(free.state.cost).toBeLessThanOrEqual(held.state.cost + 1e-6);
        for (let s = 0; s < c.sellers; s++) {
          if (free.state.active[s]! === 0) continue;
          expect(before.active[s]).toBeGreaterThan(0);
          expect(bandOf(c, s, free.state.grams[s]!)).toBeLessThanOrEqual(bandOf(c, s, before.grams[s]!) + 1);
        }
      }),
      { numRuns: 8 },
    ));
});

const FOUR: readonly (readonly [string, number])[] = ['a', 'b', 'c', 'd'].map((kind) => [kind, 1] as const);
const FORTY_EACH = { a: 40, b: 40, c: 40, d: 40 };
/** Both have all four kinds, of forty grams each; a parcel of up to a hundred grams costs a third of a heavier one. */
const crossed = () =>
  compile(
    market({
      lots: FOUR,
      sellers: [
        {
          id: 'one',
          offers: [
            ['a', 30],
            ['b', 30],
            ['c', 10],
            ['d', 10],
          ],
          postage: [
            [100, 100],
            [999, 300],
          ],
        },
        {
          id: 'other',
          offers: [
            ['a', 10],
            ['b', 10],
            ['c', 30],
            ['d', 30],
          ],
          postage: [
            [100, 100],
            [999, 300],
          ],
        },
      ],
      grams: FORTY_EACH,
    }),
  );

describe('dividing anew', () => {
  it('passes full parcels’ lots on where no single lot could go: two parcels change all that they hold', () => {
    const c = crossed();
    const state = new State(c);
    // Every lot lies with the seller who asks more for it, and both parcels are full.
    [0, 1].forEach((lot) => state.give(lot, c.offersOfLot[lot]![1]!, 1));
    [2, 3].forEach((lot) => state.give(lot, c.offersOfLot[lot]![1]!, 1));
    expect(state.cost).toBe(4 * 30 + 2 * 100);
    let best = state.cost;
    dividedAnew(solver, c, state.save(), {
      left: () => 5,
      onBetter: (found) => (best = Math.min(best, loaded(c, found).cost)),
    });
    expect(best).toBe(4 * 10 + 2 * 100);
  });

  it('lets a parcel become fuller where bands beside its own are free, and only there', () => {
    const postage: [number, number][] = [
      [100, 100],
      [999, 120],
    ];
    const c = compile(
      market({
        lots: FOUR,
        sellers: [
          {
            id: 'one',
            offers: [
              ['a', 10],
              ['b', 10],
              ['c', 10],
            ],
            postage,
          },
          {
            id: 'other',
            offers: [
              ['c', 60],
              ['d', 10],
            ],
            postage,
          },
        ],
        grams: FORTY_EACH,
      }),
    );
    const state = new State(c);
    [0, 1, 3, 4].forEach((offer, lot) => state.give(lot, offer, 1));
    expect(state.cost).toBe(3 * 10 + 60 + 2 * 100);
    const bestWith = (beside: number): number => {
      let best = state.cost;
      const onBetter = (found: Saved): number => (best = Math.min(best, loaded(c, found).cost));
      dividedAnew(solver, c, state.save(), { left: () => 5, onBetter, beside });
      return best;
    };
    expect([0, 1].map(bestWith)).toEqual([290, 4 * 10 + 120 + 100]);
  });

  it('is not begun where there is no time', () => {
    const c = crossed();
    const told: Saved[] = [];
    dividedAnew(solver, c, searched(c, 1), { left: () => 0, onBetter: (found) => told.push(found) });
    expect(told).toEqual([]);
  });

  it('never ends above the plan it began with, in a narrowed model either, and mostly below', () => {
    let lower = 0;
    for (const name of STRUCTURE_NAMES) {
      const c = compile(buyingProblem(name, 'medium', 77));
      const plan = searched(c, 3);
      let best = Infinity;
      dividedAnew(solver, c, plan, {
        left: () => 20,
        onBetter: (found) => {
          const state = loaded(c, found);
          expect(state.unmet).toBeLessThanOrEqual(plan.unmet);
          best = Math.min(best, state.cost);
        },
      });
      expect(best).toBeLessThanOrEqual(plan.cost + 1e-6);
      if (best < plan.cost * 0.995) lower++;
    }
    expect(lower).toBeGreaterThan(STRUCTURE_NAMES.length / 2);
  });
});

describe('a narrowed model', () => {
  it('has fewer choices, keeps those of the plan and of the relaxed solution, and no others but near ones', () => {
    const c = compile(buyingProblem('plain', 'medium', 5));
    const plan = searched(c, 5);
    const { linearModel, encode } = divisionModel(c, plan);
    const start = encode(plan)!;
    const relaxed = solveRelaxed(solver, linearModel, 5)!;
    const { upper } = narrowed(linearModel, start, relaxed);
    const kept = (j: number): boolean => upper[j]! > linearModel.lower[j]!;
    let gone = 0;
    linearModel.upper.forEach((most, j) => {
      if (most === linearModel.lower[j]) return;
      if (start[j]! > 0 || relaxed.values[j]! > 1e-7 || linearModel.integer[j] === 0)
        expect(kept(j)).toBe(true);
      if (kept(j)) return;
      gone++;
      expect(Math.abs(relaxed.reduced[j]!)).toBeGreaterThan(0.3);
    });
    expect(gone).toBeGreaterThan(linearModel.columns / 4);
  });

  it('keeps what a box must give', () => {
    const model = {
      columns: 2,
      cost: Float64Array.of(5, 5),
      lower: Float64Array.of(1, 0),
      upper: Float64Array.of(1, 1),
      integer: Int32Array.of(1, 1),
      rowLower: new Float64Array(),
      rowUpper: new Float64Array(),
      starts: Int32Array.of(0),
      indices: new Int32Array(),
      values: new Float64Array(),
    };
    const relaxed = { values: new Float64Array(2), reduced: Float64Array.of(9, 9) };
    expect([...narrowed(model, new Float64Array(2), relaxed).upper]).toEqual([1, 0]);
  });
});
