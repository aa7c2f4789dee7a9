import type { KeptAssemblyId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { account, id, lots, name } from './fields';

/** Pieces lying in a tray, the spares or a box that stay together. They are not taken for anything else. */
export const keptAssembly = defineRecord({
  type: 'keptAssembly',
  table: 'kept_assemblies',
  fields: { id: id<KeptAssemblyId>(), name: name(), account: account(), lots: lots() },
  inModFile: { key: 'keptAssemblies', most: 2000, optional: true },
  earlier: { types: ['kept'], keys: ['kept'] },
});
export type KeptAssembly = RecordOf<typeof keptAssembly>;
