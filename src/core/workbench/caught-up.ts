import type { Diff, TypedRecord } from '../ledger';
import { diffOfBuild } from './diff-of-build';
import type { BuildSnapshot, UndoRedo } from './snapshot';

/** What was done since a snapshot was taken, in any build and in its order, and where that leads. */
export interface News {
  /** The revision that all of it leads to. */
  readonly revision: number;
  readonly undoRedo: UndoRedo;
  readonly diffs: readonly Diff[];
}

/**
 * A snapshot as it would have been taken after what was done since, but for what other builds leave it, which is asked for
 * apart. Each record is as the last diff has it, so that it does no harm where the snapshot knows some of them already. A
 * price that came with the diffs is there whether or not the build has its element.
 *
 * @example caughtUp(snapshot, { revision: 12, undoRedo, diffs: [diff] })
 */
export function caughtUp(snapshot: BuildSnapshot, { revision, undoRedo, diffs }: News): BuildSnapshot {
  if (revision <= snapshot.revision) return snapshot;
  const last = new Map<string, TypedRecord | null>();
  const nameOf = ({ type, record }: TypedRecord): string => `${type} ${record.id}`;
  for (const whole of diffs) {
    const diff = diffOfBuild(whole, snapshot.build);
    for (const r of diff.removed) last.set(nameOf(r), null);
    for (const { type, to } of diff.changed) {
      const now = { type, record: to } as TypedRecord;
      last.set(nameOf(now), now);
    }
    for (const r of diff.added) last.set(nameOf(r), r);
  }
  const before = snapshot.records.flatMap((r): TypedRecord[] => {
    const name = nameOf(r);
    const now = last.get(name);
    last.delete(name);
    if (now === undefined) return [r];
    return now ? [now] : [];
  });
  const added = [...last.values()].filter((r) => r !== null);
  return { ...snapshot, revision, undoRedo, records: [...before, ...added] };
}
