import type { BuildId, SeamId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, list, mention, name, note, orNull, reference, whole } from './fields';

export const LIFTED = ['storey', 'roof', 'wall', 'furniture'] as const;
/** What was seen when it was lifted off and carried. */
export const SEAM_TRIALS = ['held', 'came loose', 'stuck'] as const;

/** A seam at which something is to be lifted off: what lies above it, how large it is, how many studs are left to hold. */
export const seam = defineRecord({
  type: 'seam',
  table: 'seams',
  fields: {
    id: id<SeamId>(),
    build: reference<BuildId>('build'),
    name: name(),
    what: choice(LIFTED),
    /** The zones that are lifted off. */
    zones: list(mention<ZoneId>('zone'), 200),
    /** The seam's outline, studs, and how tall is what is lifted off, plates. */
    width: whole(1, 2000),
    depth: whole(1, 2000),
    height: whole(1, 3000),
    studs: whole(0, 100_000),
    /** Where to take hold of it. */
    grip: note(),
    tried: orNull(choice(SEAM_TRIALS)),
  },
  inModFile: { key: 'seams', most: 500, optional: true },
});
export type Seam = RecordOf<typeof seam>;
