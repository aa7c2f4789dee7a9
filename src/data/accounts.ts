import { sql } from 'drizzle-orm';
import {
  accountOwner,
  donorAccount,
  invertDiff,
  modelAccount,
  orderAccount,
  placeOf,
  shippedAccount,
  sparesAccount,
  stockAccount,
  type AccountKey,
  type BalanceRow,
  type Diff,
  type TypedRecord,
} from '@/core/ledger';
import type { Database } from './database';
import { accounts } from './schema';

/** Places that come and go with no record. */
const OWNERLESS: readonly string[] = ['outside', 'own', 'gone'];

/** The places that come and go with a record. */
function placesOf({ type, record }: TypedRecord): AccountKey[] {
  switch (type) {
    case 'zone':
      return [modelAccount(record.id)];
    case 'tray':
      return [stockAccount(record.id)];
    case 'copy':
      return [shippedAccount(record.id), donorAccount(record.id)];
    case 'order':
      return [orderAccount(record.id)];
    case 'build':
      return [sparesAccount(record.id)];
    default:
      return [];
  }
}

/** The places that a diff leaves records with, each once. */
function placesNamed(diff: Diff): Set<AccountKey> {
  const keys = new Set<AccountKey>();
  for (const record of [...diff.added.map((r) => r.record), ...diff.changed.map((c) => c.to)]) {
    if ('account' in record) keys.add(record.account);
    if ('movements' in record)
      for (const m of record.movements) {
        keys.add(m.from);
        keys.add(m.to);
      }
  }
  return keys;
}

/** Opens the places of what a diff adds, and those that nobody owns. One that was closed is open again. */
export function openPlaces(db: Database, diff: Diff): void {
  const ownerless = [...placesNamed(diff)].filter((a) => OWNERLESS.includes(placeOf(a)));
  const rows = [...new Set([...diff.added.flatMap(placesOf), ...ownerless])].map(accountRow);
  const owner = (column: string) => sql.raw(`excluded.${column}`);
  for (let i = 0; i < rows.length; i += 500)
    db.insert(accounts)
      .values(rows.slice(i, i + 500))
      .onConflictDoUpdate({
        target: accounts.id,
        set: {
          zone: owner('zone'),
          tray: owner('tray'),
          copy: owner('copy'),
          order: owner('order_id'),
          build: owner('build'),
        },
      })
      .run();
}

function accountRow(id: AccountKey): typeof accounts.$inferInsert {
  const place = placeOf(id);
  const owner = accountOwner<string>(id);
  return {
    id,
    place,
    zone: place === 'model' ? owner : null,
    tray: place === 'stock' ? owner : null,
    copy: place === 'shipped' || place === 'donor' ? owner : null,
    order: place === 'order' ? owner : null,
    build: place === 'spares' ? owner : null,
  };
}

/**
 * A place that a diff names and that is not there, or closed; undefined when all are open. One that the diff itself closes
 * may be named: its last pieces are taken out of it.
 */
export function lostPlace(db: Database, diff: Diff): AccountKey | undefined {
  const closing = new Set(diff.removed.flatMap(placesOf));
  const keys = JSON.stringify([...placesNamed(diff)].filter((a) => !closing.has(a)));
  return db.get<{ id: AccountKey } | undefined>(sql`
    select k.value as id from json_each(${keys}) k left join accounts a on a.id = k.value
      where a.id is null or (a.place not in ('outside', 'own', 'gone')
        and coalesce(a.zone, a.tray, a.copy, a.order_id, a.build) is null)
      limit 1`)?.id;
}

/** True when something is kept whole in a place that a diff closes. */
export function isKeptInPlaces(db: Database, diff: Diff): boolean {
  const keys = JSON.stringify(diff.removed.flatMap(placesOf));
  return (
    db.get(
      sql`select 1 from kept_assemblies where account in (select value from json_each(${keys})) limit 1`,
    ) !== undefined
  );
}

/**
 * What lies, or is planned to come or go, at a closed place that a diff closes or touches: nothing may. Taking back an
 * entry may put pieces where no tray is any more, so what is removed counts too. Asked once the diff is written.
 */
export function leftInPlaces(db: Database, diff: Diff): BalanceRow | undefined {
  const touched = new Set([...placesNamed(diff), ...placesNamed(invertDiff(diff))]);
  const keys = JSON.stringify([...diff.removed.flatMap(placesOf), ...touched]);
  return whatLies(
    db,
    sql`(select a.id from accounts a join json_each(${keys}) k on k.value = a.id where ${CLOSED})`,
  );
}

/** True of a row of accounts, called `a`, that nobody owns any more. What a box shipped is no place that holds pieces. */
const CLOSED = sql`a.place not in ('outside', 'own', 'gone', 'shipped')
  and coalesce(a.zone, a.tray, a.copy, a.order_id, a.build) is null`;

/** True when a diff deletes what a place belongs to. */
export const closesPlace = (diff: Diff, place: AccountKey): boolean =>
  diff.removed.some((r) => placesOf(r).includes(place));

/** What lies, or is planned to come or go, at places that are closed: nothing, in a sound workspace. */
export const leftInClosed = (db: Database): BalanceRow | undefined =>
  whatLies(db, sql`(select a.id from accounts a where ${CLOSED})`);

const whatLies = (db: Database, places: ReturnType<typeof sql>): BalanceRow | undefined =>
  db.get<BalanceRow | undefined>(sql`
    select account, element, grade, sum(done) as qty from (
      select m.to_account as account, m.element, m.grade, iif(e.state = 'done', m.qty, 0) as done,
        e.state = 'planned' as planned from movements m join entries e on e.id = m.entry
        where m.to_account in ${places}
      union all
      select m.from_account, m.element, m.grade, iif(e.state = 'done', -m.qty, 0),
        e.state = 'planned' from movements m join entries e on e.id = m.entry
        where m.from_account in ${places}
    ) group by account, element, grade having sum(done) <> 0 or max(planned) limit 1`);
