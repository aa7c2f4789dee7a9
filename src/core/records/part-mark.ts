import type { BuildId, EntryId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, mention, reference } from './fields';

/** What can be said of parts that are not as they were sold: made by others, printed at home, cut, painted. */
export const PART_MARKS = ['other maker', 'printed', 'cut', 'painted'] as const;
export type PartMarkName = (typeof PART_MARKS)[number];

/** An entry that put in parts which are not as they were sold. Its id is the entry's; it counts as long as that is there. */
export const partMark = defineRecord({
  type: 'partMark',
  table: 'part_marks',
  fields: {
    id: id<EntryId>(),
    entry: mention<EntryId>('entry'),
    build: reference<BuildId>('build'),
    mark: choice(PART_MARKS),
  },
  idOf: (p) => p.entry,
  inModFile: { key: 'partMarks', most: 20_000, optional: true },
});
export type PartMark = RecordOf<typeof partMark>;
