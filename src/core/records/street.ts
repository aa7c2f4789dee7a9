import type { BuildId, StreetId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { flag, id, list, mention, name, note, number, object, whole } from './fields';

/** Several builds shown together: a table in studs, and where each stands on it. It belongs to no build. */
export const street = defineRecord({
  type: 'street',
  table: 'streets',
  fields: {
    id: id<StreetId>(),
    name: name(),
    /** Studs. */
    width: whole(1, 10_000),
    depth: whole(1, 10_000),
    places: list(
      object({
        build: mention<BuildId>('build'),
        /** From the left front corner of the table, studs. */
        x: number(-1000, 10_000),
        y: number(-1000, 10_000),
        /** True = its side is to the front. */
        turned: flag(),
      }),
      300,
    ),
    note: note(),
  },
});
export type Street = RecordOf<typeof street>;
