import { needOf } from '@/core/supply';
import type { ElementKey } from '@/core/parts';
import type { BuildId } from '@/core/shared/ids';
import type { Handle } from '@/data/database';
import { openWorkbench, storesOrder } from './snapshot';

/** What one build still lacks when the builds before it have taken theirs from the stores. */
export interface BuildNeed {
  readonly build: BuildId;
  readonly name: string;
  readonly missing: number;
  readonly lots: readonly { readonly element: ElementKey; readonly hidden: boolean; readonly qty: number }[];
}

/** The needs of all builds that share the stores, in the order in which they have them. */
export function needsOfAll(handle: Handle): BuildNeed[] {
  return storesOrder(handle.db).builds.flatMap((b) => {
    const bench = openWorkbench(handle, b.id);
    if (!bench) return [];
    const { missing, lots } = needOf(bench);
    return [
      {
        build: b.id,
        name: b.name,
        missing,
        lots: lots.map(({ element, hidden, qty }) => ({ element, hidden, qty })),
      },
    ];
  });
}
