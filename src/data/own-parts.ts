import { sql } from 'drizzle-orm';
import type { Claim, Entry } from '@/core/ledger';
import type { Database } from './database';
import { readEntries } from './records';
import { recordTable } from './schema';

const entries = recordTable('entry');

/** What planned entries of every build take from own parts. What-ifs claim nothing. */
export function stockClaims(db: Database): Claim[] {
  return db.all<Claim>(sql`
    select e.build, m.from_account as account, m.element, m.grade, sum(m.qty) as qty
      from movements m join entries e on e.id = m.entry
      where e.state = 'planned' and e.what_if is null and e.build is not null and m.from_account glob 'stock:*'
      group by e.build, m.from_account, m.element, m.grade`);
}

/** Planned entries that take pieces from own parts or put some there, whole: they follow when pieces are moved. */
export function stockPlans(db: Database): Entry[] {
  return readEntries(
    db,
    sql`${entries.id} in (select e.id from movements m join entries e on e.id = m.entry
      where e.state = 'planned' and (m.from_account glob 'stock:*' or m.to_account glob 'stock:*'))`,
  );
}

/** Entries that lent pieces or had them back, oldest first. */
export function loansOf(db: Database): Entry[] {
  return readEntries(
    db,
    sql`${entries.id} in (select entry from movements where to_account = 'gone:lent'
      union select entry from movements where from_account = 'gone:lent')`,
  ).sort((a, b) => a.loggedAt.localeCompare(b.loggedAt));
}

/** Builds that plan something, or have a placeholder on the model: the only ones that can lack anything. */
export const buildsThatPlan = (db: Database): ReadonlySet<string> =>
  new Set(
    db
      .all<{ build: string }>(
        sql`select distinct build from entries
          where build is not null and (state = 'planned' or kind = 'placeholder') and what_if is null`,
      )
      .map((r) => r.build),
  );
