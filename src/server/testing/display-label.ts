import { defineRecord } from '@/core/records/define';
import { account, id, list, name, orNull, reference } from '@/core/records/fields';
import type { BuildId, ModificationId, ZoneId } from '@/core/shared/ids';

/** A kind of record that the program does not have: a label that stands before a zone when the model is shown. */
export const displayLabel = defineRecord({
  type: 'displayLabel',
  table: 'display_labels',
  fields: {
    id: id(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    /** Modifications that it tells of. */
    tells: list(reference<ModificationId>('modification'), 20),
    beside: orNull(account()),
    text: name(),
  },
  inModFile: { key: 'displayLabels', most: 100, optional: true },
});
