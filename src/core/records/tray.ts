import type { TrayId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, name, position, short } from './fields';

/** A place for own parts. */
export const tray = defineRecord({
  type: 'tray',
  table: 'trays',
  fields: { id: id<TrayId>(), name: name(), place: short(), position: position() },
});
export type Tray = RecordOf<typeof tray>;
