import { LIMITS } from '../shared/bounds';
import type { BuildId, ModificationId, PhaseId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, name, note, orNull, position, reference, whole } from './fields';

export const MODIFICATION_PURPOSES = ['count'] as const;
export type ModificationPurpose = (typeof MODIFICATION_PURPOSES)[number];

/** A titled, numbered piece of work in a build, in one zone and phase: the unit that is tallied. */
export const modification = defineRecord({
  type: 'modification',
  table: 'modifications',
  fields: {
    id: id<ModificationId>(),
    build: reference<BuildId>('build'),
    no: whole(1, LIMITS.no),
    title: name(),
    zone: reference<ZoneId>('zone'),
    phase: orNull(reference<PhaseId>('phase')),
    why: note(),
    note: note(),
    position: position(),
    /** What Evarn keeps in it: `count` = what checking a box off found. Null = it is the person's own. */
    purpose: orNull(choice(MODIFICATION_PURPOSES)),
  },
  indexes: [{ name: 'modifications_no', on: ['build', 'no'], unique: true }],
  inModFile: { key: 'modifications', most: 5000 },
  earlier: {
    upgrade: (old) =>
      'purpose' in old ? old : { ...old, purpose: old.title === 'Count it in' ? 'count' : null },
  },
});
export type Modification = RecordOf<typeof modification>;
