import type { BuildId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, reference, whole } from './fields';

/** Where a zone lies, from the left front corner of the plot, and how big it is. Its id is the zone's. */
export const zonePlace = defineRecord({
  type: 'zonePlace',
  table: 'zone_places',
  fields: {
    id: id<ZoneId>(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    /** Studs to the right of the plot's left side, and behind its front; below zero it sticks out. */
    x: whole(-500, 2000),
    y: whole(-500, 2000),
    width: whole(1, 2000),
    depth: whole(1, 2000),
    /** Plates above the ground, and tall. */
    bottom: whole(0, 3000),
    height: whole(1, 3000),
  },
  idOf: (p) => p.zone,
  inModFile: { key: 'zonePlaces', most: 2000, optional: true },
});
export type ZonePlace = RecordOf<typeof zonePlace>;
