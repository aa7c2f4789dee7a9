import { availability, type Register } from '../audit';
import type { Watch } from '../ledger';
import type { MarketAnswer } from './market';
import type { Minor } from '../shared/money';

/** A watched part, and who has it now. */
export interface Watched {
  readonly watch: Watch;
  /** As the register knows it. */
  readonly made: 'made' | 'retired' | 'never';
  readonly pieces: number;
  readonly price: Minor | null;
  readonly seller: string | null;
  /** True when a seller has all that is wanted. */
  readonly isHad: boolean;
}

/** What the register and the sellers say of watched parts; those that can be had first. `market` null = it was not reached. */
export function watchedNow(
  watches: readonly Watch[],
  register: Register,
  market: MarketAnswer | null,
  year: number,
): Watched[] {
  return watches
    .map((watch): Watched => {
      const offers = (market?.sellers ?? []).flatMap((s) =>
        s.offers.filter((o) => o.element === watch.element).map((o) => ({ o, s })),
      );
      const pieces = offers.reduce((n, { o }) => n + o.stock, 0);
      const cheapest = [...offers].sort((a, b) => a.o.price - b.o.price)[0];
      return {
        watch,
        made: availability(register.look(watch.element), year),
        pieces,
        price: cheapest?.o.price ?? null,
        seller: cheapest?.s.name ?? null,
        isHad: pieces >= watch.qty,
      };
    })
    .sort((a, b) => Number(b.isHad) - Number(a.isHad) || b.pieces - a.pieces);
}
