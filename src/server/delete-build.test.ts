import { describe, expect, it } from 'vitest';
import { STOCK_SCOPE, stockAccount, type Tray } from '@/core/ledger';
import { asId, countingIds, type ActionId, type TrayId } from '@/core/shared/ids';
import { addTray, takeSpares, type FreeSpares } from '@/core/stock';
import { el } from '@/core/testing/world';
import { booksFault } from '@/data/check-books';
import { freeSpares } from '@/data/balances';
import { readRecords } from '@/data/records';
import { readBuilds } from './build-list';
import { deleteBuildOf, deletionOf } from './delete-build';
import { perform, undoOrRedo } from './perform';
import { takeSnapshot } from './snapshot';
import { NOW, testBuild } from './testing/workspace';

const chalk = el('plate 2x3', 'chalk');

/** Two builds; nine pieces of the first lie in tray A1, and two of them went back onto its model. */
const yard = () => {
  const one = testBuild();
  const two = testBuild(one.handle, 'u');
  const source = { newId: () => 'tray-1', now: NOW.toISOString() };
  perform(one.handle, { id: asId<ActionId>('tray'), scope: STOCK_SCOPE, ...addTray([], 'A1', source) }, NOW);
  const tray = readRecords(one.handle.db, 'tray')[0] as Tray & { id: TrayId };
  one.log('-9 plate 2x3 chalk');
  const lots = (freeSpares(one.handle.db) as unknown as FreeSpares[]).filter((l) => l.element === chalk);
  const taken = takeSpares(lots, tray, { newId: countingIds('take'), now: NOW.toISOString() });
  perform(one.handle, { id: asId<ActionId>('take'), scope: STOCK_SCOPE, ...taken }, NOW);
  one.log('+2 plate 2x3 chalk from own parts');
  return { one, two, handle: one.handle, tray };
};
type Yard = ReturnType<typeof yard>;

const inTray = ({ two, tray }: Yard) =>
  two
    .open()
    .built.balances.rows((a) => a === stockAccount(tray.id))
    .filter((r) => r.element === chalk)
    .reduce((s, r) => s + r.qty, 0);
const doDelete = ({ handle, one }: Yard, traysStay: boolean, request = 'delete-request-1') =>
  deleteBuildOf(handle, { build: one.build, traysStay, request }, countingIds('kept'), NOW);
const undo = ({ handle }: Yard) => undoOrRedo(handle, 'undo-1', STOCK_SCOPE, 'undo', 'delete-request-1');

describe('a build that is deleted', () => {
  it('says beforehand what goes with it, netted over its log', () => {
    const y = yard();
    expect(deletionOf(y.handle, y.one.build)).toMatchObject({ put: 7, taken: 0 });
    expect(deletionOf(y.handle, y.one.build)?.entries).toBeGreaterThan(3);
    expect(deletionOf(y.handle, 'nobody' as never)).toBeUndefined();
  });

  it.each([
    [true, 7],
    [false, 0],
  ])('leaves trays as they lie, or as if it had never been (%s)', (traysStay, left) => {
    const y = yard();
    expect(inTray(y)).toBe(7);
    expect(doDelete(y, traysStay)).toMatchObject({ ok: true });
    expect(readBuilds(y.handle).here).toBe(1);
    expect(takeSnapshot(y.handle, y.one.build)).toBeUndefined();
    expect(inTray(y)).toBe(left);
    expect(booksFault(y.handle.db)).toBeUndefined();
  });

  it('is had back whole by undo, and deleted once however often that is sent', () => {
    const y = yard();
    const before = takeSnapshot(y.handle, y.one.build)!.records;
    doDelete(y, true);
    expect(doDelete(y, true)).toMatchObject({ ok: true });
    expect(undo(y)).toMatchObject({ ok: true });
    expect(new Set(takeSnapshot(y.handle, y.one.build)!.records)).toEqual(new Set(before));
    expect(inTray(y)).toBe(7);
    expect(booksFault(y.handle.db)).toBeUndefined();
  });

  it('stays where another build stands on its pieces, and nothing is half done', () => {
    const y = yard();
    expect(y.two.log('+5 plate 2x3 chalk from own parts')).toMatchObject({ ok: true });
    expect(doDelete(y, false)).toMatchObject({ ok: false, reason: { refused: 'overdrawn' } });
    expect(readBuilds(y.handle).here).toBe(2);
    expect(doDelete(y, true, 'delete-request-2')).toMatchObject({ ok: true });
    expect(inTray(y)).toBe(2);
  });

  it('that is not there is said to be not there', () => {
    const y = yard();
    doDelete(y, true);
    expect(doDelete(y, true, 'delete-request-3')).toEqual({
      ok: false,
      reason: { refused: 'no such build' },
    });
  });
});
