import type { BuildId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { flag, id, reference } from './fields';

/** Where a build may take its parts from. Its id is the build's; without one, from anywhere. */
export const buildSources = defineRecord({
  type: 'buildSources',
  table: 'build_sources',
  fields: {
    id: id<BuildId>(),
    build: reference<BuildId>('build'),
    /** True = from its own boxes and nothing else. */
    boxesOnly: flag(),
  },
  idOf: (s) => s.build,
  inModFile: { key: 'buildSources', most: 1, optional: true },
});
export type BuildSources = RecordOf<typeof buildSources>;
