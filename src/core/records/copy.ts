import type { BuildId, CopyId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, money, name, orNull, reference, short } from './fields';

/** One physical box: on the model of a build, or being broken up for it. */
export const copy = defineRecord({
  type: 'copy',
  table: 'copies',
  fields: {
    id: id<CopyId>(),
    build: reference<BuildId>('build'),
    setName: name(),
    setCode: short(),
    condition: choice(['new', 'second-hand']),
    role: choice(['base', 'donor']),
    /** What was paid for it; 0 = it was a gift, null = nobody knows. */
    price: orNull(money()),
  },
  inModFile: { key: 'copies', most: 500 },
});
export type Copy = RecordOf<typeof copy>;
