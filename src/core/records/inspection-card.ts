import type { BuildId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, element, id, list, number, object, orNull, reference, type ValueOf } from './fields';

export const DISPLAYS = ['all round', 'one side', 'hung', 'behind glass'] as const;
export type Display = (typeof DISPLAYS)[number];

const span = number(0, 100_000);
const size = object({ length: span, width: span, height: span });
/** Length and width in studs, height in bricks; parts of them allowed. */
export type Size = ValueOf<{ length: typeof span; width: typeof span; height: typeof span }>;

/** What is known of a build as a whole. Its id is the build's. */
export const inspectionCard = defineRecord({
  type: 'inspectionCard',
  table: 'inspection_cards',
  fields: {
    id: id<BuildId>(),
    build: reference<BuildId>('build'),
    display: choice(DISPLAYS),
    /** Zones turned away from whoever looks. */
    away: list(reference<ZoneId>('zone'), 2000),
    /** What it stands or rolls on, where a person said so: a whole zone (`element` null), or a kind in a zone. */
    gear: list(object({ zone: reference<ZoneId>('zone'), element: orNull(element()) }), 2000),
    found: orNull(size),
    built: orNull(size),
  },
  idOf: (c) => c.build,
  inModFile: { key: 'inspectionCards', most: 1, optional: true },
  earlier: {
    types: ['surveyCard'],
    keys: ['surveyCards'],
    upgrade: (old) => ({ gear: [], ...old }),
  },
});
export type InspectionCard = RecordOf<typeof inspectionCard>;
