import type { AttemptId, BuildId, ModificationId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, date, id, mention, name, note, orNull, reference } from './fields';

/** Why something was dropped. */
export const ATTEMPT_ENDS = [
  'too heavy',
  'does not move',
  'does not hold',
  'looks wrong',
  'too dear',
  'another reason',
] as const;
export type AttemptEnd = (typeof ATTEMPT_ENDS)[number];

/** Where a technique stands: meant to be used, tried on the table and good, or tried and dropped. */
export const ATTEMPT_STATES = ['not tried', 'works', 'dropped'] as const;

/** A technique that is meant to be used, or was tried and dropped: kept with its reason, outside all sums. */
export const attempt = defineRecord({
  type: 'attempt',
  table: 'attempts',
  fields: {
    id: id<AttemptId>(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    modification: orNull(mention<ModificationId>('modification')),
    what: name(),
    state: choice(ATTEMPT_STATES),
    end: orNull(choice(ATTEMPT_ENDS)),
    note: note(),
    photo: orNull(id()),
    at: date(),
  },
  inModFile: { key: 'attempts', most: 2000, optional: true },
  leaves: (a) => ({ ...a, photo: null }),
});
export type Attempt = RecordOf<typeof attempt>;
