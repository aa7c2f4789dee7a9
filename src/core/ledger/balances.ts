import type { ElementKey } from '../parts';
import { placeOf, type AccountKey, type Place } from '../places';
import { GradeCounts } from './grade-counts';
import type { Grade } from '../places';
import type { Movement } from '../records';

/** One line of a balance. */
export interface BalanceRow {
  readonly account: AccountKey;
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
}

/** What is at one account. An element without pieces is not listed. */
interface Held {
  total: number;
  readonly elements: Map<ElementKey, GradeCounts>;
}

/**
 * How many pieces of each element and grade are at each account. The one mutable thing of the ledger, so that an
 * entry costs only its own movements; `add(m)` followed by `add(m, -1)` leaves it as it was.
 */
export class Balances {
  private readonly accounts = new Map<AccountKey, Held>();

  /** The same balances, to be carried on by themselves. */
  copy(): Balances {
    const copy = new Balances();
    for (const [account, { total, elements }] of this.accounts) {
      const own = new Map<ElementKey, GradeCounts>();
      for (const [element, counts] of elements) own.set(element, counts.copy());
      copy.accounts.set(account, { total, elements: own });
    }
    return copy;
  }

  /** Carries a movement out `times` times; -1 takes it back. */
  add(m: Movement, times = 1): void {
    this.put(m.from, m.element, m.grade, -m.qty * times);
    this.put(m.to, m.element, m.grade, m.qty * times);
  }

  private heldAt(account: AccountKey): Held {
    const known = this.accounts.get(account);
    if (known) return known;
    const fresh: Held = { total: 0, elements: new Map() };
    this.accounts.set(account, fresh);
    return fresh;
  }

  /** Puts pieces at an account, without another end. For balances carried over from other books. */
  put(account: AccountKey, element: ElementKey, grade: Grade, qty: number): void {
    const held = this.heldAt(account);
    held.total += qty;
    const counts = held.elements.get(element);
    if (!counts) held.elements.set(element, new GradeCounts(grade, qty));
    else {
      counts.add(grade, qty);
      if (counts.isEmpty) held.elements.delete(element);
    }
  }

  /** Pieces of an element at an account, over all grades or of one. */
  at(account: AccountKey, element: ElementKey, g?: Grade): number {
    const counts = this.accounts.get(account)?.elements.get(element);
    if (!counts) return 0;
    return g === undefined ? counts.sum() : counts.get(g);
  }

  /** Grades of an element at an account with their pieces, best first. */
  grades(account: AccountKey, element: ElementKey): [Grade, number][] {
    return this.accounts.get(account)?.elements.get(element)?.list() ?? [];
  }

  /** All pieces at an account. */
  total(account: AccountKey): number {
    return this.accounts.get(account)?.total ?? 0;
  }

  accountKeys(place?: Place): AccountKey[] {
    const keys = [...this.accounts.keys()];
    return place ? keys.filter((k) => placeOf(k) === place) : keys;
  }

  /** Elements at an account with their pieces over all grades. */
  elements(account: AccountKey): [ElementKey, number][] {
    const held = this.accounts.get(account);
    if (!held) return [];
    return [...held.elements].map(([element, counts]) => [element, counts.sum()]);
  }

  /** Every balance that is not zero. */
  rows(wanted: (account: AccountKey) => boolean = () => true): BalanceRow[] {
    const rows: BalanceRow[] = [];
    for (const [account, held] of this.accounts) {
      if (!wanted(account)) continue;
      for (const [element, counts] of held.elements)
        for (const [g, qty] of counts.list()) rows.push({ account, element, grade: g, qty });
    }
    return rows;
  }

  /** Every balance of one element that is not zero, in the order of `rows`. */
  rowsOf(element: ElementKey, wanted: (account: AccountKey) => boolean = () => true): BalanceRow[] {
    return [...this.accounts].flatMap(([account, held]) => {
      const counts = held.elements.get(element);
      if (!counts || !wanted(account)) return [];
      return counts.list().map(([grade, qty]) => ({ account, element, grade, qty }));
    });
  }
}
