import { seededRandom } from '@/core/shared/random';
import { partModel } from '@/core/sourcing/part-model';
import { ALONE, LOOK_SHARE_OF_LARGE, lookAtBeginnings } from './look-at-beginnings';
import { divide, wanderAndDivide } from './divide';
import { highs, solveExactly } from './exact';
import type { Job } from './job';
import { searchShare } from './roles';
import { searchUntil } from './search-until';

/** Solves parts of the best plan exactly, one after another, until the time is over. */
async function solveParts(job: Job): Promise<void> {
  const solver = await highs();
  const random = seededRandom(job.task.seed + 1);
  const { solver: own } = job;
  for (let n = 0; !job.over && job.left > 0.3; n++) {
    job.listen();
    const size = { open: 5 + (n % 3), closed: 3 + (n % 4) };
    const part = partModel(own.c, own.best, own.promising(50), size, random);
    if (!part?.start) return searchUntil(job, job.task.seconds);
    const answer = solveExactly(solver, part.model.linearModel, {
      start: part.start,
      seconds: Math.min(1.5, job.left - 0.08),
      gap: 1e-4,
    });
    if (answer.values) own.adoptExactly(part.whole(part.model.decode(answer.values)));
    // A little search from the new place: cheap, and it finds what the part could not see.
    for (let i = 0; i < 8; i++) own.work(0.97);
    job.tellBest();
  }
}

/** Share of the time that what a search has found is divided anew in, at most. */
const DIVIDE_SHARE = 0.2;
/** Share of the time after the search in which a large plan is warmed up and divided; then parts of it are solved exactly. */
const WANDER_SHARE = 0.6;

export async function searchLarge(job: Job): Promise<void> {
  const { seconds } = job.task;
  const until = searchShare(job.compiled.offers, seconds) * seconds;
  const beginnings = lookAtBeginnings(job, ALONE, LOOK_SHARE_OF_LARGE);
  // Where there are none to begin from the search is one.
  for (let left = Math.max(1, beginnings.left); left > 0 && !job.over; left--) {
    beginnings.begin();
    const began = job.elapsed;
    searchUntil(job, began + (until - began) / left, began);
  }
  await divide(job, job.solver.best, DIVIDE_SHARE * seconds);
  job.listen();
  await wanderAndDivide(job, job.elapsed + WANDER_SHARE * job.left);
  if (!job.over) await solveParts(job);
}
