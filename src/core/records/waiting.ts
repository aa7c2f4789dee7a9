import type { WaitingId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { date, element, id, note, somePieces } from './fields';

/** A part that is waited for in a colour that nobody has yet: the person is told when the register or a seller has it. */
export const waiting = defineRecord({
  type: 'waiting',
  table: 'waiting_parts',
  fields: { id: id<WaitingId>(), element: element(), qty: somePieces(), note: note(), at: date() },
  earlier: { types: ['watch'] },
});
export type WaitingPart = RecordOf<typeof waiting>;
