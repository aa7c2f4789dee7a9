import { isNotNull } from 'drizzle-orm';
import {
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
  type AnySQLiteColumn,
  type SQLiteTable,
} from 'drizzle-orm/sqlite-core';
import { RECORDS, type Field, type RecordSpec, type RecordType } from '@/core/ledger';
import { boundsOf } from './bounds';
import { idIn, nameTable } from './references';

/** A table with a column for each field of a record. */
export type RecordTable = SQLiteTable &
  Readonly<Record<string, AnySQLiteColumn>> & { readonly id: AnySQLiteColumn };

/** The table of each kind of record, made from its definition. */
export const RECORD_TABLES = new Map<string, RecordTable>(
  RECORDS.map((spec) => [spec.type, nameTable(spec.type, tableOf(spec as unknown as RecordSpec))]),
);

export function recordTable(type: RecordType | string): RecordTable {
  const table = RECORD_TABLES.get(type);
  if (!table) throw new Error(`no table of ${type}`);
  return table;
}

function tableOf(spec: RecordSpec): RecordTable {
  const fields = Object.entries(spec.fields).filter(([key]) => !spec.apart?.includes(key));
  const columns = Object.fromEntries(fields.map(([key, field]) => [key, columnOf(key, field)]));
  return sqliteTable(spec.table, columns, (t) => [
    ...indexesOf(spec).map(({ name, on, unique }) => {
      const [first, ...rest] = on.map((c) => (t as Record<string, AnySQLiteColumn>)[c]!);
      const made = (unique ? uniqueIndex(name) : index(name)).on(first!, ...rest);
      // A reference that most rows lack: looking up "is null" would go through nearly all of them.
      return rest.length === 0 && !first!.notNull ? made.where(isNotNull(first!)) : made;
    }),
    ...boundsOf(spec.type, t as never),
  ]) as unknown as RecordTable;
}

function columnOf(key: string, { shape, nullable, column }: Field<unknown>) {
  const name = column as string;
  const made = (() => {
    switch (shape.kind) {
      case 'number':
        return shape.whole ? integer(name) : real(name);
      case 'flag':
        return integer(name, { mode: 'boolean' });
      case 'list':
      case 'object':
        return text(name, { mode: 'json' });
      case 'reference': {
        const plain = text(name);
        return shape.loose ? plain : plain.references(idIn(shape.to));
      }
      case 'account':
        return text(name).references(idIn('accounts'));
      default:
        return text(name);
    }
  })();
  if (key === 'id') return made.primaryKey();
  return nullable ? made : made.notNull();
}

/** Those that a definition names, and one for each reference and place that none of them begins with. */
function indexesOf({ table, fields, indexes = [] }: RecordSpec) {
  const led = new Set(indexes.map((i) => i.on[0]));
  const more = Object.entries(fields)
    .filter(
      ([key, { shape }]) => (shape.kind === 'reference' && !shape.loose) || (shape.kind === 'account' && key),
    )
    .filter(([key]) => !led.has(key))
    .map(([key]) => ({ name: `${table}_${snake(key)}`, on: [key], unique: false }));
  return [...indexes, ...more];
}

const snake = (key: string): string => key.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);
