import type { BuildId, PhaseId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, name, position, reference } from './fields';

/** A planned group of modifications. */
export const phase = defineRecord({
  type: 'phase',
  table: 'phases',
  fields: { id: id<PhaseId>(), build: reference<BuildId>('build'), name: name(), position: position() },
  inModFile: { key: 'phases', most: 500 },
});
export type Phase = RecordOf<typeof phase>;
