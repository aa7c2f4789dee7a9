import type { BuyingPlan, Problem } from '@/core/sourcing';
import { PROBLEM } from '@/core/shared/bounds';
import { fail, ok, type Result } from '@/core/shared/result';
import type { Asked, ReadOptions, RequestFault } from '@/workers/sourcing/messages';
import { passesFor } from '@/workers/sourcing/roles';
import { FoundPlans, type FoundPlan } from './threads/found-plans';
import { NOTHING, Solve, type SourcingListener } from './threads/solve';
import { MOST_THREADS, solverLine, startJob, warmThreads } from './threads/solver-pool';

export type { SourcingListener, SourcingProgress } from './threads/solve';

export type SourcingOptions = ReadOptions;

export type SourcingFault = RequestFault | { readonly fault: 'busy' } | { readonly fault: 'stopped' };

/** How long the reading of a request may take: the largest takes two or three seconds. */
const READ_SECONDS = 30;

/**
 * Solves a buying plan problem in threads beside the server: one reads and checks the request, then one searches, and one
 * tries donor boxes or solves the linear model whole. What one finds the others take up. Ends when it is proven, when the
 * time is over, or when it is stopped; the best plan so far is always kept. Solves wait for one another, so that there
 * are never more threads at work than cores. A problem that was asked before goes on from the best plan it had; one
 * that is solved by a number of steps does not, so that it comes out alike every time.
 */
export async function solveRequest(
  bytes: Uint8Array,
  listener: SourcingListener = {},
  known: FoundPlans = foundBefore,
  threads: (signal?: AbortSignal) => Promise<void> = warmThreads,
): Promise<Result<BuyingPlan, SourcingFault>> {
  const leave = await solverLine.enter(listener.signal, listener.onPlace);
  if (!leave) return fail({ fault: listener.signal?.aborted ? 'stopped' : 'busy' });
  let working: Promise<void> | undefined;
  try {
    const shared = new SharedArrayBuffer(bytes.byteLength);
    new Uint8Array(shared).set(bytes);
    const asked: Asked = { bytes: shared, key: crypto.randomUUID() };
    await threads(listener.signal);
    if (listener.signal?.aborted) return fail({ fault: 'stopped' });
    const began = Date.now();
    const read = await readRequest(asked, listener.signal);
    if (read.fault) return fail(read.fault);
    const print = read.options.iterations ? null : read.print;
    const passes = new Passes(asked, read, began, listener);
    working = passes.released;
    const plan = await passes.run(print === null ? undefined : known.get(print));
    if (print !== null && passes.found) known.keep(print, passes.found);
    return ok(plan);
  } finally {
    // The next in the line goes on when the threads are free, the answer is given before.
    void (working ?? Promise.resolve()).then(leave);
  }
}

const foundBefore = new FoundPlans();

/** The same for a problem that is at hand, as if it had never been asked, by whatever threads there are: for benchmarks and tests. */
export async function solveSourcing(
  problem: Problem,
  options: SourcingOptions = {},
  listener: SourcingListener = {},
): Promise<BuyingPlan> {
  const bytes = new TextEncoder().encode(JSON.stringify({ problem, options }));
  const done = await solveRequest(bytes, listener, new FoundPlans(), async () => {});
  if (!done.ok) throw new Error(JSON.stringify(done.reason));
  return done.value;
}

interface ReadWell {
  readonly fault: null;
  readonly offers: number;
  readonly options: ReadOptions;
  /** The problem in short, its options left out: the same text has the same print. */
  readonly print: string;
}

type ReadAnswer = { readonly fault: SourcingFault } | ReadWell;

function readRequest(asked: Asked, signal: AbortSignal | undefined): Promise<ReadAnswer> {
  return new Promise((finish) => {
    const job = startJob({ role: 'read', ...asked });
    // Where no thread says anything, it is not the request that is wrong.
    let answer: ReadAnswer = { fault: { fault: 'busy' } };
    const end = (done: boolean) => {
      clearTimeout(timer);
      signal?.removeEventListener('abort', gone);
      job.end(done);
      finish(signal?.aborted ? { fault: { fault: 'stopped' } } : answer);
    };
    const gone = () => end(false);
    const timer = setTimeout(gone, READ_SECONDS * 1000);
    signal?.addEventListener('abort', gone);
    job.hear((message) => {
      if (message.say === 'read') answer = message;
      if (message.say === 'done') end(true);
    });
  });
}

/** The solves of one request, one after another, each going on from what the one before had found. */
class Passes {
  found: FoundPlan | null = null;
  private release: () => void = () => {};
  /** Done when the threads of all have been given back. */
  readonly released = new Promise<void>((done) => (this.release = done));

  constructor(
    private readonly asked: Asked,
    private readonly read: ReadWell,
    private readonly began: number,
    private readonly listener: SourcingListener,
  ) {}

  async run(before: FoundPlan | undefined): Promise<BuyingPlan> {
    const { options, offers } = this.read;
    const usual = options.iterations ? PROBLEM.usualSeconds * 6 : PROBLEM.usualSeconds;
    const whole = options.seconds ?? usual;
    const passes = options.iterations ? [1] : passesFor(offers, whole);
    let plan = NOTHING;
    let released = Promise.resolve();
    try {
      for (const [i, share] of passes.entries()) {
        // Never more threads than cores: the next begins when those of the last have ended.
        await released;
        const began = i === 0 ? this.began : Date.now();
        const seconds = share * whole - (began - this.began) / 1000;
        const seed = (options.seed ?? 1) + i * MOST_THREADS;
        const solve = new Solve(this.asked, offers, { ...options, seconds, seed }, began, this.since(began));
        released = solve.released;
        plan = await solve.run(this.found ?? before);
        this.found = solve.found ?? this.found;
        if (plan.status === 'optimal' || this.listener.signal?.aborted) break;
      }
    } finally {
      // Whatever happened, the next in the line is not kept waiting.
      void released.then(this.release);
    }
    return plan;
  }

  /** Who listens is told the time since the request, not since the pass began. */
  private since(began: number): SourcingListener {
    const { onProgress } = this.listener;
    const before = (began - this.began) / 1000;
    return {
      ...this.listener,
      ...(onProgress && { onProgress: (p) => onProgress({ ...p, seconds: p.seconds + before }) }),
    };
  }
}
