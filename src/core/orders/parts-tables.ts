import type { Workbench } from '../workbench';
import { placeOf } from '../places';
import { elementKey, splitElementKey } from '../parts';
import { moneyAsDecimal } from '../shared/money';
import { boxOf } from './receive-order';
import { pickList } from '../need';
import type { Cell, ListTable } from '../formats/csv';

export const ORDERS_COLUMNS = [
  'seller',
  'placed',
  'due',
  'postage',
  'quantity',
  'part',
  'colour',
  'print',
  'condition',
  'price',
  'awaited',
  'box',
  'box price',
] as const;

/** Every order, a row a lot: what was bought, at what price, and how much of it is still on its way. */
export function ordersTable(workbench: Workbench): ListTable {
  const rows = workbench.entries
    .filter((e) => e.kind === 'order' || e.kind === 'unpack')
    .flatMap((e) => {
      const order = e.order ? workbench.records.order.get(e.order) : undefined;
      if (!order) return [];
      const copy = e.kind === 'unpack' ? boxOf(workbench, order) : undefined;
      return e.movements
        .filter((m) => placeOf(m.to) === 'order')
        .map((m): Cell[] => {
          const { part, colour, print } = splitElementKey(m.element);
          const there = workbench.built.balances.at(m.to, elementKey(part, colour, print), m.grade);
          return [
            order.seller,
            order.placedAt.slice(0, 10),
            order.due,
            moneyAsDecimal(order.postage),
            m.qty,
            part,
            colour,
            print,
            m.grade,
            // A box has one price for all that is in it.
            m.worth === null || copy ? '' : moneyAsDecimal(m.worth),
            Math.min(m.qty, Math.max(0, there)),
            copy?.setName ?? '',
            copy && copy.price !== null ? moneyAsDecimal(copy.price) : '',
          ];
        });
    });
  return { heading: ORDERS_COLUMNS, rows };
}

export const PICK_COLUMNS = ['place', 'quantity', 'part', 'colour', 'print', 'condition'] as const;

/** What planned entries take out of trays, boxes and spares, in the order of the trays. */
export const pickTable = (workbench: Workbench): ListTable => ({
  heading: PICK_COLUMNS,
  rows: pickList(workbench, 'tray').map((l): Cell[] => {
    const { part, colour, print } = splitElementKey(l.element);
    return [l.where, l.qty, part, colour, print, l.grade];
  }),
});
