import type { AssemblyId, BuildId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, lots, name, reference } from './fields';

/** A named group of parts that moves as one. */
export const assembly = defineRecord({
  type: 'assembly',
  table: 'assemblies',
  fields: { id: id<AssemblyId>(), build: reference<BuildId>('build'), name: name(), lots: lots() },
  inModFile: { key: 'assemblies', most: 1000 },
});
export type Assembly = RecordOf<typeof assembly>;
