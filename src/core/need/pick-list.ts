import type { Workbench } from '../workbench';
import { accountOwner, placeOf, type AccountKey, type Grade } from '../places';
import { freeOf } from '../ledger';
import { byElementName, partOf, splitElementKey, type ElementKey } from '../parts';
import type { EntryId, ModificationId } from '../shared/ids';

/** One thing to get out: so many of an element from a place. */
export interface PickLine {
  readonly place: 'stock' | 'spares' | 'donor';
  readonly account: AccountKey;
  /** Tray's name, "spares", or the box. */
  readonly where: string;
  /** Rank of the place along the racks. */
  readonly rank: number;
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
  readonly modification: ModificationId | null;
  readonly entries: readonly EntryId[];
}

export const PICK_ORDERS = ['tray', 'shape'] as const;
export type PickOrder = (typeof PICK_ORDERS)[number];

/**
 * What planned entries take out of own parts, spares and boxes: in the order of the trays, or for sorting into cups by
 * family, size and colour. With a modification, only its own.
 */
export function pickList(
  workbench: Workbench,
  order: PickOrder,
  only: ModificationId | null = null,
): PickLine[] {
  const trays = new Map([...workbench.records.tray.values()].map((t) => [t.id as string, t]));
  const { kept } = workbench;
  const lines = new Map<string, PickLine>();
  for (const e of workbench.entries) {
    if (e.state !== 'planned' || e.whatIf !== null || (only && e.modification !== only)) continue;
    for (const m of e.movements) {
      const place = placeOf(m.from);
      if (place !== 'stock' && place !== 'spares' && place !== 'donor') continue;
      const tray = trays.get(accountOwner(m.from));
      const copy = workbench.records.copy.get(accountOwner(m.from));
      const where =
        place === 'stock' ? (tray?.name ?? 'tray') : place === 'donor' ? (copy?.setName ?? 'box') : 'spares';
      const key = `${m.from}|${m.element}|${m.grade}`;
      const old = lines.get(key);
      // No more can be got out than is free there, whatever the plans say.
      const free = freeOf(workbench.built.balances, m.from, m.element, m.grade, kept);
      const rest = free - (old?.qty ?? 0);
      const qty = Math.min(m.qty, rest);
      if (qty <= 0) continue;
      lines.set(key, {
        place,
        account: m.from,
        where: tray?.place ? `${where}, ${tray.place}` : where,
        rank: place === 'stock' ? (tray?.position ?? 0) : place === 'spares' ? -1 : 1e6,
        element: m.element,
        grade: m.grade,
        qty: (old?.qty ?? 0) + qty,
        modification: e.modification,
        entries: [...(old?.entries ?? []), e.id],
      });
    }
  }
  const shape = (l: PickLine) => {
    const { part } = splitElementKey(l.element);
    const { family, size } = partOf(part);
    return [family.name, size[0], size[1]] as const;
  };
  return [...lines.values()].sort((a, b) => {
    if (order === 'tray')
      return a.rank - b.rank || a.where.localeCompare(b.where) || byElementName(a.element, b.element);
    const [x, y] = [shape(a), shape(b)];
    return x[0].localeCompare(y[0]) || x[1] - y[1] || x[2] - y[2] || byElementName(a.element, b.element);
  });
}
