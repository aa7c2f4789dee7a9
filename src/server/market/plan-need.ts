import type { z } from 'zod';
import {
  boxCredit,
  joinAnswers,
  poseProblem,
  priceListSource,
  readPreferences,
  shownMarket,
  wantedElements,
  withShapes,
  type AskedPlan,
  type MarketAnswer,
  type MarketSeller,
} from '@/core/market';
import { type planRequestSchema } from '@/core/market/saved-plan-schema';
import { priceLookup } from '@/core/ledger';
import type { NeedLot } from '@/core/need';
import type { ElementKey } from '@/core/parts';
import { fail, ok, type Result } from '@/core/shared/result';
import type { Handle } from '@/data/database';
import { readById, readRecords } from '@/data/records';
import { MarketFailed } from '@/simulated/market';
import { paletteIn } from '../palette';
import { solveRequest, type SourcingFault } from '../solve-sourcing';
import { patiently } from '../workspace';
import { askMarket } from './ask-market';
import { marketOf, rememberMarket } from './runs';
import type { RunListener } from './stream-run';

export type PlanRequest = z.infer<typeof planRequestSchema>;
/** `market`: the sellers do not answer; `failed`: the threads broke before they had any plan. */
export type PlanFault = SourcingFault | { readonly fault: 'market' | 'failed' };

/** How often sellers are asked before they are said not to answer: networks fail now and then. */
const TRIES = 4;

/** Asks the market and every price list, as one answer; undefined when the sellers do not answer. */
export async function askSellers(
  elements: readonly ElementKey[],
  lists: readonly MarketSeller[],
  signal?: AbortSignal,
): Promise<MarketAnswer | undefined> {
  const listed = await Promise.all(lists.map((l) => priceListSource(l).ask(elements)));
  for (let tries = 0; tries < TRIES && !signal?.aborted; tries++)
    try {
      return joinAnswers(await patiently((handle) => askMarket(handle, elements)), ...listed);
    } catch (error) {
      if (!(error instanceof MarketFailed)) throw error;
    }
  return undefined;
}

/** What an entry does, for the entries that call for some lots. */
function kindsIn({ db }: Handle, lots: readonly NeedLot[]) {
  const ids = [...new Set(lots.flatMap((l) => l.sources.map((s) => s.entry)))];
  return new Map(readById(db, 'entry', ids).map((e) => [e.id, e.kind]));
}

/**
 * Works out who supplies what for a need: the market is asked here, posed as a problem and solved, and only as much of it
 * goes to the page as shows the plan.
 */
export async function planNeed(
  request: PlanRequest,
  { say, ...listener }: RunListener,
): Promise<Result<AskedPlan, PlanFault>> {
  const wish = readPreferences(request.preferences);
  const needed: readonly NeedLot[] = request.lots;
  const { palette, priceOf, kinds } = await patiently((handle) => ({
    palette: paletteIn(handle.db),
    priceOf: priceLookup(readRecords(handle.db, 'price')),
    kinds: wish.shapes ? kindsIn(handle, needed) : new Map<string, never>(),
  }));
  const market =
    (request.like === null ? undefined : marketOf(request.like)) ??
    (await askSellers(wantedElements(needed, palette, wish.shapes), request.lists, listener.signal));
  if (!market) return fail(listener.signal.aborted ? { fault: 'stopped' } : { fault: 'market' });
  rememberMarket(request.like ?? request.run, market);
  say({ asked: market.sellers.length });
  const lots = wish.shapes ? withShapes(needed, market, wish, (id) => kinds.get(id)) : needed;
  const problem = poseProblem(lots, market, wish, priceOf);
  const asked = { problem, options: { seconds: request.seconds, seed: 1 } };
  const solved = await solveRequest(new TextEncoder().encode(JSON.stringify(asked)), listener);
  if (!solved.ok) return solved;
  const plan = solved.value;
  // That nothing is bought, for nothing, is not what the need comes to.
  if (plan.status === 'gaveUp') return fail({ fault: listener.signal.aborted ? 'stopped' : 'failed' });
  return ok({
    run: request.run,
    market: shownMarket(market, plan, wish, lots),
    needed,
    lots,
    plan,
    credit: boxCredit(plan, problem, market),
  });
}
