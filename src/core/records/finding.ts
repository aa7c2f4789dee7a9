import type { BuildId, FindingId, ModificationId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, date, element, flag, id, inColumn, lots, note, orNull, reference, whole } from './fields';

export const FINDING_KINDS = [
  'missing',
  'broken',
  'faded',
  'mismatch',
  'gap',
  'weak',
  'open',
  'wish',
  'keep',
  'function',
] as const;
/** What becomes of what must stay. */
export const STAY_ANSWERS = ['there', 'reduced', 'hidden', 'lost'] as const;
export type StayAnswer = (typeof STAY_ANSWERS)[number];
export type FindingKind = (typeof FINDING_KINDS)[number];

/** Something seen when inspecting a set. `keep` and `function` must stay: they are asked for again at the end. */
export const finding = defineRecord({
  type: 'finding',
  table: 'findings',
  fields: {
    id: id<FindingId>(),
    build: reference<BuildId>('build'),
    kind: choice(FINDING_KINDS),
    zone: reference<ZoneId>('zone'),
    lots: lots(),
    /** For a mismatch, gap or open side: what belongs there. */
    to: inColumn('belongs', orNull(element())),
    note: note(),
    /** 1 = hardly, 2 = somewhat, 3 = very much. */
    matters: whole(1, 3),
    /** Name of a kept photo. */
    photo: orNull(id()),
    modification: orNull(reference<ModificationId>('modification')),
    /** For what must stay: the answer at the end. */
    answer: orNull(choice(STAY_ANSWERS)),
    /** How it was reduced, or where it is hidden now. */
    how: note(),
    /** Closed by hand, with nothing done. */
    dropped: flag(),
    at: date(),
  },
  inModFile: { key: 'findings', most: 5000, optional: true },
  // A photo stays in its workspace: the file would be many times as large with it.
  leaves: (f) => ({ ...f, photo: null }),
  earlier: {
    upgrade: (old) => ({
      how: '',
      ...old,
      ...(old.kind === 'slip' ? { kind: 'mismatch' } : {}),
    }),
  },
});
export type Finding = RecordOf<typeof finding>;
