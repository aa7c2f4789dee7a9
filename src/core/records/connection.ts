import type { BuildId, ConnectionId, ModificationId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, mention, name, note, number, orNull, reference, whole } from './fields';

/** By what something holds. */
export const HOLDS = ['studs', 'clip', 'friction'] as const;
/** Stress on parts that was seen; it is noted, not computed. */
export const STRESSES = ['bent', 'pinched', 'out of grid'] as const;

/** A place where something holds by little: by what, how many studs, and how long the lever is that pulls at it. */
export const connection = defineRecord({
  type: 'connection',
  table: 'connections',
  fields: {
    id: id<ConnectionId>(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    name: name(),
    holds: choice(HOLDS),
    /** Studs across the lever, and along it. */
    wide: whole(1, 200),
    rows: whole(1, 200),
    /** From the joint to the middle of what it carries, studs. */
    lever: number(0, 500),
    /** What it carries, g. */
    grams: number(0, 100_000),
    stress: orNull(choice(STRESSES)),
    note: note(),
    /** What was planned to strengthen it. */
    modification: orNull(mention<ModificationId>('modification')),
  },
  inModFile: { key: 'connections', most: 2000, optional: true },
});
export type Connection = RecordOf<typeof connection>;
