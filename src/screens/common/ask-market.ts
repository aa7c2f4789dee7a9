import type { ElementKey } from '@/core/parts';
import type { MarketAnswer } from '@/core/market';

/** Asks up to four times: the network fails now and then. */
export async function askMarket(
  elements: readonly ElementKey[],
  signal: AbortSignal,
): Promise<MarketAnswer | null> {
  for (let tries = 0; tries < 4; tries++)
    try {
      const response = await fetch('/api/market', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ elements }),
        signal,
      });
      const body = (await response.json()) as { ok: boolean; value: MarketAnswer };
      if (body.ok) return body.value;
    } catch {
      if (signal.aborted) return null;
    }
  return null;
}
