import type { BuildId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, flag, id, orNull, reference } from './fields';

/** What pieces are that the books do not know: see `elsewhere`. */
export const ELSEWHERE = ['own', 'buy', 'bought'] as const;
export type Elsewhere = (typeof ELSEWHERE)[number];

/** Where a build may take its parts from. Its id is the build's; without one, from anywhere. */
export const buildSources = defineRecord({
  type: 'buildSources',
  table: 'build_sources',
  fields: {
    id: id<BuildId>(),
    build: reference<BuildId>('build'),
    /** True = from its own boxes and nothing else. */
    boxesOnly: flag(),
    /** What a piece is that is in no tray, box or spare: one's own and not counted, to be bought, or bought. Null = not asked yet. */
    elsewhere: orNull(choice(ELSEWHERE)),
  },
  idOf: (s) => s.build,
  inModFile: { key: 'buildSources', most: 1, optional: true },
  earlier: { upgrade: (old) => ('elsewhere' in old ? old : { ...old, elsewhere: null }) },
});
export type BuildSources = RecordOf<typeof buildSources>;
