import type { BuildId, EntryId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { element, id, mention, reference } from './fields';

/**
 * What one would have used for the pieces of an entry, were there no limit to where they come from. Its id is the entry's; it
 * counts as long as that is there.
 */
export const idealPart = defineRecord({
  type: 'idealPart',
  table: 'ideal_parts',
  fields: {
    id: id<EntryId>(),
    entry: mention<EntryId>('entry'),
    build: reference<BuildId>('build'),
    element: element(),
  },
  idOf: (p) => p.entry,
  inModFile: { key: 'idealParts', most: 20_000, optional: true },
});
export type IdealPart = RecordOf<typeof idealPart>;
