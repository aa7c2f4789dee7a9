import type { BuildId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, flag, id, list, name, object, orNull, reference, short, whole } from './fields';

/** Sides of a plot, as it is seen from the street. */
export const PLOT_SIDES = ['left', 'right', 'back'] as const;
export type PlotSide = (typeof PLOT_SIDES)[number];

const studs = whole(0, 2000);
/** Heights of storeys from the ground, in plates: each where its floor lies, the roof's edge last. */
const storeys = list(whole(0, 3000), 40);

/** What the street sees of a house, in plates: its pavement at its doors, its cornices, and its doors with their sills. */
const front = {
  kerb: orNull(whole(0, 300)),
  cornices: list(whole(0, 3000), 40),
  doors: list(object({ name: short(), at: whole(0, 2000), sill: whole(0, 3000) }), 60),
};
const change = whole(-2000, 2000);

/** Where a build is to stand: its base, what is kept free, and its neighbours in the street. Its id is the build's. */
export const plot = defineRecord({
  type: 'plot',
  table: 'plots',
  fields: {
    id: id<BuildId>(),
    build: reference<BuildId>('build'),
    /** Studs; 0 = not said. */
    width: studs,
    depth: studs,
    /** Studs kept free in front. */
    front: studs,
    /** Plates from the ground to what hangs or lies above it: a shelf; null = nothing does. */
    above: orNull(whole(1, 3000)),
    /** Sides at which it touches a neighbour: nothing may stick out there. */
    touches: list(choice(PLOT_SIDES), 3),
    storeys,
    ...front,
    /** What the build grew by on each side, studs; below zero it was cut back. */
    changed: object({ left: change, right: change, front: change, back: change }),
    /** From left to right; those before `place` stand left of the build. `shares` = it stands on the same base. */
    neighbours: list(
      object({ name: name(), width: studs, depth: studs, storeys, ...front, shares: flag() }),
      30,
    ),
    place: whole(0, 30),
  },
  idOf: (p) => p.build,
  inModFile: { key: 'plots', most: 1, optional: true },
});
export type Plot = RecordOf<typeof plot>;
