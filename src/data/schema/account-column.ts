import { text } from 'drizzle-orm/sqlite-core';
import { accounts } from './accounts';

/** The column of what lies in one place. */
export const ofAccount = () =>
  text()
    .notNull()
    .references(() => accounts.id);
