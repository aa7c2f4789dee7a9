import type { Diff, TypedRecord } from '../ledger';
import type { BuildId } from '../shared/ids';

/** What of a diff is a matter of one build's bench: the records of other builds that one act may touch are theirs. */
export function diffOfBuild(diff: Diff, build: BuildId): Diff {
  const isHere = ({ type, record }: TypedRecord): boolean => {
    if (type === 'build') return record.id === build;
    const of = 'build' in record ? (record.build as BuildId | null) : null;
    return of === null || of === build;
  };
  return {
    added: diff.added.filter(isHere),
    changed: diff.changed.filter((c) => isHere({ type: c.type, record: c.to } as TypedRecord)),
    removed: diff.removed.filter(isHere),
  };
}
