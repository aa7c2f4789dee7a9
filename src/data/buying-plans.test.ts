import { expect, it } from 'vitest';
import { added } from '@/core/ledger';
import { asId, type BuildId } from '@/core/shared/ids';
import { inTransaction, openDatabase } from './database';
import { readSavedPlan, writeSavedPlan } from './buying-plans';
import { writeDiff } from './records';

it('a build has one buying plan, the last; it goes with the build, and another build’s stays', () => {
  const handle = openDatabase(':memory:', new Date('2026-11-25T10:00:00Z'));
  const builds = ['a', 'b'].map((id) =>
    added('build', { id: asId<BuildId>(id), name: id, note: '', createdAt: '', archived: false }),
  );
  for (const diff of builds) inTransaction(handle, () => writeDiff(handle.db, diff));
  writeSavedPlan(handle.db, 'a', { seconds: 2 });
  writeSavedPlan(handle.db, 'b', { seconds: 3 });
  writeSavedPlan(handle.db, 'a', { seconds: 9 });
  expect(readSavedPlan(handle.db, 'a')).toEqual({ seconds: 9 });
  inTransaction(handle, () => writeDiff(handle.db, { added: [], changed: [], removed: builds[0]!.added }));
  expect(readSavedPlan(handle.db, 'a')).toBeUndefined();
  expect(readSavedPlan(handle.db, 'b')).toEqual({ seconds: 3 });
});
