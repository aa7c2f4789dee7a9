import { countEntry, type Figures } from '../ledger/figures';
import { noFigures } from '../ledger/figures';
import { inView } from '../ledger';
import type { Entry } from '../records';
import type { ModificationId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** How a build stood after an entry. Pieces and minor units; costs without the shares of postage and boxes. */
export interface GrowthPoint {
  readonly entry: Entry;
  readonly onModel: number;
  readonly net: number;
  readonly outOfPocket: number;
}

/**
 * A build, or some of its modifications, growing line by line in the order in which they were logged: what stood, the net change
 * and what had been paid after each. Entries that move nothing on the model, and cost nothing, are left out.
 *
 * @param only  modifications that are followed; null = all, and what belongs to none
 */
export function growthOf(
  workbench: Workbench,
  planned: boolean,
  only: ReadonlySet<ModificationId> | null = null,
): GrowthPoint[] {
  const view = planned ? ({ kind: 'planned' } as const) : ({ kind: 'built' } as const);
  const entries = workbench.entries
    .filter(
      (e) => inView(e, view) && (only === null || (e.modification !== null && only.has(e.modification))),
    )
    .sort((a, b) => a.no - b.no);
  const sums: Figures = noFigures();
  const points: GrowthPoint[] = [];
  let before = '';
  for (const entry of entries) {
    countEntry(sums, entry);
    const { onModel, net, outOfPocket, recoloured } = sums;
    const now = `${onModel} ${net} ${outOfPocket} ${recoloured}`;
    if (now === before) continue;
    before = now;
    points.push({ entry, onModel, net, outOfPocket });
  }
  return points;
}
