import type { Job } from './job';

/**
 * Steps of the floor alone until some of the time is over, towards whatever the others have found. A floor is of plans that
 * lack no more than the best one here does, so that one is told before any floor is.
 */
export function proveFloor(job: Job, until: number): void {
  job.tellBest();
  let next = 0;
  while (!job.over && job.elapsed < until) {
    job.sendBound(job.solver.boundStep());
    if (job.elapsed < next) continue;
    next = job.elapsed + 0.04;
    job.listen();
  }
}
