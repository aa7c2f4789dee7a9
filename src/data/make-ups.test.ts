import { expect, it } from 'vitest';
import { added } from '@/core/ledger';
import { asId, type BuildId } from '@/core/shared/ids';
import { inTransaction, openDatabase } from './database';
import { readKeptMakeUp, writeKeptMakeUp } from './make-ups';
import { writeDiff } from './records';

it('a build has one make-up, the last; it goes with the build, and another build’s stays', () => {
  const handle = openDatabase(':memory:', new Date('2026-11-25T10:00:00Z'));
  const builds = ['a', 'b'].map((id) =>
    added('build', { id: asId<BuildId>(id), name: id, note: '', createdAt: '', archived: false }),
  );
  for (const diff of builds) inTransaction(handle, () => writeDiff(handle.db, diff));
  writeKeptMakeUp(handle.db, 'a', { seconds: 2 });
  writeKeptMakeUp(handle.db, 'b', { seconds: 3 });
  writeKeptMakeUp(handle.db, 'a', { seconds: 9 });
  expect(readKeptMakeUp(handle.db, 'a')).toEqual({ seconds: 9 });
  inTransaction(handle, () => writeDiff(handle.db, { added: [], changed: [], removed: builds[0]!.added }));
  expect(readKeptMakeUp(handle.db, 'a')).toBeUndefined();
  expect(readKeptMakeUp(handle.db, 'b')).toEqual({ seconds: 3 });
});
