import type { BuildId, LetterId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, date, id, list, name, note, object, reference, short } from './fields';

export const LETTER_SIDES = ['asked', 'answered'] as const;

/** Somebody who was asked about a build: a printer, a seller, another builder; what was written, what came back, what is next. */
export const letter = defineRecord({
  type: 'letter',
  table: 'letters',
  fields: {
    id: id<LetterId>(),
    build: reference<BuildId>('build'),
    who: name(),
    about: short(),
    /** In their order. */
    lines: list(object({ on: date(), side: choice(LETTER_SIDES), what: note() }), 500),
    next: short(),
    /** The day of the next step; empty = none is set. */
    nextOn: date(),
  },
});
export type Letter = RecordOf<typeof letter>;
