import type { MarketAnswer } from '@/core/market';

/** Markets that are remembered for their runs: a chart of the same question asks nobody again. */
const MOST = 8;

/** Kept by the process: every route is bundled apart. */
const kept = globalThis as {
  evarnRunning?: Map<string, AbortController>;
  evarnMarkets?: Map<string, MarketAnswer>;
};

/** Solves that are on, by the name that whoever asked gave them. */
export const running = (kept.evarnRunning ??= new Map<string, AbortController>());
const markets = (kept.evarnMarkets ??= new Map<string, MarketAnswer>());

/** Remembers the market that a run was solved on; the oldest makes room. */
export function rememberMarket(run: string, market: MarketAnswer): void {
  markets.delete(run);
  markets.set(run, market);
  const oldest = markets.keys().next().value;
  if (markets.size > MOST && oldest !== undefined) markets.delete(oldest);
}

/** The market of a run, if that is not too long ago. */
export const marketOf = (run: string): MarketAnswer | undefined => markets.get(run);
