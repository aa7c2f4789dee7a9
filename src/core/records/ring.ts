import type { BuildId, RingId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, name, number, reference, whole } from './fields';

/** A ring of hinged panels: a glasshouse, a tower, a fountain's rim. */
export const ring = defineRecord({
  type: 'ring',
  table: 'rings',
  fields: {
    id: id<RingId>(),
    build: reference<BuildId>('build'),
    name: name(),
    panels: whole(3, 200),
    /** Studs. */
    length: number(0.5, 200),
    thick: number(0, 50),
  },
  inModFile: { key: 'rings', most: 200, optional: true },
});
export type Ring = RecordOf<typeof ring>;
