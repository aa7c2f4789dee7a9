import { upgradeTyped } from '../records';
import type { Diff } from './diff';

/** A diff as an earlier program kept it, with its records in today's shape. What is up to date comes back equal. */
export const upgradeDiff = (diff: Diff): Diff => ({
  added: diff.added.flatMap((r) => upgradeTyped(r, ['record']) ?? []),
  removed: diff.removed.flatMap((r) => upgradeTyped(r, ['record']) ?? []),
  changed: diff.changed.flatMap((c) => upgradeTyped(c, ['from', 'to']) ?? []),
});
