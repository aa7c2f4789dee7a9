import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { scoreOf, solveBySteps, type MakeUpPlan, type Problem, type Saved } from '@/core/make-up';
import type { FromThread, Role, ToThread } from '@/workers/make-up/messages';

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
/** From so many offers up the whole programme is out of reach, and donor boxes are tried instead. */
const LARGE = 8000;
/** Below so many the whole programme is solved in a moment, and a second thread would only slow it. */
const SMALL = 600;

const FILE = path.join(/* turbopackIgnore: true */ process.cwd(), '.workers', 'make-up.mjs');

let runs = 0;

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
  const began = performance.now();
  const offers = problem.sellers.reduce((s, x) => s + x.offers.length, 0);
  const large: Role[] = seconds < 3 ? ['search'] : ['search', 'trial'];
  const few: Role[] = offers < SMALL ? ['whole'] : ['whole', 'search'];
  const roles = offers > LARGE ? large : few;
  const wall = Date.now();
  const run = ++runs;
  let best: Saved | null = null;
  let plan: MakeUpPlan | null = null;
  let floor = 0;
  let proven = false;
  const report = () => {
    if (best)
      watch.onProgress?.({
        cost: Math.round(best.cost),
        floor: Math.min(floor, Math.round(best.cost)),
        unmet: best.unmet,
        seconds: (performance.now() - began) / 1000,
      });
  };
  await new Promise<void>((finish) => {
    const threads = roles.map(() => new Worker(FILE, { execArgv: [] }));
    const busy = new Set(threads);
    const say = (message: ToThread, to: Iterable<Worker> = busy) => {
      for (const t of to) t.postMessage(message);
    };
    const end = () => {
      clearTimeout(timer);
      watch.signal?.removeEventListener('abort', stop);
      for (const t of threads) {
        t.removeAllListeners('message');
        void t.terminate();
      }
      finish();
    };
    const stop = () => {
      say({ say: 'stop', run });
      setTimeout(end, best ? 60 : PATIENCE_MS);
    };
    const closes = () => best !== null && best.unmet === 0 && floor >= Math.round(best.cost);
    const timer = setTimeout(end, seconds * 1000 + PATIENCE_MS);
    watch.signal?.addEventListener('abort', stop);
    for (const thread of threads) {
      thread.on('message', (message: FromThread) => {
        if (message.run !== run) return;
        if (message.say === 'better' && (!best || scoreOf(message.saved) < scoreOf(best))) {
          best = message.saved;
          plan = message.plan;
          say(
            { say: 'adopt', run, saved: best },
            [...busy].filter((t) => t !== thread),
          );
          report();
        }
        if (message.say === 'floor' && message.floor > floor) {
          floor = message.floor;
          report();
        }
        if (message.say === 'proven') proven = true;
        if (message.say === 'done') busy.delete(thread);
        if (proven || closes() || busy.size === 0) end();
      });
      // A thread that breaks takes nothing with it: the others go on, and what it found is kept.
      thread.on('error', () => {
        busy.delete(thread);
        if (busy.size === 0) end();
      });
    }
    threads.forEach((t, i) =>
      t.postMessage({
        say: 'solve',
        run,
        role: roles[i]!,
        problem,
        seconds,
        began: wall,
        seed: seed + i,
      } satisfies ToThread),
    );
    if (watch.signal?.aborted) stop();
  });
  return plan ? finished(plan, floor, proven) : solveBySteps(problem, seed, 1);
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
