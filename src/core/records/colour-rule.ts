import type { BuildId, ColourId, ColourRuleId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, orNull, reference, short } from './fields';

/**
 * What a person said of colours once and for all: in a zone or in all of them (`zone` null), of a family or a group of
 * parts or of all (`family` empty), of one colour or of any (`colour` null): they belong in `to`, or are meant as they
 * are (`to` null).
 */
export const colourRule = defineRecord({
  type: 'colourRule',
  table: 'colour_rules',
  fields: {
    id: id<ColourRuleId>(),
    build: reference<BuildId>('build'),
    zone: orNull(reference<ZoneId>('zone')),
    family: short(),
    colour: orNull(id<ColourId>()),
    to: orNull(id<ColourId>()),
  },
  inModFile: { key: 'colourRules', most: 2000, optional: true },
});
export type ColourRule = RecordOf<typeof colourRule>;
