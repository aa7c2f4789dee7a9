import type { BuildId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { element, longId, note, reference } from './fields';
import { lotKey } from './lot-key';

/** A mismatch that was looked at and is left as it is, and why. */
export const leftMismatch = defineRecord({
  type: 'leftMismatch',
  table: 'left_mismatches',
  fields: {
    /** `zone|element`. */
    id: longId(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    element: element(),
    reason: note(),
  },
  idOf: (m) => lotKey(m.zone, m.element),
  inModFile: { key: 'leftMismatches', most: 50_000, optional: true },
  earlier: { types: ['leftSlip'], keys: ['leftSlips'] },
});
export type LeftMismatch = RecordOf<typeof leftMismatch>;
