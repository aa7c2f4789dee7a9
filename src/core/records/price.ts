import { LIMITS } from '../shared/bounds';
import { defineRecord, type RecordOf } from './define';
import { element, matching, money, orNull } from './fields';

/** What a piece costs. Null = not known. Its id is the element's. */
export const price = defineRecord({
  type: 'price',
  table: 'prices',
  fields: {
    id: matching(/^/, LIMITS.element),
    element: element(),
    newPrice: orNull(money()),
    usedPrice: orNull(money()),
  },
});
export type Price = RecordOf<typeof price>;
