import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/* Everything anyone did. */

/**
 * Everything anyone did, oldest kept first. `scope` is where it was asked for; which undo lists it stands in is said by
 * `actionScopes`. `position` orders the undo list of a scope; it is the revision of the last do, undo or redo. */
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
  (t) => [index('actions_position').on(t.position)],
);

/**
 * The undo lists an action stands in: those of every build it changed, and of own parts when it changed what belongs
 * to no build. State and position are the action's own, kept here too so that the last one of a list is found at once.
 */
export const actionScopes = sqliteTable(
  'action_scopes',
  {
    scope: text().notNull(),
    action: text()
      .notNull()
      .references(() => actions.id, { onDelete: 'cascade' }),
    state: text().notNull(),
    position: integer().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.action, t.scope] }),
    index('action_scopes_list').on(t.scope, t.state, t.position),
  ],
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
