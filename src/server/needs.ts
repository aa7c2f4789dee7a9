import { Workbench } from '@/core/workbench';
import { needOf } from '@/core/need';
import type { ElementKey } from '@/core/parts';
import type { BuildId } from '@/core/shared/ids';
import type { Handle } from '@/data/database';
import { buildsThatPlan } from '@/data/own-parts';
import { stockOrder } from '@/data/openings';
import { takeOpening } from './snapshot';

/** What one build still lacks when the builds before it have taken theirs from own parts. */
export interface BuildNeed {
  readonly build: BuildId;
  readonly name: string;
  readonly missing: number;
  readonly lots: readonly { readonly element: ElementKey; readonly hidden: boolean; readonly qty: number }[];
}

/**
 * The needs of all builds that share own parts, in the order in which they have them. Only builds that plan something,
 * or have a placeholder on the model, can lack anything: the others are not opened.
 */
export function needsOfAll(handle: Handle): BuildNeed[] {
  const planning = buildsThatPlan(handle.db);
  return stockOrder(handle.db).builds.map((b) => {
    const snapshot = planning.has(b.id) ? takeOpening(handle, b.id) : undefined;
    if (!snapshot) return { build: b.id, name: b.name, missing: 0, lots: [] };
    const { missing, lots } = needOf(new Workbench(snapshot));
    const short = lots.map(({ element, hidden, qty }) => ({ element, hidden, qty }));
    return { build: b.id, name: b.name, missing, lots: short };
  });
}
