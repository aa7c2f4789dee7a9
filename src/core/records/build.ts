import type { BuildId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, name, note, date, flag } from './fields';

/** One project: its boxes, zones, modifications and all below. */
export const build = defineRecord({
  type: 'build',
  table: 'builds',
  fields: { id: id<BuildId>(), name: name(), note: note(), createdAt: date(), archived: flag() },
  // Here it is new, whatever its age elsewhere: it comes last for own parts.
  arrives: (b, now) => ({ ...b, createdAt: now }),
});
export type Build = RecordOf<typeof build>;
