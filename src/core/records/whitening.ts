import type { BuildId, WhiteningId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { account, date, element, id, note, orNull, reference, somePieces } from './fields';

/** Pieces whitened: what they read before and after, and for how long. */
export const whitening = defineRecord({
  type: 'whitening',
  table: 'whitenings',
  fields: {
    id: id<WhiteningId>(),
    build: reference<BuildId>('build'),
    account: account(),
    element: element(),
    qty: somePieces(),
    /** Batches of the readings before and after. */
    before: id(),
    after: orNull(id()),
    startedAt: date(),
    endedAt: orNull(date()),
    note: note(),
  },
});
export type Whitening = RecordOf<typeof whitening>;
