import {
  Balances,
  stockAccount,
  type AccountKey,
  type Diff,
  type Entry,
  type Movement,
  type Tray,
} from '../ledger';
import type { StockLot } from '../stock';
import { makeWorkbench, used, zoneId } from './workbench';
import { el } from './world';
import { asId, type TrayId } from '../shared/ids';

/** A planned entry that takes pieces of own parts for the porch. */
export const planTaking = (from: AccountKey, part: string, colour: string, qty: number, id = 'p'): Entry => {
  const workbench = makeWorkbench({ zones: { Porch: ['1 brick 1x2 ash'] } });
  const [unpack] = workbench.entries;
  const movement: Movement = {
    element: el(part, colour),
    grade: used,
    qty,
    from,
    to: `model:${zoneId('Porch')}` as AccountKey,
    worth: null,
  };
  return { ...unpack!, id: asId(id), kind: 'add', state: 'planned', movements: [movement] };
};

/** A tray by its name. */
export const tray = (id: string, position = 1): Tray => ({
  id: asId<TrayId>(id),
  name: id,
  place: '',
  position,
});
/** Where its parts lie. */
export const at = (id: string): AccountKey => stockAccount(asId<TrayId>(id));
export const lot = (account: AccountKey, part: string, colour: string, qty: number, g = used): StockLot => ({
  account,
  element: el(part, colour),
  grade: g,
  qty,
});
/** The entries that a difference adds. */
export const entriesOf = (diff: Diff): Entry[] =>
  diff.added.flatMap((r) => (r.type === 'entry' ? [r.record] : []));

/** What lies where after some entries, from what lay there before. */
export function after(rows: readonly StockLot[], entries: readonly Entry[]): Balances {
  const balances = new Balances();
  for (const r of rows) balances.put(r.account, r.element, r.grade, r.qty);
  for (const e of entries) for (const m of e.movements) balances.add(m);
  return balances;
}
