import { compareScores, type LayOptions, type LayPlan, type LayProblem, type LayScore } from '@/core/fit/lay';
import { fail, ok, type Result } from '@/core/shared/result';
import type { FromThread } from '@/workers/sourcing/messages';
import { Deadline } from './threads/deadline';
import { MOST_THREADS, solverLine, startJob, type Job } from './threads/solver-pool';

/** How far a laying has come. */
export interface LayProgress extends LayScore {
  readonly floor: number | null;
  readonly seconds: number;
  /** Where each piece lies, so that it can be drawn while a better one is looked for. */
  readonly laid: LayPlan['pieces'];
}

export interface LayListener {
  readonly onProgress?: (progress: LayProgress) => void;
  /** Told while others are solved first: the place in the line, from 1. */
  readonly onPlace?: (place: number) => void;
  /** Aborting it ends the laying with the best so far. */
  readonly signal?: AbortSignal;
}

export type LayRunFault = { readonly fault: 'busy' } | { readonly fault: 'stopped' };

const USUAL_SECONDS = 10;
/** A thread that was told to stop may overrun: after this it is ended. */
const PATIENCE_MS = 300;

/**
 * Lays walls or a floor in the threads of the buying plan: one lays windows anew, the other solves the whole and proves it,
 * and each takes up what the other finds. Ends when it is proven, when the time is over, or when it is stopped.
 */
export async function layRequest(
  problem: LayProblem,
  options: LayOptions,
  listener: LayListener = {},
): Promise<Result<LayPlan, LayRunFault>> {
  const leave = await solverLine.enter(listener.signal, listener.onPlace);
  if (!leave) return fail({ fault: listener.signal?.aborted ? 'stopped' : 'busy' });
  try {
    const plan = await new LayRun(problem, options, listener).run();
    return plan ? ok(plan) : fail({ fault: 'stopped' });
  } finally {
    leave();
  }
}

class LayRun {
  private best: { plan: LayPlan; score: LayScore } | null = null;
  private least: { unfilled: number; joints: number; money: number } | null = null;
  private proven = false;
  private jobs: Job[] = [];
  private readonly busy = new Set<Job>();
  private readonly began = Date.now();
  private readonly seconds: number;
  private finish: () => void = () => {};
  private deadline: Deadline | undefined;

  constructor(
    private readonly problem: LayProblem,
    private readonly options: LayOptions,
    private readonly listener: LayListener,
  ) {
    this.seconds = options.seconds ?? (options.iterations ? USUAL_SECONDS * 6 : USUAL_SECONDS);
  }

  /** Null where it was stopped before anything was laid. */
  async run(): Promise<LayPlan | null> {
    const over = new Promise<void>((done) => (this.finish = done));
    const { options, seconds, began, problem } = this;
    const ways =
      options.iterations || MOST_THREADS < 2 ? ['search' as const] : (['search', 'whole'] as const);
    this.jobs = ways.map((way, i) =>
      startJob({
        role: 'lay',
        way,
        problem,
        seconds,
        began,
        seed: (options.seed ?? 1) + i,
        iterations: options.iterations ?? 0,
      }),
    );
    for (const job of this.jobs) {
      this.busy.add(job);
      job.hear((message) => this.hear(job, message));
    }
    const stop = () => this.stop();
    this.deadline = new Deadline(seconds * 1000, stop);
    this.listener.signal?.addEventListener('abort', stop);
    if (this.listener.signal?.aborted) stop();
    await over;
    this.deadline.clear();
    this.listener.signal?.removeEventListener('abort', stop);
    for (const job of this.jobs) job.end(!this.busy.has(job));
    return this.plan();
  }

  private hear(job: Job, message: FromThread): void {
    if (message.say === 'done') this.busy.delete(job);
    const money = this.problem.prefer === 'money';
    if (message.say === 'laid' && (!this.best || compareScores(message.score, this.best.score, money) < 0)) {
      this.best = message;
      for (const other of this.busy) if (other !== job) other.say({ say: 'adopt laid', laid: message.laid });
      this.report();
    }
    if (message.say === 'least money' && message.money > (this.leastNow(message) ?? -1)) {
      this.least = message;
      this.report();
    }
    if (message.say === 'proven') this.proven = true;
    if (this.proven || this.busy.size === 0) this.finish();
  }

  /** What was proven for a number of unfilled cells and joints. */
  private leastNow(at: { unfilled: number; joints: number }): number | null {
    const { least } = this;
    return least && least.unfilled === at.unfilled && least.joints === at.joints ? least.money : null;
  }

  private report(): void {
    if (!this.best) return;
    this.deadline?.found();
    const { score, plan } = this.best;
    this.listener.onProgress?.({
      ...score,
      laid: plan.pieces,
      floor: this.leastNow(score),
      seconds: (Date.now() - this.began) / 1000,
    });
  }

  private stop(): void {
    for (const job of this.busy) job.say({ say: 'stop' });
    setTimeout(() => this.finish(), PATIENCE_MS);
  }

  private plan(): LayPlan | null {
    const seconds = (Date.now() - this.began) / 1000;
    if (!this.best) return null;
    const { plan, score } = this.best;
    const least = this.proven ? score.money : this.leastNow(score);
    return {
      ...plan,
      proven: this.proven,
      seconds,
      ...(least === null ? {} : { floor: { money: Math.min(least, score.money) } }),
    };
  }
}
