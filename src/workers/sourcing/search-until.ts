import { Coolings } from './coolings';
import type { Job } from './job';
import { stepsOfCooling } from './roles';

/**
 * Searches until some of the time is over. A plan from elsewhere is taken up after it: two searches that follow one another
 * about find what one finds.
 */
export function searchUntil(job: Job, until: number, began = 0): void {
  const isFull = job.solver.parcels >= job.compiled.maxSellers;
  const coolings = new Coolings(stepsOfCooling(job.compiled.offers, isFull));
  let next = 0;
  while (!job.over && job.elapsed < until) {
    job.solver.work(coolings.fractionAt((job.elapsed - began) / (until - began)));
    if (job.elapsed < next) continue;
    next = job.elapsed + 0.04;
    job.hear();
    job.tellBest();
  }
  job.tellBest();
}
