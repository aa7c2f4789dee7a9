import type { BuyingPlan } from '@/core/sourcing';
import type { Asked, FromThread, ReadOptions, Role } from '@/workers/sourcing/messages';
import { rolesFor } from '@/workers/sourcing/roles';
import { Deadline } from './deadline';
import { isBetterPlan, type FoundPlan } from './found-plans';
import { MOST_THREADS, startJob, type Job } from './solver-pool';

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

/** A solver that was told to stop may overrun: after this it is ended with its thread. */
const PATIENCE_MS = 250;

/** One solve: its threads, what they have found, and how it ends. */
export class Solve {
  private best: Omit<FoundPlan, 'floor'> | null = null;
  private floor = 0;
  private proven = false;
  private ended = false;
  private finish: () => void = () => {};
  private jobs: Job[] = [];
  private busy = new Set<Job>();
  private deadline: Deadline | undefined;
  private readonly seconds: number;
  private release: () => void = () => {};
  /** Done when its threads have been given back. */
  readonly released = new Promise<void>((done) => (this.release = done));

  constructor(
    private readonly asked: Asked,
    private readonly offers: number,
    private readonly options: ReadOptions & { readonly seconds: number },
    private readonly began: number,
    private readonly listener: SourcingListener,
  ) {
    this.seconds = options.seconds;
  }

  /** Its best plan with the floor, for the next who asks: what was proven need not be proven again. */
  get found(): FoundPlan | null {
    return this.best && { ...this.best, floor: this.isProven ? this.best.plan.cost : this.floor };
  }

  /** @param before  what an earlier solve of the same problem had found */
  async run(before: FoundPlan | undefined): Promise<BuyingPlan> {
    const over = new Promise<void>((finish) => (this.finish = finish));
    const left = this.began + this.seconds * 1000 - Date.now();
    this.deadline = new Deadline(Math.max(0, left) + PATIENCE_MS, this.end);
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
    this.deadline?.found();
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
    this.deadline?.clear();
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
export const NOTHING: BuyingPlan = {
  schema: 'makeup-plan/1',
  status: 'gaveUp',
  cost: 0,
  floor: 0,
  unmet: [],
  buys: [],
  donors: [],
  byHand: { cheapestEach: 0, fewestSellers: 0 },
};
