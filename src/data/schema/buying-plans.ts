import { sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { idIn } from './references';

/** How a build's need was last asked to be made up. It is no part of the books, and goes with its build. */
export const buyingPlans = sqliteTable('buying_plans', {
  build: text().primaryKey().references(idIn('build'), { onDelete: 'cascade' }),
  saved: text({ mode: 'json' }).notNull(),
});
