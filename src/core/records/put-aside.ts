import type { BuildId, PutAsideId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, date, id, list, note, object, orNull, reference, short } from './fields';

/** What is asked when a build is looked at again with fresh eyes. */
export const FRESH_EYES = [
  'colours as one',
  'proportions',
  'lines',
  'gaps',
  'where the eye goes first',
] as const;
export type FreshEyes = (typeof FRESH_EYES)[number];

/** A build that was put aside until a day, and what was seen when it was looked at again. */
export const putAside = defineRecord({
  type: 'putAside',
  table: 'put_asides',
  fields: {
    id: id<PutAsideId>(),
    build: reference<BuildId>('build'),
    since: date(),
    until: date(),
    why: short(),
    /** The day it was looked at again; empty = not yet. */
    lookedOn: date(),
    answers: list(object({ question: choice(FRESH_EYES), answer: note() }), 10),
    photo: orNull(id()),
  },
  inModFile: { key: 'putAsides', most: 500, optional: true },
  leaves: (p) => ({ ...p, photo: null }),
});
export type PutAside = RecordOf<typeof putAside>;
