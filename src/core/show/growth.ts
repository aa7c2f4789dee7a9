import { countEntry, type Figures } from '../ledger/figures';
import { noFigures } from '../ledger/figures';
import { inView } from '../ledger';
import type { Entry } from '../records';
import type { ModificationId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** How a build stood after an entry. Pieces and minor units. */
export interface GrowthPoint {
  readonly entry: Entry;
  readonly onModel: number;
  readonly net: number;
  readonly outOfPocket: number;
  /** Pieces bought until then at a price that nobody knows. */
  readonly unpriced: number;
}

/**
 * A build, or some of its modifications, growing line by line in the order in which they were logged: what stood, the net change
 * and what had been paid after each, shares of postage and boxes with the entries that bear them. Entries that move nothing on the model, and cost nothing, are left out.
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
  const books = planned ? workbench.planned : workbench.built;
  const [shares, unknowns] = [books.sharedCosts(), books.sharedUnknowns()];
  const sums: Figures = noFigures();
  let shared = 0;
  const points: GrowthPoint[] = [];
  let before = '';
  for (const entry of entries) {
    countEntry(sums, entry);
    shared += shares.get(entry.id) ?? 0;
    sums.boughtUnpriced += unknowns.get(entry.id) ?? 0;
    const { onModel, net, recoloured, boughtUnpriced: unpriced } = sums;
    const outOfPocket = sums.outOfPocket + shared;
    const now = [onModel, net, outOfPocket, recoloured, unpriced].join(' ');
    if (now === before) continue;
    before = now;
    points.push({ entry, onModel, net, outOfPocket, unpriced });
  }
  return points;
}
