import type { BuildId, ColourId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, list, reference } from './fields';

/** The colours a zone is meant to have, most first. Its id is the zone's. */
export const scheme = defineRecord({
  type: 'scheme',
  table: 'schemes',
  fields: {
    id: id<ZoneId>(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    colours: list(id<ColourId>(), 60),
  },
  idOf: (s) => s.zone,
  inModFile: { key: 'schemes', most: 2000, optional: true },
});
export type Scheme = RecordOf<typeof scheme>;
