import { BLANK_ENTRY, type Entry, type Movement } from '../ledger';
import { asId, type EntryId } from '../shared/ids';
import type { Source } from '../ledger';
import type { Workbench } from './workbench';

/** An entry of a build that puts pieces away, or brings them to hand: done, in no modification, and counted nowhere. */
export const transferOf = (
  workbench: Workbench,
  movements: readonly Movement[],
  note: string,
  source: Source,
): Entry => ({
  ...BLANK_ENTRY,
  id: asId<EntryId>(source.newId()),
  build: workbench.build,
  kind: 'transfer',
  no: workbench.nextEntry(null).no,
  note,
  loggedAt: source.now,
  movements,
});
