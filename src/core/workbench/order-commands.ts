import {
  added,
  BLANK_ENTRY,
  BLANK_ORDER,
  changed,
  joinDiffs,
  orderAccount,
  placeOf,
  type Entry,
  type Movement,
  type Order,
} from '../ledger';
import { asId, type EntryId, type OrderId } from '../shared/ids';
import type { Minor } from '../shared/money';
import type { Command, Source } from '../ledger';
import type { Workbench } from './workbench';

/** Pieces that planned entries are still to be bought for: planned, and from outside. */
export const toBuy = (entries: readonly Entry[]): Entry[] =>
  entries.filter((e) => e.state === 'planned' && e.movements.some((m) => placeOf(m.from) === 'outside'));

/** An order as it was placed, anywhere. */
export interface PlacedOrder {
  readonly seller: string;
  readonly postage: Minor;
  /** What else was paid for the parcel; left out = nothing. */
  readonly fees?: Minor;
  /** The day it is expected on; empty = not known. */
  readonly due: string;
  /** The day it was placed on; left out = now. */
  readonly placedAt?: string;
  /** What a piece of a kind costs there, by `boughtKey`; null = not known. What is left out keeps its planned price. */
  readonly prices?: ReadonlyMap<string, Minor | null>;
}

/** The key of a kind that is bought: an element in a condition. */
export const boughtKey = (m: Pick<Movement, 'element' | 'grade'>): string => `${m.element}#${m.grade}`;

/** What some entries are to buy, kind by kind: pieces, and the planned price of each where it is the same for all. */
export function kindsToBuy(entries: readonly Entry[]): { key: string; lot: Movement }[] {
  const kinds = new Map<string, Movement>();
  for (const m of toBuy(entries).flatMap((e) => e.movements))
    if (placeOf(m.from) === 'outside') {
      const old = kinds.get(boughtKey(m));
      const worth = !old || old.worth === m.worth ? m.worth : null;
      kinds.set(boughtKey(m), { ...m, qty: m.qty + (old?.qty ?? 0), worth });
    }
  return [...kinds].map(([key, lot]) => ({ key, lot }));
}

/**
 * Places an order for what some planned entries are to buy: the money is spent now, the pieces wait at the order, and
 * the plans take them from there. One order entry for each modification, so that each carries its own cost.
 */
export function placeOrder(
  workbench: Workbench,
  entries: readonly Entry[],
  parcel: PlacedOrder,
  source: Source,
): Command {
  const {
    seller,
    postage,
    fees = 0,
    due,
    placedAt = source.now,
    prices = new Map<string, Minor | null>(),
  } = parcel;
  const id = asId<OrderId>(source.newId());
  const at = orderAccount(id);
  const order: Order = { id, build: workbench.build, ...BLANK_ORDER, seller, postage, fees, due, placedAt };
  const paid = (m: Movement): Movement => {
    const price = prices.get(boughtKey(m));
    return price === undefined ? m : { ...m, worth: price };
  };
  let no = workbench.nextEntry(null).no;
  const buying = toBuy(entries);
  const bought = [...new Set(buying.map((e) => e.modification))].map((modification): Entry => {
    const movements = buying
      .filter((e) => e.modification === modification)
      .flatMap((e) =>
        e.movements.filter((m) => placeOf(m.from) === 'outside').map((m) => ({ ...paid(m), to: at })),
      );
    return {
      ...BLANK_ENTRY,
      kind: 'order',
      id: asId<EntryId>(source.newId()),
      build: workbench.build,
      modification,
      no: no++,
      order: id,
      note: seller,
      loggedAt: source.now,
      movements,
    };
  });
  const planned = buying.map((e) =>
    changed('entry', e, {
      order: id,
      movements: e.movements.map((m) => (placeOf(m.from) === 'outside' ? { ...paid(m), from: at } : m)),
    }),
  );
  return {
    label: `order from ${seller}`,
    diff: joinDiffs(added('order', order), added('entry', ...bought), ...planned),
  };
}
