import { scoreOf } from '@/core/sourcing';
import { ALONE, LOOK_SHARE, lookAtBeginnings } from './look-at-beginnings';
import { divide, wanderAndDivide } from './divide';
import type { Job } from './job';
import { searchUntil } from './search-until';
import { solveAround } from './solve-around';

/**
 * The first round of a search in seconds, each twice as long as the one before; how much of each is searched, alone and
 * beside another thread, and in how many coolings; how much of what is left is solved around the best plan; and for how much
 * time no round is begun any more. Two coolings: the first of three short ones, which finds the prices that steer the
 * others, came to rest ten percent too dear, and most of what dividing that won was for nothing.
 */
const ROUND = { seconds: 2, search: 0.7, shared: 0.5, coolings: 2, around: 0.6, least: 0.5 };
/**
 * Coolings that come to rest so far apart, the dearest over the cheapest, say that the next may come to rest elsewhere: high least
 * orders and many acceptable elements make such problems, and solving around one of their plans brings next to nothing. Then
 * one more takes that time in one of two threads, where there is so much, in seconds, and leaves so much of it to divide what it comes to.
 */
const RUGGED = { apart: 1.01, least: 0.5, dividing: 0.25 };
/** Share of a round that what a cooling comes to is divided in, at most: of the first, and of the others. */
const DIVIDE = { first: 0.1, later: 0.15 };
/** Postage bands below and above that a parcel may have where the best plan is divided at last. */
const BANDS_BESIDE = 1;
/** What is dearer than the best plan by more than this is seldom better when it is divided anew. */
const WORTH_DIVIDING = 1.03;

/** Cools down once and divides what that has come to, until so much is over. Gives the score that it came to rest at. */
async function coolAndDivide(job: Job, cooled: number, divided: number): Promise<number> {
  searchUntil(job, cooled, job.elapsed);
  const { best, present } = job.solver;
  if (present.unmet <= best.unmet && present.cost < best.cost * WORTH_DIVIDING)
    await divide(job, present, divided - job.elapsed);
  return scoreOf(present);
}

/**
 * Searches anew, and solves around what is best, again and again: a search that has cooled down leaves its place no more,
 * and the next one seldom comes to rest in the same. So more time is not worse than less.
 */
export async function searchInRounds(job: Job): Promise<void> {
  const { seconds, role, seed } = job.task;
  const share = role === 'around' ? { of: 2, at: seed & 1 } : ALONE;
  const search = share.of > 1 ? ROUND.shared : ROUND.search;
  const beginnings = lookAtBeginnings(job, share, LOOK_SHARE);
  for (let length = ROUND.seconds; ; length *= 2) {
    const began = job.elapsed;
    // What would be left for another round is too little for one: it belongs to this.
    const until = seconds - (began + length) < length ? seconds : began + length;
    const rests: number[] = [];
    // Several of them find more than one that takes as long.
    for (let n = 0; n < ROUND.coolings && !job.over; n++) {
      beginnings.begin();
      const cooled = job.elapsed + (search * (until - began)) / ROUND.coolings;
      const dividing = n === 0 ? DIVIDE.first : DIVIDE.later;
      rests.push(await coolAndDivide(job, cooled, cooled + dividing * (until - began)));
    }
    const isRugged = share.of > 1 && share.at === 0 && Math.max(...rests) > RUGGED.apart * Math.min(...rests);
    if (isRugged && until - job.elapsed > RUGGED.least) {
      beginnings.begin();
      await coolAndDivide(job, until - RUGGED.dividing, until);
    }
    job.listen();
    // One of two threads lets parcels become fuller or less so, with the right sellers: where few are allowed that is most
    // of what is left.
    if (share.at === 1) await divide(job, job.solver.best, until - job.elapsed, BANDS_BESIDE);
    else if (!isRugged) await solveAround(job, job.elapsed + ROUND.around * (until - job.elapsed));
    await wanderAndDivide(job, until);
    // A search that has no time to cool down only leaves the best place.
    if (job.over || job.left < ROUND.least) return;
  }
}
