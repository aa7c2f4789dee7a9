import type { BuildId, StoreyId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, mention, name, note, orNull, position, reference } from './fields';

export const STOREY_RULES = ['anywhere', 'at the bottom', 'on top', 'once only'] as const;
export const STOREY_STATES = ['stands', 'planned', 'idea'] as const;

/** A storey of a build that is stacked, or an extension that is planned: its zone, or the build that it comes from, and where it may stand. */
export const storey = defineRecord({
  type: 'storey',
  table: 'storeys',
  fields: {
    id: id<StoreyId>(),
    build: reference<BuildId>('build'),
    name: name(),
    /** Where its pieces are; null = in no zone of its own yet. */
    zone: orNull(mention<ZoneId>('zone')),
    /** The build whose model it came from, or would come from; null = none. */
    from: orNull(mention<BuildId>('build')),
    rule: choice(STOREY_RULES),
    state: choice(STOREY_STATES),
    note: note(),
    /** From the ground up. */
    position: position(),
  },
  inModFile: { key: 'storeys', most: 200, optional: true },
});
export type Storey = RecordOf<typeof storey>;
