import { sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { builds } from './builds';

/** How a build's need was last asked to be made up. It is no part of the books, and goes with its build. */
export const makeUps = sqliteTable('make_ups', {
  build: text()
    .primaryKey()
    .references(() => builds.id, { onDelete: 'cascade' }),
  saved: text({ mode: 'json' }).notNull(),
});
