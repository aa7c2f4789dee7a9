import type { AnySQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';

type WithId = SQLiteTable & { readonly id: AnySQLiteColumn };

const tables = new Map<string, WithId>();

/** Makes a table known by a name, so that tables that refer to each other need not import each other. */
export function nameTable<T extends SQLiteTable>(name: string, table: T): T {
  tables.set(name, table as unknown as WithId);
  return table;
}

/** The id column of a named table: what a foreign key points to. Asked once all tables are made. */
export const idIn = (name: string) => (): AnySQLiteColumn => {
  const table = tables.get(name);
  if (!table) throw new Error(`no table called ${name}`);
  return table.id;
};
