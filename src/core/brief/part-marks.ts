import { added, changed, removed, type Command, type Entry } from '../ledger';
import type { PartMarkName } from '../records';
import type { EntryId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** Entries of a build that are marked in one of some ways, in the order they were logged. */
export const markedEntries = (workbench: Workbench, marks: readonly PartMarkName[]): EntryId[] =>
  [...workbench.records.partMark.values()]
    .filter((p) => marks.includes(p.mark))
    .flatMap((p) => workbench.records.entry.get(p.entry) ?? [])
    .sort((a, b) => a.no - b.no)
    .map((e) => e.id);

/** Says that what an entry put in is not as it was sold; null takes that back. */
export function markParts(workbench: Workbench, entry: Entry, mark: PartMarkName | null): Command {
  const old = workbench.records.partMark.get(entry.id);
  const label = mark ? `entry ${entry.no}: ${mark}` : `entry ${entry.no}: as sold`;
  if (!mark) return { label, diff: old ? removed('partMark', old) : removed('partMark') };
  if (old) return { label, diff: changed('partMark', old, { mark }) };
  const record = { id: entry.id, entry: entry.id, build: workbench.build, mark };
  return { label, diff: added('partMark', record) };
}
