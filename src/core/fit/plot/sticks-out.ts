import type { ElementKey } from '../../parts';
import type { Size } from '../../ledger';
import type { Plot } from '../../records';
import type { ZoneId } from '../../shared/ids';
import type { Workbench } from '../../workbench';
import type { Block } from './block';
import { onPlot, plotOf, type OnPlot } from './plot';
import { leftTooth, stretchOf, wallRuns } from './wall-runs';
import { isStillPlanned, plannedSize, zoneExtents } from './zone-extents';

/** A zone that sticks out of its plot, by how many studs on which side, and the pieces of planned walls that lie there. */
export interface SticksOut {
  readonly zone: ZoneId;
  readonly name: string;
  readonly left: number;
  readonly right: number;
  readonly front: number;
  readonly back: number;
  readonly lots: readonly { readonly element: ElementKey; readonly qty: number }[];
}

/** What would have to move: zones beyond the plot or in what is kept free in front, with the parts of planned walls there. */
export function whatSticksOut(
  workbench: Workbench,
  plot: Pick<Plot, 'width' | 'depth' | 'front'>,
): SticksOut[] {
  if (plot.width === 0 || plot.depth === 0) return [];
  return zoneExtents(workbench).flatMap(({ zone, name, said, block }) => {
    if (!said || !block) return [];
    const over = {
      left: Math.max(0, -block.x),
      right: Math.max(0, block.x + block.width - plot.width),
      front: Math.max(0, plot.front - block.y),
      back: Math.max(0, block.y + block.depth - plot.depth),
    };
    if (Object.values(over).every((n) => n === 0)) return [];
    return [{ zone, name, ...over, lots: piecesBeyond(workbench, zone, said, plot) }];
  });
}

/** Pieces of the walls planned in a zone that lie beyond the plot, whole or in part. */
function piecesBeyond(
  workbench: Workbench,
  zone: ZoneId,
  at: Pick<Block, 'x' | 'y'>,
  plot: Pick<Plot, 'width' | 'depth' | 'front'>,
): SticksOut['lots'] {
  const lots = new Map<ElementKey, number>();
  for (const job of workbench.records.wallJob.values()) {
    if (job.zone !== zone || !job.planned || !isStillPlanned(workbench, job)) continue;
    const runs = new Map(wallRuns(job).map((r, no) => [r.wall, { run: r, tooth: leftTooth(job, no) }]));
    for (const p of job.planned.pieces) {
      const on = runs.get(p.wall);
      if (!on) continue;
      const s = stretchOf(on.run, p.at - on.tooth, p.along, job.thick);
      const [x, y] = [s.x + at.x, s.y + at.y];
      const isInside = x >= 0 && x + s.width <= plot.width && y >= plot.front && y + s.depth <= plot.depth;
      if (!isInside) lots.set(p.element, (lots.get(p.element) ?? 0) + (p.plates ? 3 : 1));
    }
  }
  return [...lots].map(([element, qty]) => ({ element, qty })).sort((a, b) => b.qty - a.qty);
}

/** How a build stands on its plot: by its size, and by where its zones lie. It fits where both do; null = it is not known. */
export interface Stands {
  readonly plot: Plot;
  readonly size: Size | null;
  readonly lies: OnPlot | null;
  readonly out: readonly SticksOut[];
  readonly fits: boolean | null;
}

/** Whether a build as planned fits its plot: the one answer that Fit and the house rules give. */
export function standsOnPlot(workbench: Workbench): Stands {
  const plot = plotOf(workbench);
  const size = plannedSize(workbench);
  const lies = onPlot(plot, size);
  const out = whatSticksOut(workbench, plot);
  return { plot, size, lies, out, fits: lies && lies.fits && out.length === 0 };
}
