import type { z } from 'zod';
import {
  boxCredit,
  inPlaceOf,
  poseProblem,
  readPreferences,
  reasonOf,
  reasonsToAsk,
  shownMarket,
  type PlanReason,
} from '@/core/market';
import { type reasonsRequestSchema } from '@/core/market/saved-plan-schema';
import { priceLookup } from '@/core/ledger';
import type { NeedLot } from '@/core/need';
import { fail, ok, type Result } from '@/core/shared/result';
import type { BuyingPlan } from '@/core/sourcing';
import { readRecords } from '@/data/records';
import { solveRequest, type SourcingFault } from '../solve-sourcing';
import { patiently } from '../workspace';
import { betterOf, marketOf, rememberBetter } from './runs';
import type { RunListener } from './stream-run';

/** `forgotten`: the market that the plan was made on is not kept any more. */
export type ReasonsFault = { readonly fault: 'forgotten' | 'busy' | 'failed' };

/**
 * Says why a plan is as it is: each question is solved on the market that the plan was made on, and told as soon as it is
 * answered. Stopped, it ends with those that it has.
 */
export async function planReasons(
  request: z.infer<typeof reasonsRequestSchema>,
  { say, signal }: Pick<RunListener, 'say' | 'signal'>,
): Promise<Result<readonly PlanReason[], ReasonsFault>> {
  const market = marketOf(request.like);
  if (!market) return fail({ fault: 'forgotten' });
  const priceOf = await patiently((handle) => priceLookup(readRecords(handle.db, 'price')));
  const plan: BuyingPlan = request.plan;
  const lots: readonly NeedLot[] = request.lots;
  const wish = readPreferences(request.preferences);
  const asked = reasonsToAsk(plan, market, lots, wish);
  const reasons: PlanReason[] = [];
  say({ questions: asked.length });
  for (const one of asked) {
    if (signal.aborted) break;
    const problem = poseProblem(one.lots, market, one.preferences, priceOf);
    const bytes = new TextEncoder().encode(
      JSON.stringify({ problem, options: { seconds: request.seconds, seed: 1 } }),
    );
    const solved = await solveRequest(bytes, { signal });
    if (!solved.ok) {
      const fault = faultOf(solved.reason);
      if (fault === 'stopped') break;
      return fail({ fault });
    }
    // One that was stopped half way says nothing that can be relied on.
    if (signal.aborted) break;
    if (solved.value.status === 'gaveUp') return fail({ fault: 'failed' });
    const reason = reasonOf(plan, one, solved.value);
    if (reason.better && isBest(request.like, solved.value))
      rememberBetter(request.like, {
        plan: inPlaceOf(plan, solved.value),
        market: shownMarket(market, solved.value, wish, lots),
        credit: boxCredit(solved.value, problem, market),
      });
    reasons.push(reason);
    say({ reason });
  }
  return ok(reasons);
}

const lacks = (p: BuyingPlan): number => p.unmet.reduce((s, u) => s + u.qty, 0);

/** Whether a plan is better than what was found in a run's place before: it lacks less, or as much for less money. */
function isBest(run: string, plan: BuyingPlan): boolean {
  const before = betterOf(run)?.plan;
  if (!before) return true;
  return lacks(plan) < lacks(before) || (lacks(plan) === lacks(before) && plan.cost < before.cost);
}

/** A question is posed by this program: what is wrong with it is a failure of ours. */
const faultOf = (reason: SourcingFault): 'busy' | 'stopped' | 'failed' =>
  'fault' in reason && (reason.fault === 'busy' || reason.fault === 'stopped') ? reason.fault : 'failed';
