import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { accounts } from './accounts';
import { builds, modifications, whatIfs, assemblies, orders } from './builds';
import { countLines } from './survey';

/* The log. Movements have a table of their own, since balances are summed from it. */

export const entries = sqliteTable(
  'entries',
  {
    id: text().primaryKey(),
    build: text().references(() => builds.id),
    modification: text().references(() => modifications.id),
    kind: text().notNull(),
    state: text().notNull(),
    no: integer().notNull(),
    position: real().notNull(),
    why: text(),
    note: text().notNull(),
    hidden: integer({ mode: 'boolean' }).notNull(),
    standsFor: text(),
    whatIf: text().references(() => whatIfs.id),
    assembly: text().references(() => assemblies.id),
    order: text('order_id').references(() => orders.id),
    line: text(),
    counted: text().references(() => countLines.id),
    loggedAt: text().notNull(),
  },
  (t) => [
    index('entries_build').on(t.build, t.no),
    index('entries_modification').on(t.modification),
    index('entries_order').on(t.order),
    index('entries_counted').on(t.counted),
    index('entries_what_if').on(t.whatIf),
    index('entries_assembly').on(t.assembly),
    check('entries_state', sql`${t.state} in ('planned', 'done')`),
    check('entries_what_if_is_planned', sql`${t.whatIf} is null or ${t.state} = 'planned'`),
  ],
);

/** The conservation law in the database: both ends are always there, they differ, and something moves. */
export const movements = sqliteTable(
  'movements',
  {
    entry: text()
      .notNull()
      .references(() => entries.id, { onDelete: 'cascade' }),
    place: integer().notNull(),
    element: text().notNull(),
    grade: text().notNull(),
    qty: integer().notNull(),
    from: text('from_account')
      .notNull()
      .references(() => accounts.id),
    to: text('to_account')
      .notNull()
      .references(() => accounts.id),
    worth: integer(),
  },
  (t) => [
    primaryKey({ columns: [t.entry, t.place] }),
    index('movements_from').on(t.from, t.element),
    index('movements_to').on(t.to, t.element),
    check('movements_qty', sql`${t.qty} > 0`),
    check('movements_two_ends', sql`${t.from} <> ${t.to}`),
    check('movements_worth', sql`${t.worth} is null or ${t.worth} >= 0`),
  ],
);
