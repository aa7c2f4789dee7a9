import type { Books, Copy } from '../ledger';
import type { ElementKey } from '../parts';
import { accountOwner, modelAccount, placeOf, zoneOf } from '../places';
import type { CopyId, ZoneId } from '../shared/ids';
import type { Workbench } from './workbench';

/** Pieces of the model by element, over all its zones, in some books. */
export function piecesOn(workbench: Workbench, books: Books): Map<ElementKey, number> {
  const sums = new Map<ElementKey, number>();
  for (const { id } of workbench.zones)
    for (const [element, n] of books.balances.elements(modelAccount(id)))
      if (n > 0) sums.set(element, (sums.get(element) ?? 0) + n);
  return sums;
}

/** Pieces that came out of one of a build's own boxes. */
export interface ShippedLot {
  readonly copy: Copy;
  readonly element: ElementKey;
  readonly qty: number;
  /** Where on the model they were; null = they were spare in the box, or it was broken up. */
  readonly zone: ZoneId | null;
}

/**
 * What a build's own boxes held when they were unpacked, whatever became of it since.
 *
 * @example shippedLots(workbench).filter((l) => l.copy.role === 'base')
 */
export function shippedLots(workbench: Workbench): ShippedLot[] {
  return workbench.entries.flatMap((e) =>
    e.kind !== 'unpack'
      ? []
      : e.movements.flatMap((m): ShippedLot[] => {
          if (placeOf(m.from) !== 'shipped') return [];
          const copy = workbench.records.copy.get(accountOwner<CopyId>(m.from));
          if (copy?.build !== workbench.build) return [];
          return [{ copy, element: m.element, qty: m.qty, zone: zoneOf(m.to) ?? null }];
        }),
  );
}
