import type { BuyingPlan } from '@/core/sourcing';

/** Runs whose plans are kept for a page that comes back. */
const MOST = 20;

/** Kept by the process: every route is bundled apart. */
const kept = globalThis as { evarnFinishedRuns?: Map<string, BuyingPlan> };
const plans = (kept.evarnFinishedRuns ??= new Map());

/** Keeps what a run ended with, should its page have gone meanwhile; the oldest makes room. */
export function keepFinished(run: string, plan: BuyingPlan): void {
  plans.set(run, plan);
  const oldest = plans.keys().next().value;
  if (plans.size > MOST && oldest !== undefined) plans.delete(oldest);
}

/** The plan a run ended with, if that is not too long ago. */
export const finishedPlan = (run: string): BuyingPlan | undefined => plans.get(run);
