import type { BoxOfferId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, money, name, whole } from './fields';

/** A box that a person could buy at a price of their own: it stands beside those of the sellers when a plan is made. */
export const boxOffer = defineRecord({
  type: 'boxOffer',
  table: 'box_offers',
  fields: {
    id: id<BoxOfferId>(),
    /** The set of the catalogue that is in it. */
    code: name(),
    setName: name(),
    condition: choice(['new', 'second-hand']),
    price: money(),
    copies: whole(1, 1000),
    seller: name(),
    /** Days until it would be there. */
    days: whole(0, 365),
  },
});
export type BoxOffer = RecordOf<typeof boxOffer>;
