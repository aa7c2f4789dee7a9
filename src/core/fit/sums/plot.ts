import { written, type Command, type Size } from '../../ledger';
import type { Plot, PlotSide } from '../../records';
import { fail, ok, type Result } from '../../shared/result';
import type { Workbench } from '../../workbench';

/** A plot on which nothing has been said yet. */
export const plotOf = (workbench: Workbench): Plot =>
  workbench.records.plot.get(workbench.build) ?? {
    id: workbench.build,
    build: workbench.build,
    width: 0,
    depth: 0,
    front: 0,
    touches: [],
    storeys: [],
    neighbours: [],
    place: 0,
  };

export const keepPlot = (workbench: Workbench, plot: Plot): Command => ({
  label: 'say where it stands',
  diff: written('plot', workbench.records.plot.get(workbench.build), {
    ...plot,
    storeys: [...plot.storeys].sort((a, b) => a - b),
    neighbours: plot.neighbours.map((n) => ({ ...n, storeys: [...n.storeys].sort((a, b) => a - b) })),
    place: Math.min(plot.place, plot.neighbours.length),
  }),
});

/** How a size lies on its plot: what is over in width and depth, and whether that may be; below zero it sticks out. */
export interface OnPlot {
  readonly width: number;
  readonly depth: number;
  /** Studs in front that are left; below what is to be kept free it stands too deep. */
  readonly inFront: number;
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
  return { width, depth, inFront, against, fits: width >= 0 && depth >= 0 };
}

/** A line of a storey, and the neighbour's line nearest to it: how many plates apart, above zero = this one is higher. */
export interface StoreyStep {
  readonly own: number;
  readonly other: number;
  readonly plates: number;
}

/** How the storeys of two neighbours meet, from the ground up: each of the first with the nearest of the other. */
export const storeySteps = (own: readonly number[], other: readonly number[]): StoreyStep[] =>
  other.length === 0
    ? []
    : own.map((o) => {
        const near = other.reduce((best, x) => (Math.abs(x - o) < Math.abs(best - o) ? x : best));
        return { own: o, other: near, plates: o - near };
      });

/** The houses of a street from the left, the build itself in its place, with where each begins, studs. */
export function streetOf(
  plot: Plot,
  own: { readonly name: string; readonly width: number; readonly depth: number },
): {
  name: string;
  from: number;
  width: number;
  depth: number;
  storeys: readonly number[];
  isOwn: boolean;
}[] {
  const neighbours = plot.neighbours.map((n) => ({ ...n, isOwn: false }));
  const here = { ...own, storeys: plot.storeys, isOwn: true };
  const houses = [...neighbours.slice(0, plot.place), here, ...neighbours.slice(plot.place)];
  let from = 0;
  return houses.map((h) => {
    const house = { ...h, from };
    from += h.width;
    return house;
  });
}

/** Baseplates at hand that a plot fits on, the smallest first; what is over at each side. */
export function baseplatesFor(
  plot: Pick<Plot, 'width' | 'depth'>,
  plates: readonly { readonly w: number; readonly d: number; readonly name: string }[],
): { name: string; over: readonly [number, number] }[] {
  return plates
    .flatMap((p) =>
      (
        [
          [p.w, p.d],
          [p.d, p.w],
        ] as const
      ).map(([w, d]) => ({ name: p.name, over: [w - plot.width, d - plot.depth] as const })),
    )
    .filter((p) => p.over[0] >= 0 && p.over[1] >= 0)
    .sort((a, b) => a.over[0] + a.over[1] - b.over[0] - b.over[1])
    .filter((p, i, all) => all.findIndex((q) => q.name === p.name) === i);
}

/**
 * Heights of storeys as they are typed, from the ground: plates, or bricks with a b. What is no height is given back.
 *
 * readStoreys('2, 10b') = [2, 30]
 */
export function readStoreys(text: string): Result<number[], string> {
  const storeys: number[] = [];
  for (const t of text.split(/[,;\s]+/).filter(Boolean)) {
    const [, n, unit] = /^(\d{1,4})(b?)$/i.exec(t) ?? [];
    if (!n || Number(n) > 1000) return fail(t);
    storeys.push(Number(n) * (unit ? 3 : 1));
  }
  return storeys.length <= 40 ? ok(storeys.sort((a, b) => a - b)) : fail(text);
}
