import type { Beginnings, Share } from '@/core/sourcing/beginnings';
import type { Job } from './job';

/** Share of the time in which choices of sellers to begin from are looked at, at most; and of a large problem. */
export const LOOK_SHARE = 0.35;
export const LOOK_SHARE_OF_LARGE = 0.25;
/** One thread that looks at all of them. */
export const ALONE: Share = { of: 1, at: 0 };

/** Looks at the choices of sellers that this thread may begin from, until enough time is over. */
export function lookAtBeginnings(job: Job, share: Share, most: number): Beginnings {
  const beginnings = job.solver.beginnings(share);
  while (!job.over && job.elapsed < most * job.task.seconds && beginnings.look()) job.hear();
  // What others have found by then is one more.
  if (job.listen()) beginnings.add(job.solver.best);
  return beginnings;
}
