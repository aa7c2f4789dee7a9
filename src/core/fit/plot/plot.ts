import { written, type Command, type Size } from '../../ledger';
import type { Plot, PlotSide } from '../../records';
import type { Workbench } from '../../workbench';

/** A plot on which nothing has been said yet. */
export const plotOf = (workbench: Workbench): Plot =>
  workbench.records.plot.get(workbench.build) ?? {
    id: workbench.build,
    build: workbench.build,
    width: 0,
    depth: 0,
    front: 0,
    above: null,
    touches: [],
    storeys: [],
    kerb: null,
    cornices: [],
    doors: [],
    changed: { left: 0, right: 0, front: 0, back: 0 },
    neighbours: [],
    place: 0,
  };

export const keepPlot = (workbench: Workbench, plot: Plot): Command => ({
  label: 'say where it stands',
  diff: written('plot', workbench.records.plot.get(workbench.build), {
    ...plot,
    ...inOrder(plot),
    neighbours: plot.neighbours.map((n) => ({ ...n, ...inOrder(n) })),
    place: Math.min(plot.place, plot.neighbours.length),
  }),
});

/** Lines of a house from the ground up. */
const inOrder = (house: Pick<Plot, 'storeys' | 'cornices'>) => ({
  storeys: [...house.storeys].sort((a, b) => a - b),
  cornices: [...house.cornices].sort((a, b) => a - b),
});

/** How a size lies on its plot: what is over in width and depth, and whether that may be; below zero it sticks out. */
export interface OnPlot {
  readonly width: number;
  readonly depth: number;
  /** Studs in front that are left; below what is to be kept free it stands too deep. */
  readonly inFront: number;
  /** Plates left under what lies above it; null where nothing does. */
  readonly above: number | null;
  /** Sides that touch a neighbour, where it sticks out in width. */
  readonly against: readonly PlotSide[];
  readonly fits: boolean;
}

/** Null while the plot or the size is not said. */
export function onPlot(plot: Plot, size: Size | null): OnPlot | null {
  if (!size || plot.width === 0 || plot.depth === 0) return null;
  const width = plot.width - size.length;
  const inFront = plot.depth - size.width;
  const depth = inFront - plot.front;
  const against = plot.touches.filter((t) => (t === 'back' ? inFront < 0 : width < 0));
  const above = plot.above === null ? null : Math.floor(plot.above - 3 * size.height + 1e-6);
  return { width, depth, inFront, above, against, fits: width >= 0 && depth >= 0 && (above ?? 0) >= 0 };
}

/** What was said of each side against what was measured: by how many studs a change on the sides is more, below zero less. */
export interface SidesOff {
  readonly length: number;
  readonly width: number;
}

/** Whether the change on each side adds up to the change of the size; null while one of them is not said. */
export function sidesAgree(plot: Plot, found: Size | null, built: Size | null): SidesOff | null {
  const { left, right, front, back } = plot.changed;
  if (!found || !built || (!left && !right && !front && !back)) return null;
  return {
    length: left + right - (built.length - found.length),
    width: front + back - (built.width - found.width),
  };
}
