import { LIMITS } from '../shared/bounds';
import type { PartId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { matching, number, whole } from './fields';

/** What pieces of a part weighed on a scale. Its id is the part's: of one part what was weighed last counts. */
export const weighed = defineRecord({
  type: 'weighed',
  table: 'weighed_parts',
  fields: {
    id: matching<PartId>(/./, LIMITS.element),
    pieces: whole(1, 10_000),
    /** All of them together, g, and how fine the scale reads, g. */
    grams: number(0.001, 100_000),
    reads: number(0.001, 100),
  },
});
export type Weighed = RecordOf<typeof weighed>;
