import { chanceWithin, type MarketAnswer, type MarketBox, type MarketSeller, type Post } from './market';
import type { Preferences } from './preferences';
import { boxId } from './problem-ids';

/** Whether what is ordered comes in time, with the chance that is asked. */
export const inTime = (post: Post, p: Preferences): boolean =>
  p.within === null || chanceWithin(post, p.within) >= p.chance;

/** Whether a seller may be bought of at all: not shut out, and genuine where that is asked. */
export const isOpen = (s: Pick<MarketSeller, 'id' | 'genuine'>, p: Preferences): boolean =>
  !p.never.has(s.id) && (s.genuine || !p.genuine);

/** Sellers that may be used: open, and quick enough. */
export const allowedSellers = (market: MarketAnswer, p: Preferences): MarketSeller[] =>
  market.sellers.filter((s) => isOpen(s, p) && inTime(s, p));

/** Why a box may not be bought: it is left out, its seller is not open, or it would not be there in time. Undefined = it may. */
export function boxRefused(
  box: MarketBox,
  market: Pick<MarketAnswer, 'sellers'>,
  p: Preferences,
): 'left out' | 'shut out' | 'late' | undefined {
  if (p.leaveOut.has(boxId(box))) return 'left out';
  const seller = market.sellers.find((s) => s.name === box.seller);
  if (seller && !isOpen(seller, p)) return 'shut out';
  return inTime(box, p) ? undefined : 'late';
}
