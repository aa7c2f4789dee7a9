import type { Entry } from '../ledger';
import { placeOf } from '../places';

/**
 * What of some orders is still to come, pieces, and the moment at which the last that came left its order; '' = nothing came.
 *
 * @example stillToCome(workbench.entries, new Set([order.id])) // { open: 0, last: '2026-01-15T10:00:00Z' }
 */
export function stillToCome(
  entries: readonly Entry[],
  orders: ReadonlySet<Entry['order']>,
): { readonly open: number; readonly last: string } {
  let [open, last] = [0, ''];
  for (const e of entries) {
    if (!e.order || !orders.has(e.order) || e.state !== 'done') continue;
    for (const m of e.movements) {
      if (placeOf(m.to) === 'order') open += m.qty;
      if (placeOf(m.from) !== 'order') continue;
      open -= m.qty;
      if (e.loggedAt > last) last = e.loggedAt;
    }
  }
  return { open, last };
}
