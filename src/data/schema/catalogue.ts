import { integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/* Official sets and what is in their boxes. */

/** The demo catalogue: official sets and what is in their boxes. */
export const sets = sqliteTable('sets', {
  code: text().primaryKey(),
  name: text().notNull(),
  maker: text().notNull(),
  year: integer().notNull(),
});

export const setLots = sqliteTable(
  'set_lots',
  {
    set: text()
      .notNull()
      .references(() => sets.code),
    place: integer().notNull(),
    element: text().notNull(),
    qty: integer().notNull(),
    extra: integer({ mode: 'boolean' }).notNull(),
    zone: text().notNull(),
  },
  (t) => [primaryKey({ columns: [t.set, t.place] })],
);
