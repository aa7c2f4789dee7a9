import type { Diff } from '../ledger';
import type { BuildId } from '../shared/ids';

/** What of a diff is a matter of one build's bench: the records of other builds that one act may touch are theirs. */
export function diffOfBuild(diff: Diff, build: BuildId): Diff {
  const isOwn = (record: object): boolean => {
    const of = 'build' in record ? (record.build as BuildId | null) : null;
    return of === null || of === build;
  };
  return {
    added: diff.added.filter((r) => isOwn(r.record)),
    changed: diff.changed.filter((c) => isOwn(c.to)),
    removed: diff.removed.filter((r) => isOwn(r.record)),
  };
}
