import { defineRecord, type RecordOf } from './define';
import { list, matching, note } from './fields';

/** Which column means what, remembered for tables with the same heading. */
export const columnMemory = defineRecord({
  type: 'columnMemory',
  table: 'column_memories',
  fields: { id: note(), roles: list(matching(/^.{0,40}$/s), 200) },
});
export type ColumnMemory = RecordOf<typeof columnMemory>;
