import { GROUPS, partOf, splitElementKey, type ElementKey, type PartGroup } from '@/core/parts';

export interface TrayLot {
  readonly element: ElementKey;
  readonly qty: number;
  /** Pieces of each condition, most first. */
  readonly conditions: readonly (readonly [condition: string, qty: number])[];
}

export type TrayRow =
  | { readonly kind: 'group'; readonly name: PartGroup; readonly qty: number }
  | { readonly kind: 'lots'; readonly lots: readonly TrayLot[] };

const COLUMNS = 3;

/** "1×2", "45° 2×1", or the name where there is no size. */
export function shortSize(part: string): string {
  const read = partOf(part as never);
  const size = /(?<![\d./])\d[\d./]*x\d[\d./x ]*/.exec(part)?.[0]?.trim().replaceAll('x', '×');
  const angle = read.angle ? `${read.angle}° ` : '';
  return size ? `${angle}${size}` : part;
}

/** Lots under the headings of their groups, three to a row, most pieces first. */
export function trayRows(lots: readonly TrayLot[]): TrayRow[] {
  const groups = new Map<PartGroup, TrayLot[]>();
  for (const lot of lots) {
    const { group } = partOf(splitElementKey(lot.element).part).family;
    const held = groups.get(group);
    if (held) held.push(lot);
    else groups.set(group, [lot]);
  }
  return GROUPS.flatMap((name): TrayRow[] => {
    const held = groups.get(name)?.sort((a, b) => b.qty - a.qty || (a.element < b.element ? -1 : 1));
    if (!held) return [];
    const rows = Array.from({ length: Math.ceil(held.length / COLUMNS) }, (_, i): TrayRow => ({
      kind: 'lots',
      lots: held.slice(i * COLUMNS, (i + 1) * COLUMNS),
    }));
    return [{ kind: 'group', name, qty: held.reduce((s, l) => s + l.qty, 0) }, ...rows];
  });
}
