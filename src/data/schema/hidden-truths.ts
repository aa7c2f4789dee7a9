import { primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** What the simulated meter reads: the hidden truth of the demo, one colour for each piece of a lot. */
export const hiddenTruths = sqliteTable(
  'hidden_truths',
  {
    account: text().notNull(),
    element: text().notNull(),
    labs: text({ mode: 'json' }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.account, t.element] })],
);
