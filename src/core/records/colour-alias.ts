import { LIMITS } from '../shared/bounds';
import type { ColourId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, matching } from './fields';

/** A colour name of a foreign list and the palette colour the person chose for it. */
export const colourAlias = defineRecord({
  type: 'colourAlias',
  table: 'colour_aliases',
  fields: { id: matching(/./s, LIMITS.name), colour: id<ColourId>() },
});
export type ColourAlias = RecordOf<typeof colourAlias>;
