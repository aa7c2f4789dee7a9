import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared/random';
import { buyingProblem, type StructureName } from '../testing/buying-problems';
import { anneal } from './anneal';
import { compile, type Compiled } from './compile';
import { mixFor } from './mix';
import { Search } from './search';
import { scoreOf } from './state';

const STRUCTURES: readonly StructureName[] = ['high least orders', 'many boxes', 'many acceptable', 'plain'];
const STEPS = 400;

/** What one cooling of a search comes to; `as` says which mix it has. */
function cooledDown(c: Compiled, seed: number, as: Compiled): number {
  const search = new Search(c, seededRandom(seed));
  Object.assign(search, { mix: mixFor(as) });
  for (let i = 0; i < STEPS; i++) anneal(search, i / STEPS);
  return scoreOf(search.best);
}

describe('the mix of moves', () => {
  it('of a middling problem comes to cheaper plans in as many steps than the one of a large problem', () => {
    let change = 0;
    let runs = 0;
    for (const structure of STRUCTURES)
      for (const seed of [61, 62, 63]) {
        const c = compile(buyingProblem(structure, 'medium', seed));
        const large = { ...c, lots: 400 };
        const least = Math.min(...[1, 2].map((n) => cooledDown(c, n, c)));
        const other = Math.min(...[1, 2].map((n) => cooledDown(c, n, large)));
        change += (least - other) / (other % 1e7);
        runs++;
      }
    expect(change / runs).toBeLessThan(0);
  });

  it('is the one of a large problem where parcels are limited', () => {
    const large = compile(buyingProblem('plain', 'large', 61));
    const few = compile(buyingProblem('few parcels', 'medium', 61));
    const free = compile(buyingProblem('plain', 'medium', 61));
    expect(mixFor(few)).toEqual(mixFor(large));
    expect(mixFor(free)).not.toEqual(mixFor(large));
  });
});
