import type { BuyingPlan, Problem } from '@/core/sourcing';
import { PROBLEM } from '@/core/shared/bounds';
import { fail, ok, type Result } from '@/core/shared/result';
import type { Asked, FromThread, ReadOptions, RequestFault, Role } from '@/workers/sourcing/messages';
import { rolesFor } from '@/workers/sourcing/roles';
import { FoundPlans, isBetterPlan, type FoundPlan } from './threads/found-plans';
import { MOST_THREADS, solverLine, startJob, type Job } from './threads/solver-pool';

export type SourcingOptions = ReadOptions;

/** How far a solve has come: the best cost and the proven floor close on each other. */
export interface SourcingProgress {
  readonly cost: number;
  readonly floor: number;
  readonly unmet: number;
  readonly seconds: number;
}

export interface SourcingListener {
  readonly onProgress?: (progress: SourcingProgress) => void;
  /** Told while others are solved first: the place in the line, from 1. */
  readonly onPlace?: (place: number) => void;
  /** Aborting it ends the solve with the best plan so far. */
  readonly signal?: AbortSignal;
}

export type SourcingFault = RequestFault | { readonly fault: 'busy' } | { readonly fault: 'stopped' };

/** A solver that was told to stop may overrun: after this it is ended with its thread. */
const PATIENCE_MS = 250;
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
): Promise<Result<BuyingPlan, SourcingFault>> {
  const leave = await solverLine.enter(listener.signal, listener.onPlace);
  if (!leave) return fail({ fault: listener.signal?.aborted ? 'stopped' : 'busy' });
  let working: Promise<void> | undefined;
  try {
    const shared = new SharedArrayBuffer(bytes.byteLength);
    new Uint8Array(shared).set(bytes);
    const asked: Asked = { bytes: shared, key: crypto.randomUUID() };
    const began = Date.now();
    const read = await readRequest(asked, listener.signal);
    if (read.fault) return fail(read.fault);
    const print = read.options.iterations ? null : read.print;
    const solve = new Solve(asked, read.offers, read.options, began, listener);
    working = solve.released;
    const plan = await solve.run(print === null ? undefined : known.get(print));
    if (print !== null && solve.found) known.keep(print, solve.found);
    return ok(plan);
  } finally {
    // The next in the line goes on when the threads are free, the answer is given before.
    void (working ?? Promise.resolve()).then(leave);
  }
}

const foundBefore = new FoundPlans();

/** The same for a problem that is at hand, as if it had never been asked: for benchmarks and tests. */
export async function solveSourcing(
  problem: Problem,
  options: SourcingOptions = {},
  listener: SourcingListener = {},
): Promise<BuyingPlan> {
  const bytes = new TextEncoder().encode(JSON.stringify({ problem, options }));
  const done = await solveRequest(bytes, listener, new FoundPlans());
  if (!done.ok) throw new Error(JSON.stringify(done.reason));
  return done.value;
}

type ReadAnswer =
  | { readonly fault: SourcingFault }
  | {
      readonly fault: null;
      readonly offers: number;
      readonly options: ReadOptions;
      /** The problem in short, its options left out: the same text has the same print. */
      readonly print: string;
    };

