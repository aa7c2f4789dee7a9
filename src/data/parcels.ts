import { sql } from 'drizzle-orm';
import type { Entry } from '@/core/ledger';
import type { Database } from './database';

/** What was ordered, and what left an order again: the movements of entries by it, as far as these tell how parcels came. */
export function parcelEntries(db: Database): Pick<Entry, 'kind' | 'order' | 'loggedAt' | 'movements'>[] {
  const rows = db.all<{
    kind: Entry['kind'];
    order: Entry['order'];
    loggedAt: string;
    from: Entry['movements'][number]['from'];
    to: Entry['movements'][number]['to'];
    element: Entry['movements'][number]['element'];
    grade: Entry['movements'][number]['grade'];
    qty: number;
  }>(sql`
    select e.kind, substr(account, 7) as "order", e.logged_at as loggedAt,
      from_account as "from", to_account as "to", element, grade, qty from (
        select m.entry, m.to_account as account, m.from_account, m.to_account, m.element, m.grade, m.qty
          from movements m where m.to_account glob 'order:*'
        union all
        select m.entry, m.from_account, m.from_account, m.to_account, m.element, m.grade, m.qty
          from movements m where m.from_account glob 'order:*'
      ) join entries e on e.id = entry where e.state = 'done'`);
  return rows.map(({ kind, order, loggedAt, from, to, element, grade, qty }) => ({
    kind,
    order,
    loggedAt,
    movements: [{ from, to, element, grade, qty, worth: null }],
  }));
}
