import type { BuildId, WhatIfId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, name, note, reference } from './fields';

/** A named alternative list of planned entries. */
export const whatIf = defineRecord({
  type: 'whatIf',
  table: 'what_ifs',
  fields: { id: id<WhatIfId>(), build: reference<BuildId>('build'), name: name(), note: note() },
  inModFile: { key: 'whatIfs', most: 500 },
});
export type WhatIf = RecordOf<typeof whatIf>;
