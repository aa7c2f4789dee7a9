import {
  added,
  BLANK_ENTRY,
  changed,
  joinDiffs,
  orderAccount,
  placeOf,
  type Entry,
  type Order,
} from '../ledger';
import { asId, type EntryId, type OrderId } from '../shared/ids';
import type { Command, Source } from '../ledger';
import type { Workbench } from './workbench';

/** Pieces that planned entries are still to be bought for: planned, and from outside. */
export const toBuy = (entries: readonly Entry[]): Entry[] =>
  entries.filter((e) => e.state === 'planned' && e.movements.some((m) => placeOf(m.from) === 'outside'));

/**
 * Places an order for what some planned entries are to buy: the money is spent now, the pieces wait at the order, and
 * the plans take them from there. One order entry for each modification, so that each carries its own cost.
 */
export function placeOrder(
  workbench: Workbench,
  entries: readonly Entry[],
  parcel: { seller: string; postage: number; due: string },
  source: Source,
): Command {
  const id = asId<OrderId>(source.newId());
  const at = orderAccount(id);
  const order: Order = { id, build: workbench.build, ...parcel, placedAt: source.now };
  let no = workbench.nextEntry(null).no;
  const buying = toBuy(entries);
  const bought = [...new Set(buying.map((e) => e.modification))].map((modification): Entry => {
    const movements = buying
      .filter((e) => e.modification === modification)
      .flatMap((e) =>
        e.movements.filter((m) => placeOf(m.from) === 'outside').map((m) => ({ ...m, to: at })),
      );
    return {
      ...BLANK_ENTRY,
      kind: 'order',
      id: asId<EntryId>(source.newId()),
      build: workbench.build,
      modification,
      no: no++,
      order: id,
      note: parcel.seller,
      loggedAt: source.now,
      movements,
    };
  });
  const planned = buying.map((e) =>
    changed('entry', e, {
      order: id,
      movements: e.movements.map((m) => (placeOf(m.from) === 'outside' ? { ...m, from: at } : m)),
    }),
  );
  return {
    label: `order from ${parcel.seller}`,
    diff: joinDiffs(added('order', order), added('entry', ...bought), ...planned),
  };
}
