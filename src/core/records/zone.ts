import type { BuildId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, name, orNull, position, reference } from './fields';

/** A named area of the model. The root zone has no parent and holds what was not placed in another. */
export const zone = defineRecord({
  type: 'zone',
  table: 'zones',
  fields: {
    id: id<ZoneId>(),
    build: reference<BuildId>('build'),
    parent: orNull(reference<ZoneId>('zone')),
    name: name(),
    position: position(),
  },
  inModFile: { key: 'zones', most: 2000 },
});
export type Zone = RecordOf<typeof zone>;
