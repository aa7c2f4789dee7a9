import { sql } from 'drizzle-orm';
import { check, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { builds, copies, orders, zones } from './builds';
import { trays } from './stock';

/**
 * Every place that pieces can be, with whose it is: a row comes with its zone, tray, box, order or build. When that goes,
 * the row stays for the sake of the log, owned by nobody: closed. Nothing lies in a closed place and no new movement names
 * it, which is checked before a transaction ends.
 */
export const accounts = sqliteTable(
  'accounts',
  {
    id: text().primaryKey(),
    place: text().notNull(),
    zone: text().references(() => zones.id, { onDelete: 'set null' }),
    tray: text().references(() => trays.id, { onDelete: 'set null' }),
    copy: text().references(() => copies.id, { onDelete: 'set null' }),
    order: text('order_id').references(() => orders.id, { onDelete: 'set null' }),
    build: text().references(() => builds.id, { onDelete: 'set null' }),
  },
  (t) => [
    check(
      'accounts_owner',
      sql`case ${t.place}
        when 'model' then ${t.zone} is null or ${t.id} = 'model:' || ${t.zone}
        when 'stores' then ${t.tray} is null or ${t.id} = 'stores:' || ${t.tray}
        when 'shipped' then ${t.copy} is null or ${t.id} = 'shipped:' || ${t.copy}
        when 'donor' then ${t.copy} is null or ${t.id} = 'donor:' || ${t.copy}
        when 'order' then ${t.order} is null or ${t.id} = 'order:' || ${t.order}
        when 'spares' then ${t.build} is null or ${t.id} = 'spares:' || ${t.build}
        when 'gone' then substr(${t.id}, 1, 5) = 'gone:'
        when 'outside' then ${t.id} = 'outside'
        else 0 end`,
    ),
  ],
);
