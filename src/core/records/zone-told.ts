import type { BuildId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, note, orNull, reference } from './fields';

/** What is told of a zone when the mod is shown: what it was, what it is, a photo. Its id is the zone's. */
export const zoneTold = defineRecord({
  type: 'zoneTold',
  table: 'zones_told',
  fields: {
    id: id<ZoneId>(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    was: note(),
    is: note(),
    photo: orNull(id()),
  },
  idOf: (z) => z.zone,
  inModFile: { key: 'zonesTold', most: 2000, optional: true },
  leaves: (z) => ({ ...z, photo: null }),
});
export type ZoneTold = RecordOf<typeof zoneTold>;
