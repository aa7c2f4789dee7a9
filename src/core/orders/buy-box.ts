import type { Source } from '../ledger';
import type { Workbench } from '../workbench';
import { added, BLANK_ENTRY, joinDiffs, type Diff } from '../ledger';
import { orderAccount, shippedAccount, type AccountKey, type Grade } from '../places';
import { BLANK_ORDER, type Copy, type Entry, type Order } from '../records';
import type { ElementKey } from '../parts';
import { asId, type CopyId, type EntryId, type OrderId } from '../shared/ids';
import type { Minor } from '../shared/money';
import type { MarketBox } from '../market';
import { addDays } from '../market';
import { boxGrade } from '../market';

/** A box that is bought: its order, and what of it waits there. */
export interface BoughtBox {
  readonly order: OrderId;
  readonly diff: Diff;
  readonly lots: readonly {
    readonly account: AccountKey;
    readonly element: ElementKey;
    readonly grade: Grade;
    readonly price: Minor;
    readonly qty: number;
  }[];
}

/** Buys a box: it waits sealed at an order of its own. */
export function buyBox(
  workbench: Workbench,
  box: MarketBox,
  no: number,
  today: string,
  source: Source,
): BoughtBox {
  const order: Order = {
    id: asId<OrderId>(source.newId()),
    build: workbench.build,
    seller: box.seller,
    ...BLANK_ORDER,
    simulated: box.own !== true,
    due: addDays(today, box.days),
    placedAt: source.now,
  };
  const at = orderAccount(order.id);
  const copy: Copy = {
    id: asId<CopyId>(source.newId()),
    build: workbench.build,
    setName: box.name,
    setCode: box.code,
    condition: box.condition,
    role: 'donor',
    price: box.price,
  };
  const g = boxGrade(box);
  const entry: Entry = {
    ...BLANK_ENTRY,
    id: asId<EntryId>(source.newId()),
    build: workbench.build,
    kind: 'unpack',
    no,
    order: order.id,
    note: box.name,
    loggedAt: source.now,
    movements: box.lots.map((l) => ({
      element: l.element,
      grade: g,
      qty: l.qty,
      from: shippedAccount(copy.id),
      to: at,
      worth: workbench.priceOf(l.element, g),
    })),
  };
  const lots = box.lots.map((l) => ({
    account: at,
    element: l.element,
    grade: g,
    price: workbench.priceOf(l.element, g) ?? 0,
    qty: l.qty,
  }));
  return {
    order: order.id,
    diff: joinDiffs(added('copy', copy), added('order', order), added('entry', entry)),
    lots,
  };
}
