import type { Pieces } from '../ledger';
import { partOf, splitElementKey, type ElementKey } from '../parts';

/** By what pieces are sorted on a table. */
export const SORT_BY = ['family', 'size', 'colour'] as const;
export type SortBy = (typeof SORT_BY)[number];

/** What goes into one bin. */
export interface Bin {
  /** The families, sizes or colours that are in it, most pieces first. */
  readonly names: readonly string[];
  readonly pieces: number;
  readonly lots: readonly Pieces[];
}

const KEYS: Readonly<Record<SortBy, (element: ElementKey) => string>> = {
  family: (e) => partOf(splitElementKey(e).part).family.group,
  size: (e) => {
    const [a, b] = partOf(splitElementKey(e).part).size;
    return `${Math.min(a, b)}x${Math.max(a, b)}`;
  },
  colour: (e) => splitElementKey(e).colour,
};

/**
 * So many bins for pieces on a table: those of one family, size or colour lie together, and while there are more of those than
 * bins, the two with the fewest pieces share one, so that no bin is much fuller than it must be. Fullest first.
 *
 * @example sortingPlan([{ element: brick1x2Ash, qty: 9 }, { element: tile1x2Kelp, qty: 2 }], 'colour', 4).length // 2
 */
export function sortingPlan(pieces: readonly Pieces[], by: SortBy, bins: number): Bin[] {
  const groups = new Map<string, Bin>();
  for (const lot of pieces) {
    const name = KEYS[by](lot.element);
    const old = groups.get(name);
    groups.set(name, {
      names: [name],
      pieces: (old?.pieces ?? 0) + lot.qty,
      lots: [...(old?.lots ?? []), lot],
    });
  }
  const fullest = (a: Bin, b: Bin) => b.pieces - a.pieces || (a.names[0]! < b.names[0]! ? -1 : 1);
  const sorted = [...groups.values()].sort(fullest);
  while (sorted.length > Math.max(1, bins)) {
    const [b, a] = [sorted.pop()!, sorted.pop()!];
    sorted.push({
      names: [...a.names, ...b.names],
      pieces: a.pieces + b.pieces,
      lots: [...a.lots, ...b.lots],
    });
    sorted.sort(fullest);
  }
  return sorted;
}
