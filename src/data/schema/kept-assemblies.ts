import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { ofAccount } from './account-column';

export const keptAssemblies = sqliteTable(
  'kept_assemblies',
  {
    id: text().primaryKey(),
    name: text().notNull(),
    account: ofAccount(),
    lots: text({ mode: 'json' }).notNull(),
  },
  (t) => [index('kept_assemblies_account').on(t.account)],
);
