import type { ReadingId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import {
  account,
  choice,
  date,
  element,
  flag,
  id,
  matching,
  note,
  number,
  somePieces,
  whole,
} from './fields';

/** A colour measured on some pieces. Their grade in the books names its batch. Lab under D65. */
export const reading = defineRecord({
  type: 'reading',
  table: 'readings',
  fields: {
    id: id<ReadingId>(),
    /** Where the pieces were when they were read. */
    account: account(),
    element: element(),
    /** Names the pieces' batch in grades: "R12". */
    batch: matching(/^[\w-]{1,40}$/),
    qty: somePieces(),
    l: number(-20, 120),
    a: number(-200, 200),
    b: number(-200, 200),
    white: choice(['D65']),
    /** Standard error of the mean, as a ΔE00. */
    spread: number(0, 1000),
    /** Single readings, or pixels, that it is the mean of. */
    count: whole(1, 1e9),
    /** By the meter, from a photo, typed from an instrument of one's own, or noted by eye. */
    how: choice(['meter', 'photo', 'typed', 'eye']),
    /** How it was made, for whoever doubts it: instrument and calibration, or the photo's light. */
    made: note(),
    measure: choice(['CIEDE2000']),
    /** False = it stands, but nothing is worked out from it. */
    trusted: flag(),
    /** Why it is not trusted, when it is not. */
    doubt: note(),
    at: date(),
  },
  indexes: [{ name: 'readings_batch_unique', on: ['batch'], unique: true }],
});
export type Reading = RecordOf<typeof reading>;
