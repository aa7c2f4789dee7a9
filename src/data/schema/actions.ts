import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/* Everything anyone did. */

/** Everything anyone did. `position` orders the undo list of a scope; it is the revision of the last do, undo or redo. */
export const actions = sqliteTable(
  'actions',
  {
    id: text().primaryKey(),
    scope: text().notNull(),
    label: text().notNull(),
    diff: text({ mode: 'json' }).notNull(),
    state: text().notNull(),
    position: integer().notNull(),
    at: text().notNull(),
  },
  (t) => [index('actions_scope').on(t.scope, t.state, t.position)],
);

/**
 * One row for each do, undo and redo, in order: what another window has to catch up with. `content` is a fingerprint of
 * what was asked, so that the same request sent twice is told from another one under its id.
 */
export const changes = sqliteTable(
  'changes',
  {
    revision: integer().primaryKey({ autoIncrement: true }),
    request: text().notNull().unique(),
    action: text()
      .notNull()
      .references(() => actions.id),
    direction: text().notNull(),
    content: text(),
  },
  (t) => [index('changes_action').on(t.action)],
);
