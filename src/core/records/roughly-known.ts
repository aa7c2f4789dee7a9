import type { ColourId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, matching, short } from './fields';

/** How much of something a person has, said without counting. */
export const ROUGH_AMOUNTS = ['none', 'few', 'some', 'plenty'] as const;
export type RoughAmount = (typeof ROUGH_AMOUNTS)[number];

/** What one has of a family of parts in a colour and never counted: "plenty of bricks in ash". */
export const roughlyKnown = defineRecord({
  type: 'roughlyKnown',
  table: 'roughly_known',
  fields: {
    id: matching(/^[^|]+\|[^|]+$/, 200),
    /** The family's group: "Bricks", "Slopes". */
    family: short(),
    colour: id<ColourId>(),
    amount: choice(ROUGH_AMOUNTS),
  },
  idOf: (r) => `${r.family}|${r.colour}`,
});
export type RoughlyKnown = RecordOf<typeof roughlyKnown>;
