import { goneAccount, isEndless, placeOf, type AccountKey } from '../places';
import type { Balances } from './balances';
import { ENTRY_KINDS, routeAllowed } from '../places';
import { isGrade, type Grade } from '../places';
import type { Entry } from '../records';
import type { ElementKey } from '../parts';

/** Why an entry is not a lawful one. */
export type EntryFault =
  | { readonly fault: 'no movements' }
  | { readonly fault: 'quantity'; readonly qty: number }
  | { readonly fault: 'same place'; readonly account: AccountKey }
  | { readonly fault: 'route'; readonly from: AccountKey; readonly to: AccountKey }
  | { readonly fault: 'uneven'; readonly off: number; readonly on: number }
  | { readonly fault: 'not the same pieces'; readonly element: ElementKey; readonly place: AccountKey }
  | { readonly fault: 'grade'; readonly grade: string }
  | { readonly fault: 'worth'; readonly worth: number };

/** The first law an entry breaks by itself, or undefined. Checked before every write, and again by the database. */
export function entryFault(entry: Entry): EntryFault | undefined {
  if (entry.movements.length === 0) return { fault: 'no movements' };
  let off = 0;
  let on = 0;
  for (const m of entry.movements) {
    if (!Number.isSafeInteger(m.qty) || m.qty <= 0) return { fault: 'quantity', qty: m.qty };
    if ((m.from === m.to) !== (ENTRY_KINDS[entry.kind].stays ?? false))
      return { fault: 'same place', account: m.from };
    // Of what is gone only what was lent comes back.
    const back = placeOf(m.from) !== 'gone' || m.from === goneAccount('lent');
    if (!back || !routeAllowed(entry.kind, placeOf(m.from), placeOf(m.to)))
      return { fault: 'route', from: m.from, to: m.to };
    if (!isGrade(m.grade)) return { fault: 'grade', grade: m.grade };
    if (m.worth !== null && (!Number.isSafeInteger(m.worth) || m.worth < 0))
      return { fault: 'worth', worth: m.worth };
    if (placeOf(m.from) === 'model') off += m.qty;
    if (placeOf(m.to) === 'model') on += m.qty;
  }
  if (ENTRY_KINDS[entry.kind].even && off !== on) return { fault: 'uneven', off, on };
  return ENTRY_KINDS[entry.kind].regrades ? regradeFault(entry) : undefined;
}

/** A regrade takes pieces out of a place and puts the same ones back: element by element, place by place. */
function regradeFault(entry: Entry): EntryFault | undefined {
  const away = new Map<string, { element: ElementKey; place: AccountKey; qty: number }>();
  for (const m of entry.movements) {
    const back = placeOf(m.from) === 'outside';
    const place = back ? m.to : m.from;
    const key = `${place} ${m.element}`;
    const qty = (away.get(key)?.qty ?? 0) + (back ? -m.qty : m.qty);
    away.set(key, { element: m.element, place, qty });
  }
  const torn = [...away.values()].find((a) => a.qty !== 0);
  return torn && { fault: 'not the same pieces', element: torn.element, place: torn.place };
}

/** A real place that holds fewer than no pieces. */
export interface Overdraft {
  readonly account: AccountKey;
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly short: number;
}

/** Real places below zero; in the done view there must be none. Sources and what is gone are not real places. */
export function overdrafts(balances: Balances): Overdraft[] {
  return balances
    .rows((a) => !isEndless(a))
    .filter((r) => r.qty < 0)
    .map(({ account, element, grade, qty }) => ({ account, element, grade, short: -qty }));
}
