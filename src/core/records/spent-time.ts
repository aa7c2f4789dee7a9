import type { BuildId, ModificationId, SpentTimeId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { date, id, mention, orNull, reference, short, whole } from './fields';

/** Time that was spent on a build, typed afterwards or taken by the timer. */
export const spentTime = defineRecord({
  type: 'spentTime',
  table: 'spent_times',
  fields: {
    id: id<SpentTimeId>(),
    build: reference<BuildId>('build'),
    modification: orNull(mention<ModificationId>('modification')),
    minutes: whole(1, 100_000),
    on: date(),
    note: short(),
  },
  inModFile: { key: 'spentTimes', most: 10_000, optional: true },
});
export type SpentTime = RecordOf<typeof spentTime>;
