import { defineRecord, type RecordOf } from './define';
import { element, inColumn, longId, orNull, whole } from './fields';

const year = whole(1900, 2200);

/** From an imported list: when an element was made. Its id is the element's. Null = open. */
export const madeIn = defineRecord({
  type: 'madeIn',
  table: 'made_ins',
  fields: {
    id: longId(),
    element: element(),
    from: inColumn('from_year', orNull(year)),
    to: inColumn('to_year', orNull(year)),
  },
});
export type MadeIn = RecordOf<typeof madeIn>;
