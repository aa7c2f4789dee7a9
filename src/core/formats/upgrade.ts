import type { RecordType } from '../ledger';

type Fields = Readonly<Record<string, unknown>>;

/** How a count that posted an entry was named in its note, before entries had a field for it. */
const OLD_COUNT = /^counted ([\w-]{8,80})$/;

const UPGRADES: Partial<Record<RecordType, (old: Fields) => Fields>> = {
  entry(old) {
    if ('counted' in old) return old;
    const kind = old.kind === 'missing' || old.kind === 'regrade';
    const count = kind && typeof old.note === 'string' ? OLD_COUNT.exec(old.note)?.[1] : undefined;
    return count ? { ...old, counted: count, note: '' } : { ...old, counted: null };
  },
  modification: (old) =>
    'purpose' in old ? old : { ...old, purpose: old.title === 'Count it in' ? 'count' : null },
};

/**
 * A record as it was written by an earlier program, in today's shape: fields that have come since get the value that
 * the migration of the database gives them too. What is up to date comes back as it is.
 *
 * upgradeRecord('modification', { ...old, title: 'Porch' }) = { ...old, title: 'Porch', purpose: null }
 */
export function upgradeRecord<T>(type: RecordType, record: T): T {
  const upgrade = UPGRADES[type];
  return upgrade && typeof record === 'object' && record ? (upgrade(record as Fields) as T) : record;
}
