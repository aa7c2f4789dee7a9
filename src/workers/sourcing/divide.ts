import { divisionModel, NEAR, narrowed, type Compiled, type Saved } from '@/core/sourcing';
import { highs, solveExactly, solveRelaxed } from './exact';
import type { Job } from './job';

/** Good enough: dividing to the last penny takes several times as long. */
const GAP = 1e-3;
/** What ending takes longer than it is given, in seconds. */
const OVERRUN = 0.08;

export interface DividingOptions {
  /** Seconds that are left for it. */
  readonly left: () => number;
  /** Told every better plan; what it costs is not worked out. */
  readonly onBetter: (plan: Saved) => void;
  readonly isStopped?: () => boolean;
  /** Postage bands below and above its own that each parcel may have; none when left out. */
  readonly beside?: number;
}

/** Divides the pieces of a plan among its parcels anew, sellers as they are and postage bands nearly so. Blocks its thread. */
export function dividedAnew(
  solver: Awaited<ReturnType<typeof highs>>,
  c: Compiled,
  plan: Saved,
  { left, onBetter, isStopped = () => false, beside = 0 }: DividingOptions,
): void {
  const model = divisionModel(c, plan, beside);
  const start = model.encode(plan);
  const relaxed = start && solveRelaxed(solver, model.linearModel, left());
  if (!relaxed || left() <= 0) return;
  const take = (values: Float64Array): void => onBetter(model.decode(values));
  const near = beside > 0 ? NEAR.free : NEAR.held;
  const answer = solveExactly(solver, narrowed(model.linearModel, start, relaxed, near), {
    start,
    seconds: left(),
    gap: GAP,
    quick: true,
    onBetter: take,
    onBound: isStopped,
  });
  if (answer.values) take(answer.values);
}

/** Divides a plan's parcels anew, and takes the result up where it is better than the best. */
export async function divide(job: Job, plan: Saved, seconds: number, beside = 0): Promise<void> {
  const until = Math.min(seconds, job.left - OVERRUN) + job.elapsed;
  const left = (): number => until - job.elapsed;
  if (job.over || left() <= 0) return;
  dividedAnew(await highs(), job.compiled, plan, {
    left,
    beside,
    onBetter: (found) => {
      if (job.solver.adoptExactly(found)) job.tellBest();
    },
    isStopped: () => {
      job.hear();
      return job.stopped;
    },
  });
}

/** How warm a search begins again, as a share of its time; for how many steps; and for how little time it does not. */
const WANDER = { from: 0.4, steps: 250, least: 0.15 };

/** Wanders from the best plan and divides what it comes to, again and again. */
export async function wanderAndDivide(job: Job, until: number): Promise<void> {
  const left = (): number => Math.min(until, job.task.seconds) - job.elapsed;
  const isOver = (): boolean => {
    job.hear();
    return job.over || left() <= 0;
  };
  while (!job.over && left() > WANDER.least) {
    job.listen();
    const found = job.solver.wander(WANDER.from, WANDER.steps, isOver);
    job.tellBest();
    await divide(job, found, left());
  }
}
