'use client';

import {
  batchOf,
  modelAccount,
  sparesAccount,
  stockAccount,
  type AccountKey,
  type Grade,
} from '@/core/ledger';
import { byElementName, type ElementKey } from '@/core/parts';
import type { Workbench } from '@/core/workbench';

/** A place whose parts can be read. */
export interface ReadPlace {
  readonly account: AccountKey;
  readonly name: string;
}

/** Pieces of one element and grade at a place. */
export interface LotToRead {
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
  /** Pieces of the element there that have a batch already: the next piece to hold the meter on comes after them. */
  readonly readBefore: number;
}

/** Zones, the spares and the trays. */
export const placesToRead = (workbench: Workbench): ReadPlace[] => [
  ...workbench.zones.map((z) => ({ account: modelAccount(z.id), name: z.name })),
  { account: sparesAccount(workbench.build), name: 'Spares' },
  ...[...workbench.records.tray.values()].map((t) => ({
    account: stockAccount(t.id),
    name: `Tray ${t.name}`,
  })),
];

/** What can be read at a place, unread ones first. */
export function lotsToRead(workbench: Workbench, account: AccountKey): LotToRead[] {
  const rows = workbench.built.balances.rows((a) => a === account).filter((r) => r.qty > 0);
  const before = new Map<ElementKey, number>();
  for (const r of rows) if (batchOf(r.grade)) before.set(r.element, (before.get(r.element) ?? 0) + r.qty);
  return rows
    .map((r) => ({ element: r.element, grade: r.grade, qty: r.qty, readBefore: before.get(r.element) ?? 0 }))
    .sort(
      (a, b) =>
        Number(!!batchOf(a.grade)) - Number(!!batchOf(b.grade)) || byElementName(a.element, b.element),
    );
}
