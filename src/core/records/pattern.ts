import { LIMITS } from '../shared/bounds';
import type { BuildId, PatternId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import {
  choice,
  date,
  element,
  id,
  list,
  name,
  note,
  object,
  reference,
  short,
  somePieces,
  whole,
} from './fields';

export const PATTERN_KINDS = ['list', 'patch'] as const;

/**
 * What another builder gave away and this build is to become: a list of parts, or what a patch leaves, by the names of zones.
 * A newer version of it is one more, of the same name; faults found in it are noted for its author.
 */
export const pattern = defineRecord({
  type: 'pattern',
  table: 'patterns',
  fields: {
    id: id<PatternId>(),
    build: reference<BuildId>('build'),
    name: name(),
    author: short(),
    kind: choice(PATTERN_KINDS),
    /** 1 = the first that was given. */
    revision: whole(1, LIMITS.no),
    at: date(),
    /** Zones in the order in which they go, by their names from the whole model down, joined by " / ". */
    zones: list(short(), 2000),
    lots: list(object({ zone: whole(0, 2000), element: element(), qty: somePieces() }), 20_000),
    faults: list(object({ step: short(), says: note(), at: date() }), 500),
  },
  inModFile: { key: 'patterns', most: 50, optional: true },
});
export type Pattern = RecordOf<typeof pattern>;
