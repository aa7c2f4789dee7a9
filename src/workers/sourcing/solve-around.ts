import { modelOf } from '@/core/sourcing/milp';
import { highs, solveExactly } from './exact';
import type { Job } from './job';

/** Sellers beside those in use that a model around the best plan has at first, and how many more each time. */
const AROUND = { first: 4, more: 4 };
/** The least time that such a model is worth, in seconds. */
const AROUND_LEAST = 0.25;

/**
 * Solves the model of the sellers in use and of a few promising ones, boxes free: small enough to be solved nearly to the
 * end, and what it leaves out seldom matters. Then of a few more, and so forth.
 */
export async function solveAround(job: Job, until: number): Promise<void> {
  const solver = await highs();
  const { solver: own } = job;
  // It overruns: what it is given ends a little before the time does.
  const left = () => Math.min(job.left, until - job.elapsed) - 0.12;
  for (let more = AROUND.first; !job.over && left() > AROUND_LEAST; more += AROUND.more) {
    job.listen();
    const sellers = own.promising(own.parcels + more).filter((s) => own.c.offersOfSeller[s]!.length > 0);
    const model = modelOf(own.c, sellers, own.met);
    const take = (values: Float64Array): void => {
      own.adoptExactly(model.decode(values));
      job.tellBest();
    };
    const answer = solveExactly(solver, model.linearModel, {
      start: model.encode(own.best),
      seconds: left(),
      gap: 1e-4,
      effort: 0.1,
      onBetter: take,
      onBound: () => {
        job.listen();
        return job.over;
      },
    });
    if (answer.values) take(answer.values);
    if (sellers.length >= own.c.sellers) return;
    for (let i = 0; i < 8; i++) own.work(0.97);
    job.tellBest();
  }
}
