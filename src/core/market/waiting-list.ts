import { availability, type Register } from '../mismatch';
import { added, removed, type Command, type Source, type WaitingPart } from '../ledger';
import { elementName, type ElementKey } from '../parts';
import { asId, type WaitingId } from '../shared/ids';
import type { MarketAnswer } from './market';
import type { Minor } from '../shared/money';

/** A waited for part, and who has it now. */
export interface NowAvailable {
  readonly waiting: WaitingPart;
  /** As the register knows it. */
  readonly made: 'made' | 'retired' | 'never';
  readonly pieces: number;
  readonly price: Minor | null;
  readonly seller: string | null;
  /** True when a seller has all that is wanted. */
  readonly isHad: boolean;
}

/** What the register and the sellers say of the parts that are waited for; those that can be had first. `market` null = it was not reached. */
export function nowAvailable(
  waitingParts: readonly WaitingPart[],
  register: Register,
  market: MarketAnswer | null,
  year: number,
): NowAvailable[] {
  return waitingParts
    .map((waiting): NowAvailable => {
      const offers = (market?.sellers ?? []).flatMap((s) =>
        s.offers.filter((o) => o.element === waiting.element).map((o) => ({ o, s })),
      );
      const pieces = offers.reduce((n, { o }) => n + o.stock, 0);
      const cheapest = [...offers].sort((a, b) => a.o.price - b.o.price)[0];
      return {
        waiting,
        made: availability(register.look(waiting.element), year),
        pieces,
        price: cheapest?.o.price ?? null,
        seller: cheapest?.s.name ?? null,
        isHad: pieces >= waiting.qty,
      };
    })
    .sort((a, b) => Number(b.isHad) - Number(a.isHad) || b.pieces - a.pieces);
}

/** Waits for a part in a colour that nobody has yet. */
export function waitFor(element: ElementKey, qty: number, source: Source): Command {
  const waiting: WaitingPart = {
    id: asId<WaitingId>(source.newId()),
    element,
    qty,
    note: '',
    at: source.now,
  };
  return { label: `wait for ${elementName(element)}`, diff: added('waiting', waiting) };
}

export const waitNoLonger = (waiting: WaitingPart): Command => ({
  label: `no longer wait for ${elementName(waiting.element)}`,
  diff: removed('waiting', waiting),
});
