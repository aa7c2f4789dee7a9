import type { Choose } from '@/core/sourcing/choice-floor';
import { solveExactly, type highs } from './exact';
import type { Job } from './job';

/** A choice that takes longer than this, in seconds, is broken off: what is proven of it by then counts. */
const MOST = 0.5;
/** Near enough: the last thousandth of a choice takes as long as the rest of it. */
const GAP = 2e-3;
/** Share of the work that goes to finding choices: they are found on the way. */
const EFFORT = 0.01;

/** Chooses sellers and boxes for a floor, while there are any seconds left for it. */
export const chooserFor =
  (
    solver: Awaited<ReturnType<typeof highs>>,
    left: () => number,
    isStopped: () => boolean = () => false,
  ): Choose =>
  (model) => {
    if (isStopped() || left() <= 0) return { values: null, bound: -Infinity };
    return solveExactly(solver, model, {
      start: null,
      seconds: Math.min(MOST, left()),
      gap: GAP,
      effort: EFFORT,
      quick: true,
      onBound: isStopped,
    });
  };

/** The same for a job, until it is over or told to stop. */
export const chooserOf = (solver: Awaited<ReturnType<typeof highs>>, job: Job): Choose =>
  chooserFor(
    solver,
    () => job.left,
    () => {
      job.hear();
      return job.stopped;
    },
  );
