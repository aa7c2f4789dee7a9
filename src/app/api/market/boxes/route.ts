import { answer, route } from '@/server/http';
import { boxesForSale } from '@/server/market/ask-market';
import { patiently } from '@/server/workspace';

/** What one more copy of a set costs, by the set's code, as far as somebody sells it: `?codes=A,B`. */
export const GET = route(async (request) => {
  const codes = new Set((new URL(request.url).searchParams.get('codes') ?? '').split(','));
  const prices: Record<string, number> = {};
  for (const b of (await patiently(boxesForSale)).filter((x) => codes.has(x.code)))
    prices[b.code] = Math.min(b.price, prices[b.code] ?? Infinity);
  return answer(prices);
});
