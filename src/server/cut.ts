import { fail, ok, type Result } from '@/core/shared/result';
import { CutSearch, type CutOptions, type CutPlan, type CutProblem } from '@/core/stickers/cutting';
import { solverLine, startJob } from './threads/solver-pool';

export interface CutListener {
  readonly onProgress?: (plan: CutPlan) => void;
  /** Told while others are solved first: the place in the line, from 1. */
  readonly onPlace?: (place: number) => void;
  /** Aborting it ends the search with the best so far. */
  readonly signal?: AbortSignal;
}

export type CutRunFault = { readonly fault: 'busy' } | { readonly fault: 'stopped' };

const USUAL_SECONDS = 10;
/** A thread that was told to stop may overrun: after this it is ended. */
const PATIENCE_MS = 300;

/**
 * Plans how strips are cut, in a thread of the buying plan. Ends when the plan is proven, when the time is over, or when it
 * is stopped; with `iterations` the time only bounds it.
 */
export async function cutRequest(
  problem: CutProblem,
  options: CutOptions,
  listener: CutListener = {},
): Promise<Result<CutPlan, CutRunFault>> {
  const leave = await solverLine.enter(listener.signal, listener.onPlace);
  if (!leave) return fail({ fault: listener.signal?.aborted ? 'stopped' : 'busy' });
  try {
    return ok(await run(problem, options, listener));
  } finally {
    leave();
  }
}

function run(problem: CutProblem, options: CutOptions, listener: CutListener): Promise<CutPlan> {
  const began = Date.now();
  const seconds = options.seconds ?? (options.iterations ? USUAL_SECONDS * 6 : USUAL_SECONDS);
  const { seed = 1, iterations = 0 } = options;
  const job = startJob({ role: 'cut', problem, seconds, began, seed, iterations });
  return new Promise((resolve) => {
    let best: CutPlan | null = null;
    let patience: NodeJS.Timeout | undefined;
    const finish = (done: boolean) => {
      clearTimeout(timer);
      clearTimeout(patience);
      listener.signal?.removeEventListener('abort', stop);
      job.end(done);
      // A thread that broke before its first word: what a person would do by hand is known at once.
      const plan = best ?? new CutSearch(problem, seed).plan(0);
      resolve({ ...plan, seconds: (Date.now() - began) / 1000 });
    };
    const stop = () => {
      job.say({ say: 'stop' });
      patience ??= setTimeout(() => finish(false), PATIENCE_MS);
    };
    const timer = setTimeout(stop, seconds * 1000);
    job.hear((message) => {
      if (message.say === 'cut') {
        best = message.plan;
        listener.onProgress?.(best);
      }
      if (message.say === 'done') finish(true);
    });
    listener.signal?.addEventListener('abort', stop);
    if (listener.signal?.aborted) stop();
  });
}
