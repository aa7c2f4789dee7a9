import type { BuildId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, note, reference, short } from './fields';

export const SYMMETRIES = ['not said', 'mirrored', 'uneven on purpose'] as const;
export const SPREADS = ['not said', 'even', 'random on purpose'] as const;

/** How a build is to look, beside its schemes: mirrored or not, even or not, and the row that it stands in. Its id is the build's. */
export const looks = defineRecord({
  type: 'looks',
  table: 'looks',
  fields: {
    id: id<BuildId>(),
    build: reference<BuildId>('build'),
    symmetry: choice(SYMMETRIES),
    spread: choice(SPREADS),
    /** The name of the row; builds of one row show one another their main colours. Empty = it stands alone. */
    row: short(),
    note: note(),
  },
  idOf: (l) => l.build,
  inModFile: { key: 'looks', most: 1, optional: true },
});
export type Looks = RecordOf<typeof looks>;
