import { receiveMessageOnPort } from 'node:worker_threads';
import type { Problem } from '@/core/sourcing';
import { byHandOf, handPlans, type HandPlans } from '@/core/sourcing/by-hand';
import type { Compiled } from '@/core/sourcing/compile';
import { planOf } from '@/core/sourcing/plan';
import { Solver } from '@/core/sourcing/solver';
import { scoreOf, type Saved } from '@/core/sourcing/state';
import type { FromThread, Task, ToThread } from './messages';
import { problemOf } from './read-request';
import { floorFor } from './roles';

/** One task: its clock, what other threads found meanwhile, and what was told last. */
export class Job {
  readonly solver: Solver;
  stopped = false;
  private told = Infinity;
  private sentBound = -Infinity;
  /** The best plan from elsewhere that has not been taken up. */
  private waiting: Saved | null = null;
  readonly compiled: Compiled;
  private readonly problem: Problem;

  constructor(readonly task: Task) {
    const { compiled, problem } = problemOf(task);
    [this.compiled, this.problem] = [compiled, problem];
    const hand = handPlans(compiled);
    this.tellFirst(hand);
    const { seed, seconds, role } = task;
    const floor = floorFor(role, compiled.offers, seconds);
    // By steps nothing is timed, so that they come out alike everywhere.
    const isTimed = role !== 'steps';
    const options = {
      seed,
      trialDonors: role === 'trial',
      boundSteps: isTimed ? floor.steps : Math.min(600, Math.ceil(task.iterations / 10)),
      boundTime: isTimed ? { now: () => performance.now() / 1000, seconds: floor.seconds } : undefined,
    };
    this.solver = new Solver(compiled, options, hand);
    this.tellBest();
  }

  /** A plan at once: should the time be over before the search has begun, there is one to give. */
  private tellFirst(hand: HandPlans): void {
    if (this.task.role === 'floor') return;
    const first = (hand.each.score <= hand.fewest.score ? hand.each : hand.fewest).save();
    const byHand = byHandOf(hand);
    const plan = planOf(this.compiled, this.problem, first, { status: 'bestSoFar', floor: 0, byHand });
    this.tell({ say: 'better', saved: first, plan, whole: false });
  }

  tell(message: FromThread): void {
    this.task.port.postMessage(message);
  }

  get elapsed(): number {
    return (Date.now() - this.task.began) / 1000;
  }

  get left(): number {
    return this.task.seconds - this.elapsed;
  }

  get over(): boolean {
    return this.stopped || this.left <= 0;
  }

  /** Reads what came in: plans from elsewhere, which wait to be taken up, or the word to stop. */
  hear(): void {
    for (;;) {
      const got = receiveMessageOnPort(this.task.port) as { message: ToThread } | undefined;
      if (!got) return;
      const { message } = got;
      if (message.say === 'stop') this.stopped = true;
      if (message.say !== 'adopt') continue;
      if (!this.waiting || scoreOf(message.saved) < scoreOf(this.waiting)) this.waiting = message.saved;
    }
  }

  /** Reads what came in, and goes on from a plan from elsewhere that is better; false where there is none. */
  listen(): boolean {
    this.hear();
    const isBetter = this.waiting !== null && this.solver.adopt(this.waiting);
    if (isBetter) this.told = scoreOf(this.solver.best);
    this.waiting = null;
    return isBetter;
  }

  tellBest(): void {
    const { best } = this.solver;
    if (scoreOf(best) < this.told - 1e-9) {
      this.told = scoreOf(best);
      const plan = this.solver.plan(this.problem, 'bestSoFar');
      this.tell({ say: 'better', saved: best, plan, whole: this.solver.leavesLeast });
    }
    this.sendBound(this.solver.floor);
  }

  /** Tells that no plan leaves fewer pieces unmet than the best one, or costs less with as many. */
  tellProven(): void {
    const plan = this.solver.plan(this.problem, 'optimal');
    this.tell({ say: 'better', saved: this.solver.best, plan, whole: true });
    this.tell({ say: 'proven' });
  }

  sendBound(floor: number): void {
    if (!Number.isFinite(floor) || floor <= this.sentBound) return;
    this.sentBound = floor;
    this.tell({ say: 'floor', floor });
  }
}
