import { compile, Solver, type Problem } from '@/core/sourcing';
import { between, seededRandom } from '@/core/shared/random';
import { chooserFor } from './choose';
import { dividedAnew } from './divide';
import type { highs } from './exact';

/** Steps of the search, and of the floor that is told: by prices, and then by exact choices. */
const WARM_UP = 120;
const FLOOR_STEPS = 60;
/** Parcels of the same problem where they are limited, and how many choices of sellers are looked at there. */
const FEW = 5;
const LOOKED_AT = 4;

/**
 * Runs the search on a made-up problem and divides what it finds, so that the code a thread is going to need has been
 * compiled before somebody waits for it. Half a second, once in a thread's life.
 */
export function warmUp(solver: Awaited<ReturnType<typeof highs>>): void {
  const random = seededRandom(1);
  const [lots, sellers] = [90, 40];
  const elements = Array.from({ length: lots }, (_, i) => ({
    id: `e${i}`,
    part: '',
    colour: '',
    grams: 1 + (i % 5),
  }));
  const problem: Problem = {
    schema: 'makeup/1',
    name: 'warm-up',
    elements,
    lots: elements.map(({ id }, i) => ({
      id,
      qty: between(random, 1, 12),
      accept: [id, `e${(i + 1) % lots}`],
    })),
    sellers: Array.from({ length: sellers }, (_, s) => ({
      id: `s${s}`,
      minOrder: s % 3 === 0 ? 300 : 0,
      postage: [
        { maxGrams: 60, pence: 150 },
        { maxGrams: 500, pence: 300 },
        { maxGrams: 90_000, pence: 900 },
      ],
      offers: elements
        .filter(() => random() < 0.4)
        .map(({ id }) => ({
          element: id,
          price: between(random, 2, 30),
          stock: between(random, 1, 40),
          minQty: 1,
          multiple: random() < 0.2 ? 2 : 1,
        })),
    })),
    donors: [
      {
        id: 'd',
        price: 400,
        maxCopies: 2,
        yields: elements.slice(0, 20).map(({ id }) => ({ element: id, qty: 2 })),
      },
    ],
    maxSellers: null,
  };
  const c = compile(problem);
  const search = new Solver(c, { seed: 1, trialDonors: false, boundSteps: WARM_UP / 10 });
  for (let i = 0; i < WARM_UP; i++) search.work(i / WARM_UP);
  dividedAnew(solver, c, search.best, { left: () => 1, onBetter: () => {} });
  search.choose = chooserFor(solver, () => 1);
  for (let i = 0; i < FLOOR_STEPS; i++) search.boundStep();
  // What only runs where parcels are limited.
  const limited = new Solver(compile({ ...problem, maxSellers: FEW }), {
    seed: 1,
    trialDonors: false,
    boundSteps: 0,
  });
  const beginnings = limited.beginnings({ of: 1, at: 0 });
  for (let i = 0; i < LOOKED_AT && beginnings.look(); i++);
}
