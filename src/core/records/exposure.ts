import type { BuildId, ExposureId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, element, longId, pieces, reference } from './fields';
import { lotKey } from './lot-key';

export const SEEN = ['all', 'some sides', 'one side', 'top', 'hidden'] as const;
export type Seen = (typeof SEEN)[number];

/** How much of a lot is seen, where a person corrected what was proposed. */
export const exposure = defineRecord({
  type: 'exposure',
  table: 'exposures',
  fields: {
    id: longId<ExposureId>(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    element: element(),
    seen: choice(SEEN),
    /** Of its pieces, how many nobody sees. */
    hidden: pieces(),
  },
  idOf: (x) => lotKey(x.zone, x.element),
  inModFile: { key: 'exposures', most: 50_000, optional: true },
});
export type Exposure = RecordOf<typeof exposure>;
