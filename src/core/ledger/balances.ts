import type { ElementKey } from '../parts';
import { placeOf, type AccountKey, type Place } from './accounts';
import { byGrade, type Grade } from './grades';
import type { Movement } from './records';

/** One line of a balance. */
export interface BalanceRow {
  readonly account: AccountKey;
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
}

/**
 * How many pieces of each element and grade are at each account. The one mutable thing of the ledger, so that an
 * entry costs only its own movements; `add(m)` followed by `add(m, -1)` leaves it as it was.
 */
export class Balances {
  private readonly accounts = new Map<AccountKey, Map<ElementKey, Map<Grade, number>>>();
  private readonly totals = new Map<AccountKey, number>();

  /** Carries a movement out `times` times; -1 takes it back. */
  add(m: Movement, times = 1): void {
    this.put(m.from, m.element, m.grade, -m.qty * times);
    this.put(m.to, m.element, m.grade, m.qty * times);
  }

  /** Puts pieces at an account, without another end. For balances carried over from other books. */
  put(account: AccountKey, element: ElementKey, grade: Grade, qty: number): void {
    let elements = this.accounts.get(account);
    if (!elements) this.accounts.set(account, (elements = new Map()));
    let grades = elements.get(element);
    if (!grades) elements.set(element, (grades = new Map()));
    const now = (grades.get(grade) ?? 0) + qty;
    if (now === 0) grades.delete(grade);
    else grades.set(grade, now);
    if (grades.size === 0) elements.delete(element);
    this.totals.set(account, (this.totals.get(account) ?? 0) + qty);
  }

  /** Pieces of an element at an account, over all grades or of one. */
  at(account: AccountKey, element: ElementKey, g?: Grade): number {
    const grades = this.accounts.get(account)?.get(element);
    if (!grades) return 0;
    if (g !== undefined) return grades.get(g) ?? 0;
    let sum = 0;
    for (const qty of grades.values()) sum += qty;
    return sum;
  }

  /** Grades of an element at an account with their pieces, best first. */
  grades(account: AccountKey, element: ElementKey): [Grade, number][] {
    const grades = this.accounts.get(account)?.get(element);
    return grades ? [...grades].sort(([a], [b]) => byGrade(a, b)) : [];
  }

  /** All pieces at an account. */
  total(account: AccountKey): number {
    return this.totals.get(account) ?? 0;
  }

  accountKeys(place?: Place): AccountKey[] {
    const keys = [...this.accounts.keys()];
    return place ? keys.filter((k) => placeOf(k) === place) : keys;
  }

  /** Elements at an account with their pieces over all grades. */
  elements(account: AccountKey): [ElementKey, number][] {
    const elements = this.accounts.get(account);
    if (!elements) return [];
    return [...elements].map(([element, grades]) => {
      let sum = 0;
      for (const qty of grades.values()) sum += qty;
      return [element, sum];
    });
  }

  /** Every balance that is not zero. */
  rows(wanted: (account: AccountKey) => boolean = () => true): BalanceRow[] {
    const rows: BalanceRow[] = [];
    for (const [account, elements] of this.accounts) {
      if (!wanted(account)) continue;
      for (const [element, grades] of elements)
        for (const [g, qty] of grades) rows.push({ account, element, grade: g, qty });
    }
    return rows;
  }
}
