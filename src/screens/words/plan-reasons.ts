import { boxId, type MarketAnswer, type PlanReason } from '@/core/market';
import { elementName } from '@/core/parts';
import type { NeedLot } from '@/core/need';
import { lotId } from '@/core/market';
import { count, money, pieces } from '@/ui/numbers';
import { list } from './places';

/** "£2.10 more", "about £2.10 more, £1.40 at the least", "as much". */
function moreWords({ more, atLeast }: Pick<PlanReason, 'more' | 'atLeast'>): string {
  if (more === 0) return 'as much';
  const amount = `${money(Math.abs(more))} ${more > 0 ? 'more' : 'less'}`;
  if (atLeast >= more) return amount;
  return atLeast > 0
    ? `about ${amount}, ${money(atLeast)} at the least`
    : `about ${amount}, as far as was found`;
}

const lacking = (n: number): string =>
  n > 0 ? `, and ${pieces(n)} more could not be had` : n < 0 ? `, and ${pieces(-n)} more could be had` : '';

/** A sentence for one reason of a plan. */
export function reasonWords(
  reason: PlanReason,
  market: Pick<MarketAnswer, 'sellers' | 'boxes'>,
  lots: readonly NeedLot[],
): string {
  const { question: q, unmet, better } = reason;
  const costs = moreWords(reason);
  if (better) return `There is a better plan ${betterWords(q, market)}: it costs ${costs}${lacking(unmet)}.`;
  switch (q.of) {
    case 'without box':
      return `${boxName(q.box, market)} beats single parts: without it the same costs ${costs}${lacking(unmet)}.`;
    case 'fewer parcels':
      return `One parcel fewer, ${count(q.most)} in all, costs ${costs}${lacking(unmet)}.`;
    case 'a week more':
      if (reason.more >= 0 && unmet >= 0)
        return `Waiting a week longer, ${count(q.within)} days in all, saves nothing.`;
      return `Waiting a week longer, ${count(q.within)} days in all, ${reason.more < 0 ? `saves ${money(-reason.more)}` : `costs ${costs}`}${lacking(unmet)}.`;
    case 'without two':
      return holdingWords(reason, q, market, lots);
  }
}

const boxName = (id: string, market: Pick<MarketAnswer, 'boxes'>): string => {
  const box = market.boxes.find((b) => boxId(b) === id);
  return box ? `${box.name} (${box.condition})` : id;
};

const betterWords = (q: PlanReason['question'], market: Pick<MarketAnswer, 'boxes'>): string =>
  q.of === 'without box' ? `without ${boxName(q.box, market)}` : 'with a parcel fewer';

/** What holds the dearest parcel, and what would go with it. */
function holdingWords(
  { more, stays }: PlanReason,
  q: Extract<PlanReason['question'], { of: 'without two' }>,
  market: Pick<MarketAnswer, 'sellers'>,
  lots: readonly NeedLot[],
): string {
  const seller = market.sellers.find((s) => s.id === q.seller)?.name ?? q.seller;
  const gone = lots.filter((l) => q.lots.includes(lotId(l)));
  const names = list([...new Set(gone.map((l) => `${count(l.qty)} ${elementName(l.element)}`))]);
  const without = `without ${gone.length === 1 ? 'it' : 'them'} the plan costs ${money(-more)} less`;
  return `The dearest parcel, of ${seller}, is there most of all for ${names}: ${without}${stays ? ', and the parcel comes all the same' : ' and needs no such parcel'}.`;
}
