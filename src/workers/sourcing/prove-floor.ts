import type { Job } from './job';

/** Steps of the floor alone until some of the time is over, towards whatever the others have found. */
export function proveFloor(job: Job, until: number): void {
  let next = 0;
  while (!job.over && job.elapsed < until) {
    job.sendBound(job.solver.boundStep());
    if (job.elapsed < next) continue;
    next = job.elapsed + 0.04;
    job.listen();
  }
}
