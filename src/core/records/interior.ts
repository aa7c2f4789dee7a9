import type { BuildId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, flag, id, list, name, object, reference, whole } from './fields';

/** What leads from a room to another, or to the street. */
export const WAY_KINDS = ['door', 'opening', 'stairs', 'ladder', 'hatch'] as const;
export type WayKind = (typeof WAY_KINDS)[number];

/** Where every way begins; no room has this id. */
export const STREET = 'street';

const studs = whole(1, 2000);
const plates = whole(1, 3000);

/** The rooms of a build with the ways between them, what must pass there, and heights to named points. Its id is the build's. */
export const interior = defineRecord({
  type: 'interior',
  table: 'interiors',
  fields: {
    id: id<BuildId>(),
    build: reference<BuildId>('build'),
    rooms: list(
      object({
        id: id(),
        name: name(),
        /** Inside, from wall to wall and from floor to ceiling. */
        width: studs,
        depth: studs,
        height: plates,
        furniture: list(object({ name: name(), width: studs, depth: studs }), 100),
      }),
      200,
    ),
    /** `from` and `to` are rooms or the street; the opening is so many studs wide and plates high. */
    ways: list(object({ from: id(), to: id(), kind: choice(WAY_KINDS), width: studs, height: plates }), 400),
    /** Figures, carts: what must get through, studs wide and plates high; whether stairs and ladders stop it. */
    passers: list(object({ name: name(), width: studs, height: plates, climbs: flag() }), 40),
    /** Seats, sills, a cab's roof: plates above the ground. */
    points: list(object({ name: name(), plates: whole(0, 3000) }), 100),
  },
  idOf: (i) => i.build,
  inModFile: { key: 'interiors', most: 1, optional: true },
});
export type Interior = RecordOf<typeof interior>;
