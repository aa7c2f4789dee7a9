import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { accounts } from './accounts';
import { idIn } from './references';

/**
 * What an entry moves, in a table of its own, since balances are summed from it. The conservation law in the database:
 * both ends are always there, they differ but for what is done to pieces that stay on the model, and something moves.
 */
export const movements = sqliteTable(
  'movements',
  {
    entry: text().notNull().references(idIn('entry'), { onDelete: 'cascade' }),
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
    index('movements_element').on(t.element),
    check('movements_qty', sql`${t.qty} > 0`),
    check('movements_two_ends', sql`${t.from} <> ${t.to} or ${t.from} glob 'model:*'`),
    check('movements_worth', sql`${t.worth} is null or ${t.worth} >= 0`),
  ],
);