function readRequest(asked: Asked, signal: AbortSignal | undefined): Promise<ReadAnswer> {
  return new Promise((finish) => {
    const job = startJob({ role: 'read', ...asked });
    let answer: ReadAnswer = { fault: { refused: 'not json' } };
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

/** One solve: its threads, what they have found, and how it ends. */
class Solve {
  private best: Omit<FoundPlan, 'floor'> | null = null;
  private floor = 0;
  private proven = false;
  private ended = false;
  private finish: () => void = () => {};
  private jobs: Job[] = [];
  private busy = new Set<Job>();
  private timer: NodeJS.Timeout | undefined;
  private readonly seconds: number;
  private release: () => void = () => {};
  /** Done when its threads have been given back. */
  readonly released = new Promise<void>((done) => (this.release = done));

  constructor(
    private readonly asked: Asked,
    private readonly offers: number,
    private readonly options: ReadOptions,
    private readonly began: number,
    private readonly listener: SourcingListener,
  ) {
    const usual = options.iterations ? PROBLEM.usualSeconds * 6 : PROBLEM.usualSeconds;
    this.seconds = options.seconds ?? usual;
  }

  /** Its best plan with the floor, for the next who asks: what was proven need not be proven again. */
  get found(): FoundPlan | null {
    return this.best && { ...this.best, floor: this.isProven ? this.best.plan.cost : this.floor };
  }

  /** @param before  what an earlier solve of the same problem had found */
  async run(before: FoundPlan | undefined): Promise<BuyingPlan> {
    const over = new Promise<void>((finish) => (this.finish = finish));
    const left = this.began + this.seconds * 1000 - Date.now();
    this.timer = setTimeout(this.end, Math.max(0, left) + PATIENCE_MS);
    this.listener.signal?.addEventListener('abort', this.stop);
    this.jobs = this.roles().map((role, i) => this.startRole(role, i));
    this.busy = new Set(this.jobs);
    for (const job of this.jobs) job.hear((message) => this.hear(job, message));
    if (before) this.goOnFrom(before);
    if (this.listener.signal?.aborted) this.stop();
    await over;
    return this.plan();
  }

  private goOnFrom(before: FoundPlan): void {
    this.best = before;
    this.floor = before.floor;
    for (const job of this.busy) job.say({ say: 'adopt', saved: before.saved });
    this.report();
    if (this.isProven) this.end();
  }

  private roles(): readonly Role[] {
    if (this.options.iterations) return ['steps'];
    return rolesFor(this.offers, this.seconds).slice(0, MOST_THREADS);
  }

  private startRole(role: Role, i: number): Job {
    const { asked, seconds, began, options } = this;
    const seed = (options.seed ?? 1) + i;
    return startJob({ role, ...asked, seconds, began, seed, iterations: options.iterations ?? 0 });
  }

  private hear(job: Job, message: FromThread): void {
    if (message.say === 'done') this.busy.delete(job);
    if (this.ended) return;
    if (message.say === 'better' && (!this.best || isBetterPlan(message, this.best))) {
      this.best = message;
      for (const other of this.busy) if (other !== job) other.say({ say: 'adopt', saved: message.saved });
      this.report();
    }
    if (message.say === 'floor' && message.floor > this.floor) {
      this.floor = message.floor;
      this.report();
    }
    if (message.say === 'proven') this.proven = true;
    if (this.proven || this.isProven || this.busy.size === 0) this.end();
  }

  /** Whether no plan can be better than the best: none meets more, and none that meets as much is cheaper. */
  private get isProven(): boolean {
    const { best } = this;
    return best !== null && best.whole && (this.proven || this.floor >= best.plan.cost);
  }

  private report(): void {
    if (!this.best) return;
    this.listener.onProgress?.({
      cost: this.best.plan.cost,
      floor: Math.min(this.floor, this.best.plan.cost),
      unmet: this.best.saved.unmet,
      seconds: (Date.now() - this.began) / 1000,
    });
  }

  private readonly stop = (): void => {
    this.busy.forEach((j) => j.say({ say: 'stop' }));
    setTimeout(this.end, this.best ? 60 : PATIENCE_MS);
  };

  /** Threads still at work are told to stop, and have a moment to say that they have. */
  private readonly end = (): void => {
    if (this.ended) return;
    this.ended = true;
    clearTimeout(this.timer);
    this.listener.signal?.removeEventListener('abort', this.stop);
    this.busy.forEach((j) => j.say({ say: 'stop' }));
    this.finish();
    setTimeout(
      () => {
        this.jobs.forEach((j) => j.end(!this.busy.has(j)));
        this.release();
      },
      this.busy.size > 0 ? PATIENCE_MS : 0,
    );
  };

  /** The best plan, with the floor that was proven for it and the word for how the solve ended. */
  private plan(): BuyingPlan {
    if (!this.best) return NOTHING;
    const { plan } = this.best;
    const closed = this.isProven;
    const floor = closed ? plan.cost : Math.min(plan.cost, Math.max(plan.floor, this.floor));
    return { ...plan, status: closed ? 'optimal' : 'bestSoFar', floor };
  }
}

/** What there is to say when the time was over before any plan was made: it was given up, and nothing is bought. */
const NOTHING: BuyingPlan = {
  schema: 'makeup-plan/1',
  status: 'gaveUp',
  cost: 0,
  floor: 0,
  unmet: [],
  buys: [],
  donors: [],
  byHand: { cheapestEach: 0, fewestSellers: 0 },
};
