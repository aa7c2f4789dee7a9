import { modelOf } from '@/core/sourcing/milp';
import { reachableNeed } from '@/core/sourcing/reachable';
import { highs, solveExactly } from './exact';
import type { Job } from './job';
import { proveFloor } from './prove-floor';
import { solveAround } from './solve-around';

/** Share of the time that is solved around the best plan before the whole is. */
const AROUND_SHARE = 0.3;
/** Below so many offers the whole is solved in a moment, by itself. */
const MIDDLING = 500;
/** Share of what is left then that a floor has where the whole model proves none. */
const FLOOR_SHARE = 0.7;
/** Share that the model has where all can be met: what it has not proven by then it seldom does, and a floor goes on. */
const MODEL_SHARE = 0.6;

/** Solves the whole linear model: right for small and middling problems, and it proves a floor. */
export async function solveWhole(job: Job): Promise<void> {
  const solver = await highs();
  const { c } = job.solver;
  // A moment of search first, and of the sellers it uses: what the solver begins with is then worth having.
  const wait = c.offers < MIDDLING ? 0.05 : Math.min(0.8, job.task.seconds * 0.1);
  const until = job.elapsed + wait;
  while (!job.over && job.elapsed < until) job.solver.work(1 - (until - job.elapsed) / wait);
  job.tellBest();
  job.listen();
  if (c.offers >= MIDDLING) await solveAround(job, AROUND_SHARE * job.task.seconds);
  // Where weights or parcels forbid that all is met, what the best plan meets is what is asked for, and no floor of all.
  if (!job.solver.leavesLeast) proveFloor(job, job.elapsed + FLOOR_SHARE * job.left);
  const whole = job.solver.leavesLeast;
  const sellers = Array.from({ length: c.sellers }, (_, s) => s).filter(
    (s) => c.offersOfSeller[s]!.length > 0,
  );
  const model = modelOf(c, sellers, whole ? reachableNeed(c) : job.solver.met);
  const take = (values: Float64Array): void => {
    job.solver.adoptExactly(model.decode(values));
    job.tellBest();
  };
  const answer = solveExactly(solver, model.linearModel, {
    start: model.encode(job.solver.best),
    seconds: whole && c.offers >= MIDDLING ? MODEL_SHARE * job.left : job.left,
    gap: 0,
    onBetter: take,
    onBound: (bound) => {
      if (whole) job.sendBound(Math.ceil(bound - 1e-6));
      return job.over;
    },
  });
  if (answer.values) take(answer.values);
  if (whole) job.sendBound(Math.ceil(answer.bound - 1e-6));
  if (whole && answer.optimal) return job.tell({ say: 'proven' });
  job.listen();
  if (whole) proveFloor(job, job.task.seconds);
}
