import { COLOUR_FAMILIES, FINISHES } from '../colour/colour';
import type { ColourId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, matching, name } from './fields';

/** A colour that the workspace added to the palette. */
export const customColour = defineRecord({
  type: 'customColour',
  table: 'custom_colours',
  fields: {
    id: matching<ColourId>(/^[a-z0-9][a-z0-9-]{0,60}$/),
    name: name(),
    hex: matching(/^#[0-9a-f]{6}$/i),
    family: choice(COLOUR_FAMILIES),
    finish: choice(FINISHES),
  },
  inModFile: { key: 'customColours', most: 2000, shared: true },
});
export type CustomColour = RecordOf<typeof customColour>;
