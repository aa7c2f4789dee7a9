import { changed, joinDiffs, written, type Command } from '../ledger';
import type { ElementKey } from '../parts';
import type { Price } from '../records';
import type { Minor } from '../shared/money';
import { unpricedBoxId, unpricedId, unpricedThings, type UnpricedLot } from './unpriced';
import type { Workbench } from './workbench';

/** A price that was given for something that had none, by its id: of a lot for each piece. */
export interface GivenPrice {
  readonly id: string;
  readonly price: Minor;
}

/**
 * Gives what has no price its own: pieces in every entry of the build that lacks it, and in the price book where it has none for that
 * condition; boxes and what was done with stickers by themselves. What has a price keeps it.
 *
 * @example givePrices(workbench, [{ id: 'new brick 1x2|ash', price: 10 }, { id: 'box c1', price: 0 }]) // a box that was a gift
 */
export function givePrices(workbench: Workbench, given: readonly GivenPrice[]): Command {
  const by = new Map(given.map((g) => [g.id, g.price]));
  const entries = workbench.entries.flatMap((entry) => {
    let found = false;
    const movements = entry.movements.map((m) => {
      const worth = by.get(unpricedId(entry, m) ?? '');
      if (worth === undefined) return m;
      found = true;
      return { ...m, worth };
    });
    return found ? [changed('entry', entry, { movements })] : [];
  });
  const boxes = [...workbench.records.copy.values()].flatMap((box) => {
    const price = box.price === null ? by.get(unpricedBoxId(box)) : undefined;
    return price === undefined ? [] : [changed('copy', box, { price })];
  });
  const n = given.length;
  return {
    label: `give ${n} ${n === 1 ? 'price' : 'prices'}`,
    diff: joinDiffs(...entries, ...boxes, ...intoTheBook(workbench, by)),
  };
}

/** Prices of pieces for the price book, where it has none for that condition. */
function intoTheBook(workbench: Workbench, by: ReadonlyMap<string, Minor>) {
  const book = new Map<ElementKey, Price>();
  const lots = unpricedThings(workbench).filter((t): t is UnpricedLot => t.of === 'lot');
  for (const { id, element, isNew } of lots) {
    const each = by.get(id);
    if (each === undefined) continue;
    const price = book.get(element) ??
      workbench.records.price.get(element) ?? { id: element, element, newPrice: null, usedPrice: null };
    const slot = isNew ? 'newPrice' : 'usedPrice';
    if (price[slot] === null) book.set(element, { ...price, [slot]: each });
  }
  return [...book.values()].map((p) => written('price', workbench.records.price.get(p.id), p));
}
