import { defineRecord, type RecordOf } from './define';
import { list, matching, note } from './fields';

/** Which column means what, remembered for tables with the same heading. */
export const columnMemory = defineRecord({
  type: 'columnMemory',
  table: 'column_memories',
  // Its id is what the table was imported for, and its heading.
  fields: { id: note(), roles: list(matching(/^.{0,40}$/s), 200) },
  earlier: {
    upgrade: (old) =>
      typeof old.id === 'string' && old.id.startsWith('stores ')
        ? { ...old, id: `stock${old.id.slice(6)}` }
        : old,
  },
});
export type ColumnMemory = RecordOf<typeof columnMemory>;
