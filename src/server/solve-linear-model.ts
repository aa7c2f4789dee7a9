import type { LinearModelTask } from '@/workers/sourcing/messages';
import { solverLine, startJob } from './threads/solver-pool';

export interface Solved {
  readonly values: Float64Array | null;
  readonly optimal: boolean;
}

/** It may overrun its time by seconds: then it is ended with its thread. */
const PATIENCE_MS = 2000;

/**
 * Solves a linear model in a thread, in its turn. Values are null when none were found in the time, when too many wait
 * already, or when whoever asked has gone.
 */
export async function solveLinearModel(
  linearModel: LinearModelTask['linearModel'],
  seconds: number,
  signal?: AbortSignal,
): Promise<Solved> {
  const none: Solved = { values: null, optimal: false };
  const leave = await solverLine.enter(signal);
  if (!leave) return none;
  try {
    return await new Promise<Solved>((finish) => {
      const job = startJob({ role: 'linear model', linearModel, seconds });
      let answer = none;
      const end = (done: boolean) => {
        clearTimeout(timer);
        signal?.removeEventListener('abort', gone);
        job.end(done);
        finish(answer);
      };
      const gone = () => end(false);
      const timer = setTimeout(gone, seconds * 1000 + PATIENCE_MS);
      signal?.addEventListener('abort', gone);
      job.hear((message) => {
        if (message.say === 'values') answer = message;
        if (message.say === 'done') end(true);
      });
    });
  } finally {
    leave();
  }
}
