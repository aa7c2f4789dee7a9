import type { BuildId, ColourId, ModificationId, WallJobId, ZoneId } from '../shared/ids';
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

/** What an end of a wall does that meets no other wall of its job: stands free, touches a wall, or is toothed into one. */
export const WALL_ENDS = ['free', 'against a wall', 'toothed in'] as const;
export type WallEnd = (typeof WALL_ENDS)[number];

/** How the walls of a job meet: not at all, each with the next, or all round. */
export const WALLS_MEET = ['apart', 'row', 'room'] as const;
export type WallsMeet = (typeof WALLS_MEET)[number];

/** A family of parts in a colour; null = nobody sees it, and any colour at hand will do. */
const matter = { colour: orNull(id<ColourId>()), family: name() };
const box = { wall: id(), width: whole(1, 400), bottom: whole(0, 79), courses: whole(1, 80) };

/** A piece where it was planned to lie: its wall and course, from which place, how many studs along, and how it is had. */
const planned = object({
  element: element(),
  plates: flag(),
  wall: id(),
  course: whole(0, 79),
  at: whole(0, 402),
  along: whole(1, 64),
  row: whole(0, 1),
  bought: flag(),
});

/** Walls as they are wanted: what is laid of them is worked out from it and from what is at hand. */
export const wallJob = defineRecord({
  type: 'wallJob',
  table: 'wall_jobs',
  fields: {
    id: id<WallJobId>(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    name: name(),
    walls: list(
      object({
        id: id(),
        name: name(),
        length: whole(1, 400),
        left: choice(WALL_ENDS),
        right: choice(WALL_ENDS),
      }),
      60,
      1,
    ),
    meet: choice(WALLS_MEET),
    thick: whole(1, 2),
    /** True = of walls two studs thick the inner row may be of any colour at hand. */
    anyInside: flag(),
    /** From the bottom. */
    courses: list(object(matter), 80, 1),
    /** The colour of the stones at the corners, where it is another. */
    corners: orNull(id<ColourId>()),
    /** Places from the left; `from` null = so many, spread evenly. */
    openings: list(object({ ...box, name: short(), from: orNull(whole(0, 400)), count: whole(1, 60) }), 200),
    /** Areas of another colour, or of another face of brick. */
    panels: list(object({ ...box, ...matter, from: whole(0, 400) }), 200),
    /** Faces of brick that are spread over the visible courses of bricks: a family, and its share of their studs in 100. */
    faces: list(object({ family: name(), share: whole(1, 100) }), 10),
    /** True = three plates may lie where a brick lacks. */
    plates: flag(),
    /** As they were planned, to be built from: null while they are only stated. */
    planned: orNull(
      object({
        modification: mention<ModificationId>('modification'),
        pieces: list(planned, 12_000),
        joints: list(object({ wall: id(), course: whole(0, 79), border: whole(0, 402) }), 12_000),
        empty: list(object({ wall: id(), course: whole(0, 79), at: whole(0, 402) }), 12_000),
      }),
    ),
  },
  inModFile: { key: 'wallJobs', most: 500, optional: true },
});
export type WallJob = RecordOf<typeof wallJob>;
