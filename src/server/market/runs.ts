import type { AskedPlan, MarketAnswer } from '@/core/market';
import type { BuyingPlan } from '@/core/sourcing';

/** Markets that are remembered for their runs: a chart of the same question asks nobody again. */
const MOST = 8;

/** A plan in place of one that was answered, with what shows it. */
export type BetterPlan = Pick<AskedPlan, 'market' | 'credit'> & { readonly plan: BuyingPlan };

/** Kept by the process: every route is bundled apart. */
const kept = globalThis as {
  evarnRunning?: Map<string, AbortController>;
  evarnMarkets?: Map<string, MarketAnswer>;
  evarnBetter?: Map<string, BetterPlan>;
};

/** Solves that are on, by the name that whoever asked gave them. */
export const running = (kept.evarnRunning ??= new Map<string, AbortController>());
const markets = (kept.evarnMarkets ??= new Map<string, MarketAnswer>());
const better = (kept.evarnBetter ??= new Map<string, BetterPlan>());

/** Keeps something for a run; the oldest makes room. */
function remember<T>(of: Map<string, T>, run: string, what: T): void {
  of.delete(run);
  of.set(run, what);
  const oldest = of.keys().next().value;
  if (of.size > MOST && oldest !== undefined) of.delete(oldest);
}

/** Remembers the market that a run was solved on. */
export const rememberMarket = (run: string, market: MarketAnswer): void => remember(markets, run, market);

/** The market of a run, if that is not too long ago. */
export const marketOf = (run: string): MarketAnswer | undefined => markets.get(run);

/** Remembers a plan that is better than the one that a run ended with, so that it can be taken in its place. */
export const rememberBetter = (run: string, plan: BetterPlan): void => remember(better, run, plan);

export const betterOf = (run: string): BetterPlan | undefined => better.get(run);
