import { blob, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { idIn } from './references';

/** Photos of findings, as they were written anew. */
export const photos = sqliteTable(
  'photos',
  {
    id: text().primaryKey(),
    build: text().notNull().references(idIn('build')),
    width: integer().notNull(),
    height: integer().notNull(),
    bytes: blob({ mode: 'buffer' }).notNull(),
  },
  (t) => [index('photos_build').on(t.build)],
);
