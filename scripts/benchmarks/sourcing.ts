import { solveSourcing } from '../../src/server/solve-sourcing';
import { randomProblem } from '../../src/core/testing/sourcing';
import { say } from './measure';

/** The optimiser on problems from a seed: cost, proven floor and time. Threads are bundled by the build before. */
export async function measureSourcing(): Promise<void> {
  for (const [lots, sellers, seconds, aim] of [
    [20, 10, 1, 'proven, under 1 s'],
    [120, 60, 2, 'within 1.5 % in 2 s'],
    [120, 60, 10, 'within 0.5 % in 10 s'],
    [400, 200, 1, 'within 8 % in 1 s'],
    [400, 200, 10, 'within 3 % in 10 s'],
    [1000, 500, 5, 'an answer in 5 s'],
    [1000, 500, 35, '30 s more improve it by less than 2 %'],
  ] as const) {
    const problem = { ...randomProblem(lots, lots, sellers), maxSellers: null };
    const start = performance.now();
    const plan = await solveSourcing(problem, { seconds });
    const took = ((performance.now() - start) / 1000).toFixed(1);
    const gap = ((100 * (plan.cost - plan.floor)) / Math.max(1, plan.cost)).toFixed(1);
    const unmet = plan.unmet.reduce((s, u) => s + u.qty, 0);
    say(
      `buying plan of ${lots} lots from ${sellers} sellers`,
      aim,
      `${plan.cost} p, floor ${gap} % below, ${unmet} unmet, ${took} s`,
    );
  }
}
