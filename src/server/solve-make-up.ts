import {
  compile,
  planOf,
  scoreOf,
  solveBySteps,
  type MakeUpPlan,
  type Problem,
  type Saved,
} from '@/core/make-up';
import { rolesFor } from '@/workers/make-up/roles';
import { startJob } from './make-up-threads';

export interface MakeUpOptions {
  readonly seconds?: number | undefined;
  readonly seed?: number | undefined;
  readonly iterations?: number | undefined;
}

/** How far a solve has come: the best cost and the proven floor close on each other. */
export interface MakeUpProgress {
  readonly cost: number;
  readonly floor: number;
  readonly unmet: number;
  readonly seconds: number;
}

export interface MakeUpWatch {
  readonly onProgress?: (progress: MakeUpProgress) => void;
  /** Aborting it ends the solve with the best plan so far. */
  readonly signal?: AbortSignal;
}

const USUAL_SECONDS = 10;
/** A solver that was told to stop may overrun: after this it is ended with its thread. */
const PATIENCE_MS = 250;
/**
 * Solves a make-up problem in threads beside the server: one searches, one tries donor boxes or solves the programme
 * whole. What one finds the others take up. Ends when it is proven, when the time is over, or when it is stopped; the
 * best plan so far is always kept.
 */
export async function solveMakeUp(
  problem: Problem,
  options: MakeUpOptions = {},
  watch: MakeUpWatch = {},
): Promise<MakeUpPlan> {
  const seed = options.seed ?? 1;
  if (options.iterations) return solveBySteps(problem, seed, options.iterations);
  const seconds = options.seconds ?? USUAL_SECONDS;
  const began = Date.now();
  const compiled = compile(problem);
  let best: Saved | null = null;
  let byHand: MakeUpPlan['byHand'] = { cheapestEach: 0, fewestSellers: 0 };
  let floor = 0;
  let proven = false;
  const report = () => {
    if (best)
      watch.onProgress?.({
        cost: Math.round(best.cost),
        floor: Math.min(floor, Math.round(best.cost)),
        unmet: best.unmet,
        seconds: (Date.now() - began) / 1000,
      });
  };
  await new Promise<void>((finish) => {
    const jobs = rolesFor(compiled.offers, seconds).map((role, i) =>
      startJob({ role, compiled, seconds, began, seed: seed + i }),
    );
    const busy = new Set(jobs);
    let ended = false;
    const end = () => {
      if (ended) return;
      ended = true;
      clearTimeout(timer);
      watch.signal?.removeEventListener('abort', stop);
      finish();
      // Those still at work are told to stop, and have a moment to say that they have.
      busy.forEach((j) => j.say({ say: 'stop' }));
      setTimeout(() => jobs.forEach((j) => j.end(!busy.has(j))), busy.size > 0 ? PATIENCE_MS : 0);
    };
    const stop = () => {
      busy.forEach((j) => j.say({ say: 'stop' }));
      setTimeout(end, best ? 60 : PATIENCE_MS);
    };
    const closes = () => best !== null && best.unmet === 0 && floor >= Math.round(best.cost);
    const timer = setTimeout(end, seconds * 1000 + PATIENCE_MS);
    watch.signal?.addEventListener('abort', stop);
    for (const job of jobs)
      job.hear((message) => {
        if (message.say === 'done') busy.delete(job);
        if (ended) return;
        if (message.say === 'better' && (!best || scoreOf(message.saved) < scoreOf(best))) {
          best = message.saved;
          byHand = message.byHand;
          for (const other of busy) if (other !== job) other.say({ say: 'adopt', saved: best });
          report();
        }
        if (message.say === 'floor' && message.floor > floor) {
          floor = message.floor;
          report();
        }
        if (message.say === 'proven') proven = true;
        if (proven || closes() || busy.size === 0) end();
      });
    if (watch.signal?.aborted) stop();
  });
  if (!best) return solveBySteps(problem, seed, 1);
  return finished(planOf(compiled, problem, best, { status: 'bestSoFar', floor: 0, byHand }), floor, proven);
}

/** The plan with the floor that was proven for it, and the word for how the solve ended. */
function finished(plan: MakeUpPlan, floor: number, proven: boolean): MakeUpPlan {
  const closed = plan.unmet.length === 0 && (proven || floor >= plan.cost);
  return {
    ...plan,
    status: closed ? 'optimal' : 'bestSoFar',
    floor: closed ? plan.cost : Math.min(plan.cost, Math.max(plan.floor, floor)),
  };
}
