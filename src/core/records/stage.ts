import { LIMITS } from '../shared/bounds';
import type { BuildId, StageId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { date, id, list, name, note, number, object, orNull, position, reference, whole } from './fields';

const side = () => number(0, 10_000);

/** A named moment of a build, told by how far its log had come: as shipped, colours put right, fully dressed. */
export const stage = defineRecord({
  type: 'stage',
  table: 'stages',
  fields: {
    id: id<StageId>(),
    build: reference<BuildId>('build'),
    name: name(),
    /** The last entry that counts, by its number; 0 = as it was unpacked. */
    no: whole(0, LIMITS.no),
    /** When it was named. */
    at: date(),
    note: note(),
    /** Studs and bricks, where it was measured then. */
    size: orNull(object({ length: side(), width: side(), height: side() })),
    photo: orNull(id()),
    /** Two places on the photo, in shares of its width and height, that are found again on the others. */
    marks: list(object({ x: number(0, 1), y: number(0, 1) }), 2),
    position: position(),
  },
  inModFile: { key: 'stages', most: 200, optional: true },
  // A photo stays in its workspace: the file would be many times as large with it.
  leaves: (s) => ({ ...s, photo: null, marks: [] }),
});
export type Stage = RecordOf<typeof stage>;
