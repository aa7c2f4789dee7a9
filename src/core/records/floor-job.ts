import type { BuildId, ColourId, FloorJobId, ModificationId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import {
  choice,
  element,
  flag,
  id,
  list,
  mention,
  name,
  object,
  orNull,
  reference,
  short,
  whole,
} from './fields';

/** How a floor is laid: as it comes, with no four corners meeting, or in a pattern of slabs of one size. */
export const FLOOR_PATTERNS = ['free', 'no crosses', 'grid', 'running bond', 'basket weave'] as const;
export type FloorPattern = (typeof FLOOR_PATTERNS)[number];

const side = whole(1, 128);
const at = whole(0, 127);

/** A piece where it was planned to lie: its layer, its corner nearest to the left end of the front, studs, and how it is had. */
const planned = object({
  element: element(),
  layer: whole(0, 1),
  x: at,
  y: at,
  w: side,
  d: side,
  bought: flag(),
});

/** A floor, a paving or a base as it is wanted. */
export const floorJob = defineRecord({
  type: 'floorJob',
  table: 'floor_jobs',
  fields: {
    id: id<FloorJobId>(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    name: name(),
    width: side,
    depth: side,
    /** Tiles for a floor, plates for a base. */
    family: name(),
    /** Layers on one another whose seams are to cross. */
    layers: whole(1, 2),
    /** Each with its share, in parts of all. */
    colours: list(object({ colour: id<ColourId>(), share: whole(1, 1000) }), 20, 1),
    pattern: choice(FLOOR_PATTERNS),
    /** The slab of a pattern, studs. */
    slab: object({ w: side, d: side }),
    /** A border of its own colour, so many studs wide. */
    kerb: orNull(object({ colour: id<ColourId>(), width: whole(1, 20) })),
    /** Places that are kept free: lamps, trees, doors. */
    keepOut: list(object({ name: short(), x: at, y: at, w: side, d: side }), 200),
    /** As it was planned, to be built from: null while it is only stated. */
    planned: orNull(
      object({
        modification: mention<ModificationId>('modification'),
        pieces: list(planned, 12_000),
        joints: list(object({ x: at, y: at }), 12_000),
        empty: list(object({ layer: whole(0, 1), x: at, y: at }), 12_000),
      }),
    ),
  },
  inModFile: { key: 'floorJobs', most: 500, optional: true },
});
export type FloorJob = RecordOf<typeof floorJob>;
