import { describe, expect, it } from 'vitest';
import { inTransaction, openDatabase } from './database';
import { askedAgain } from './asked-again';
import { readById, readRecord, readRecords, writeDiff } from './records';
import { added } from '@/core/ledger';
import { asId, type TrayId } from '@/core/shared/ids';

const opened = () => openDatabase(':memory:', new Date('2031-05-02T09:00:00Z'));

describe('a query that is asked again', () => {
  it('is made ready once in each file', () => {
    const [one, other] = [opened().db, opened().db];
    let made = 0;
    const ask = (db: typeof one, name: string) => askedAgain(db, name, () => ({ made: ++made }));
    expect([ask(one, 'a'), ask(one, 'a'), ask(one, 'b'), ask(other, 'a'), ask(one, 'a')]).toEqual([
      { made: 1 },
      { made: 1 },
      { made: 2 },
      { made: 3 },
      { made: 1 },
    ]);
  });

  it('reads what was written since, and of the file that is asked', () => {
    const handle = opened();
    const [one, other] = [handle.db, opened().db];
    const tray = (id: string) => ({ id: asId<TrayId>(id), name: id, place: '', position: 1 });
    const idsIn = (db: typeof one) => readRecords(db, 'tray').map((t) => t.id);
    const before = idsIn(one);
    inTransaction(handle, () => writeDiff(one, added('tray', tray('one'))));
    expect([idsIn(one), idsIn(other)]).toEqual([[...before, 'one'], before]);
    inTransaction(handle, () => writeDiff(one, added('tray', tray('two'))));
    expect(readRecord(one, 'tray', 'two')).toMatchObject(tray('two'));
    expect(readById(one, 'tray', ['two', 'nobody', 'one']).map((t) => t.id)).toEqual(
      expect.arrayContaining(['one', 'two']),
    );
    expect([readRecord(other, 'tray', 'two'), readById(other, 'tray', ['two'])]).toEqual([undefined, []]);
  });
});
