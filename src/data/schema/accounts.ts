import { sql } from 'drizzle-orm';
import { check, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { idIn, nameTable } from './references';

const ownedBy = (type: string) =>
  text(type === 'order' ? 'order_id' : type).references(idIn(type), { onDelete: 'set null' });

/**
 * Every place that pieces can be, with whose it is: a row comes with its zone, tray, box, order or build. When that goes,
 * the row stays for the sake of the log, owned by nobody: closed. Nothing lies in a closed place and no new movement names
 * it, which is checked before a transaction ends.
 */
export const accounts = nameTable(
  'accounts',
  sqliteTable(
    'accounts',
    {
      id: text().primaryKey(),
      place: text().notNull(),
      zone: ownedBy('zone'),
      tray: ownedBy('tray'),
      copy: ownedBy('copy'),
      order: ownedBy('order'),
      build: ownedBy('build'),
    },
    (t) => [
      check(
        'accounts_owner',
        sql`case ${t.place}
        when 'model' then ${t.zone} is null or ${t.id} = 'model:' || ${t.zone}
        when 'stock' then ${t.tray} is null or ${t.id} = 'stock:' || ${t.tray}
        when 'shipped' then ${t.copy} is null or ${t.id} = 'shipped:' || ${t.copy}
        when 'donor' then ${t.copy} is null or ${t.id} = 'donor:' || ${t.copy}
        when 'order' then ${t.order} is null or ${t.id} = 'order:' || ${t.order}
        when 'spares' then ${t.build} is null or ${t.id} = 'spares:' || ${t.build}
        when 'gone' then substr(${t.id}, 1, 5) = 'gone:'
        when 'outside' then ${t.id} = 'outside'
        when 'own' then ${t.id} = 'own' or substr(${t.id}, 1, 4) = 'own:'
        else 0 end`,
      ),
    ],
  ),
);
