import { added, BLANK_ENTRY, grade, orderAccount, OUTSIDE, stockAccount, type Entry } from '../ledger';
import { BLANK_ORDER, type Order } from '../records';
import { asId, type OrderId } from '../shared/ids';
import type { Workbench } from '../workbench';
import { did, makeWorkbench, TEST_TRAY } from './workbench';
import { el } from './world';

export const kelp = el('brick 2x4', 'kelp');

/** A build that promises can be made of: two zones, own parts and prices. */
export const bench = (): Workbench =>
  makeWorkbench({
    zones: { Wall: ['20 brick 2x4 ash'], Roof: ['12 slope 45 2x2 chalk yellowed', '3 plate 1x4 kelp'] },
    stock: ['4 brick 2x4 kelp'],
    prices: ['brick 2x4 ash 10', 'brick 2x4 kelp 12', 'slope 45 2x2 chalk 9'],
  });
/** An order of 5, due on a day; received on another, or still to come. */
export function ordered(b: Workbench, id: string, due: string, came: string | null): void {
  const order: Order = {
    ...BLANK_ORDER,
    id: asId<OrderId>(id),
    build: b.build,
    seller: id,
    due,
    placedAt: '2026-01-01',
  };
  const at = orderAccount(order.id);
  const piece = { element: kelp, grade: grade('new'), qty: 5, worth: 12 };
  const entry = (
    kind: Entry['kind'],
    loggedAt: string,
    from: Entry['movements'][number]['from'],
    to: typeof from,
  ): Entry => ({
    ...BLANK_ENTRY,
    id: asId(`${kind} ${id}`),
    build: b.build,
    kind,
    order: order.id,
    loggedAt,
    movements: [{ ...piece, from, to }],
  });
  did(b, { label: 'o', diff: added('order', order) });
  did(b, { label: 'o', diff: added('entry', entry('order', '2026-01-01', OUTSIDE, at)) });
  if (came)
    did(b, { label: 'o', diff: added('entry', entry('transfer', came, at, stockAccount(TEST_TRAY))) });
}
