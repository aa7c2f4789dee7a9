import type { BuildId, ColourId, StripJobId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { element, flag, id, list, name, number, object, reference, whole } from './fields';

/** Stripes that are wanted on a build, to be cut from what is left of sticker sheets. */
export const stripJob = defineRecord({
  type: 'stripJob',
  table: 'strip_jobs',
  fields: {
    id: id<StripJobId>(),
    build: reference<BuildId>('build'),
    zone: reference<ZoneId>('zone'),
    name: name(),
    /** What the blade takes, and the border of a field from which nothing is taken, in mm. */
    kerf: number(0, 20),
    margin: number(0, 100),
    /** The largest ΔE00 between a stripe's colour and the field's. */
    tolerance: number(0, 100),
    strips: list(
      object({
        id: id(),
        name: name(),
        colour: id<ColourId>(),
        w: number(0.1, 2000),
        l: number(0.1, 2000),
        count: whole(0, 200),
        /** The parts that one of them lies on, in order. */
        elements: list(element(), 20),
        /** True = they must line up across the parts. */
        across: flag(),
      }),
      100,
    ),
  },
  inModFile: { key: 'stripJobs', most: 200, optional: true },
});
export type StripJob = RecordOf<typeof stripJob>;
