import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { idIn } from './references';

/**
 * A build's figures as the list of builds shows them, worked out once and kept until the build changes: `position` is the
 * last step in its undo list that they take in. They can be worked out again at any time, and are no part of the books.
 */
export const buildSummaries = sqliteTable('build_summaries', {
  build: text().primaryKey().references(idIn('build'), { onDelete: 'cascade' }),
  position: integer().notNull(),
  summary: text({ mode: 'json' }).notNull(),
});
