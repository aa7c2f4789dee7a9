import { describe, expect, it } from 'vitest';
import { buyingProblem, STRUCTURE_NAMES } from '../testing/buying-problems';
import { faultsIn } from '../testing/sourcing';
import { cheapestEach } from './by-hand';
import { compile } from './compile';
import { meetMore } from './meet-more';
import { reachableNeed } from './reachable';
import { State } from './state';

const unreachable = (c: ReturnType<typeof compile>) =>
  c.need.reduce((n, q, lot) => n + q - reachableNeed(c)[lot]!, 0);

describe('meeting what can be met', () => {
  it.each(STRUCTURE_NAMES.filter((n) => n !== 'few parcels'))(
    'leaves open only what nobody has, from nothing and from a plan (%s)',
    (name) => {
      for (const seed of [1, 2, 3]) {
        const problem = buyingProblem(name, 'small', seed);
        const c = compile(problem);
        for (const state of [new State(c), cheapestEach(c)]) {
          const before = state.unmet;
          expect(meetMore(state)).toBe(before - state.unmet);
          expect([seed, state.unmet]).toEqual([seed, unreachable(c)]);
          expect(faultsIn(c, problem, state.save())).toEqual([]);
        }
      }
    },
  );

  it('keeps to the parcels that are allowed, and gives up no piece that it has', () => {
    for (const seed of [1, 2, 3, 4]) {
      const problem = { ...buyingProblem('few parcels', 'small', seed), maxSellers: 2 };
      const c = compile(problem);
      const state = cheapestEach(c);
      const before = state.unmet;
      meetMore(state);
      expect(state.parcels).toBeLessThanOrEqual(2);
      expect(state.unmet).toBeLessThanOrEqual(before);
      expect(faultsIn(c, problem, state.save())).toEqual([]);
    }
  });
});
