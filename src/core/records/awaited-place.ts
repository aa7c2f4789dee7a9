import type { AwaitedPlaceId, BuildId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { date, element, flag, id, name, orNull, reference } from './fields';

/** A place that waits for something not yet chosen, with a placeholder in it or empty. */
export const awaitedPlace = defineRecord({
  type: 'awaitedPlace',
  table: 'awaited_places',
  fields: {
    id: id<AwaitedPlaceId>(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    what: name(),
    /** What stands there meanwhile. */
    placeholder: orNull(element()),
    chosen: flag(),
    at: date(),
  },
  inModFile: { key: 'awaitedPlaces', most: 2000, optional: true },
});
export type AwaitedPlace = RecordOf<typeof awaitedPlace>;
