import { added, removed, type Command, type Source } from '../ledger';
import type { BoxOffer } from '../records';
import { asId, type BoxOfferId } from '../shared/ids';

/** Puts a box at a price of one's own into the comparison with single parts. */
export const offerBox = (offer: Omit<BoxOffer, 'id'>, source: Source): Command => ({
  label: `put the box ${offer.setName} into the comparison`,
  diff: added('boxOffer', { id: asId<BoxOfferId>(source.newId()), ...offer }),
});

/** Leaves such a box out again. */
export const withdrawBox = (offer: BoxOffer): Command => ({
  label: `leave the box ${offer.setName} out`,
  diff: removed('boxOffer', offer),
});
