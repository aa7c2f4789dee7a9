import { sql } from 'drizzle-orm';
import type { BalanceRow } from '@/core/ledger';
import type { Database } from './database';

/**
 * Balances that the entries of other builds and of own parts leave at shared places (own parts, and whatever else they
 * touch): what the done ones come to, or what the planned ones would change. What-if entries are nobody's plan yet and are
 * left out.
 */
export function balancesElsewhere(
  db: Database,
  exceptBuild: string,
  of: 'done' | 'planned',
  elements?: readonly string[],
): BalanceRow[] {
  // Where only some elements are asked for, it is looked up by them and not gone through.
  const some = elements
    ? sql`and m.element in (select value from json_each(${JSON.stringify(elements)}))`
    : sql``;
  const state = sql`e.state = ${of} and e.what_if is null`;
  return db.all<BalanceRow>(sql`
    select account, element, grade, sum(qty) as qty from (
      select m.to_account as account, m.element, m.grade, m.qty from movements m join entries e on e.id = m.entry
        where ${state} and (e.build is null or e.build <> ${exceptBuild}) and m.to_account glob 'stock:*' ${some}
      union all
      select m.from_account, m.element, m.grade, -m.qty from movements m join entries e on e.id = m.entry
        where ${state} and (e.build is null or e.build <> ${exceptBuild}) and m.from_account glob 'stock:*' ${some}
    ) group by account, element, grade having sum(qty) <> 0`);
}

/** What lies in own parts and in the spares of all builds now: everything that is left over. */
export function leftOvers(db: Database): BalanceRow[] {
  return db.all<BalanceRow>(sql`
    select account, element, grade, sum(qty) as qty from (
      select m.to_account as account, m.element, m.grade, m.qty from movements m join entries e on e.id = m.entry
        where e.state = 'done' and (m.to_account glob 'stock:*' or m.to_account glob 'spares:*')
      union all
      select m.from_account, m.element, m.grade, -m.qty from movements m join entries e on e.id = m.entry
        where e.state = 'done' and (m.from_account glob 'stock:*' or m.from_account glob 'spares:*')
    ) group by account, element, grade having sum(qty) > 0`);
}

/** Spares of all builds that no plan takes: of each kind the lesser of what is there and what the plans leave. */
export function freeSpares(db: Database): (BalanceRow & { build: string })[] {
  return db.all<BalanceRow & { build: string }>(sql`
    select account, substr(account, 8) as build, element, grade, min(sum(done), sum(qty)) as qty from (
      select m.to_account as account, m.element, m.grade, m.qty, iif(e.state = 'done', m.qty, 0) as done
        from movements m join entries e on e.id = m.entry
        where e.what_if is null and m.to_account glob 'spares:*'
      union all
      select m.from_account, m.element, m.grade, -m.qty, iif(e.state = 'done', -m.qty, 0)
        from movements m join entries e on e.id = m.entry
        where e.what_if is null and m.from_account glob 'spares:*'
    ) group by account, element, grade having min(sum(done), sum(qty)) > 0`);
}

/** What is in own parts now, by tray, element and grade. */
export function stockBalances(db: Database): BalanceRow[] {
  return balancesElsewhere(db, '', 'done');
}

/** Done balances below zero of real places, among some accounts: the law that every write is checked against. */
export function overdrawn(db: Database, accounts: readonly string[]): BalanceRow[] {
  if (accounts.length === 0) return [];
  const list = sql.join(
    accounts.map((a) => sql`${a}`),
    sql`, `,
  );
  return db.all<BalanceRow>(sql`
    select account, element, grade, sum(qty) as qty from (
      select m.to_account as account, m.element, m.grade, m.qty from movements m join entries e on e.id = m.entry
        where e.state = 'done' and m.to_account in (${list})
      union all
      select m.from_account, m.element, m.grade, -m.qty from movements m join entries e on e.id = m.entry
        where e.state = 'done' and m.from_account in (${list})
    ) group by account, element, grade having sum(qty) < 0 limit 20`);
}

/** The sum over all accounts of every element: empty when the books balance. For tests and the integrity check. */
export function unbalanced(db: Database): { element: string; qty: number }[] {
  return db.all(sql`
    select element, sum(qty) as qty from (
      select element, qty from movements union all select element, -qty from movements
    ) group by element having sum(qty) <> 0`);
}
