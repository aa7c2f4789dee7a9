import { describe, expect, it } from 'vitest';
import { buyingProblem } from '../testing/buying-problems';
import { compile } from './compile';
import { Solver } from './solver';

/** Runs a solver for so many steps of work, on a clock of which each look takes `tick` seconds; gives its floor and the clock. */
function run(problem: Parameters<typeof compile>[0], tick: number, seconds: number) {
  let now = 0;
  const clock = () => (now += tick);
  const solver = new Solver(compile(problem), {
    seed: 1,
    trialDonors: false,
    boundSteps: 400,
    boundTime: { now: clock, seconds },
  });
  for (let i = 0; i < 200; i++) solver.work(i / 200);
  return { solver, looked: now / tick };
}

describe('the time that a floor has beside a search', () => {
  const problem = buyingProblem('plain', 'small', 4);

  it('is no more than it was given: slow steps are fewer', () => {
    // Two looks at the clock for each step: a step takes one tick.
    const [quick, slow] = [run(problem, 0.001, 1), run(problem, 0.1, 1)];
    expect(slow.looked / 2).toBeLessThanOrEqual(11);
    expect(quick.looked / 2).toBeGreaterThan(100);
    expect(quick.solver.floor).toBeGreaterThanOrEqual(slow.solver.floor);
    expect(slow.solver.floor).toBeGreaterThan(0);
  });

  it('suffices for a plan that leaves pieces unmet to have a floor in the end', () => {
    const scarce = { ...buyingProblem('scarce', 'small', 3), maxSellers: 2 };
    const { solver } = run(scarce, 0.5, 0.4);
    expect(solver.leavesLeast).toBe(false);
    expect(solver.floor).toBeGreaterThan(0);
    expect(solver.floor).toBeLessThanOrEqual(Math.round(solver.best.cost));
  });
});
