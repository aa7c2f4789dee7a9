import { describe, expect, it } from 'vitest';
import { added, changed, scopesOf, STOCK_SCOPE, type Diff } from '@/core/ledger';
import { asId, type ActionId } from '@/core/shared/ids';
import { mergeTrays } from '@/core/stock';
import { pruneActions, stepsSince, undoTargets } from '@/data/actions';
import { booksFault } from '@/data/check-books';
import { perform, undoOrRedo } from './perform';
import { takeStockSnapshot } from './snapshot';
import { importStock } from './import-rows';
import { NOW, testBuild } from './testing/workspace';

const tray = (id: string) => ({ id: asId<never>(id), name: id, place: '', position: 2 });

/** A build that plans to take tiles out of a tray. */
function planning() {
  const t = testBuild();
  let n = 0;
  const source = { newId: () => `u-${++n}`, now: NOW.toISOString() };
  const element = asId<never>('tile 2x2|ash');
  const lot = { element, qty: 6, condition: null, tray: '', place: '', worth: null };
  const stock = {
    request: 'add-stock',
    tray: 'A1',
    lots: [lot],
    colours: { made: [], matched: [] },
    memory: null,
  };
  importStock(stock, { handle: t.handle, newId: t.newId, now: NOW });
  t.log('+4 tile 2x2 ash from own parts plan');
  const act = (label: string, diff: Diff, scope: string = STOCK_SCOPE) =>
    perform(t.handle, { id: asId<ActionId>(`a-${++n}`), scope, label, diff }, NOW);
  const merge = () => {
    act('add B1', added('tray', tray('B1')));
    const stock = takeStockSnapshot(t.handle);
    const a1 = stock.trays.find((x) => x.name === 'A1')!;
    return act('merge A1 into B1', mergeTrays(a1, tray('B1'), stock.rows, stock.plans, source).diff);
  };
  const lists = () => [STOCK_SCOPE, t.build].map((s) => undoTargets(t.handle.db, s).undo?.label);
  return { ...t, act, merge, lists };
}

describe('undo lists meet where an action changes what belongs to both', () => {
  it('what was done to own parts and turned a build\u2019s plan is undone from the build too', () => {
    const { build, handle, merge, lists } = planning();
    expect(merge()).toMatchObject({ ok: true });
    expect(lists()).toEqual(['merge A1 into B1', 'merge A1 into B1']);
    expect(undoOrRedo(handle, 't1', build, 'undo')).toMatchObject({
      ok: true,
      value: { label: 'merge A1 into B1' },
    });
    expect(lists()).toEqual(['add B1', 'log +4 tile 2x2 ash from own parts plan']);
    // The build's own undo is not in the way of anything any more.
    expect(undoOrRedo(handle, 't2', build, 'undo')).toMatchObject({ ok: true });
    expect(booksFault(handle.db)).toBeUndefined();
  });

  it('and what was undone from the one can be done again from the other', () => {
    const { build, handle, merge, lists } = planning();
    merge();
    undoOrRedo(handle, 't1', build, 'undo');
    expect(undoOrRedo(handle, 't2', STOCK_SCOPE, 'redo')).toMatchObject({
      ok: true,
      value: { label: 'merge A1 into B1' },
    });
    expect(lists()).toEqual(['merge A1 into B1', 'merge A1 into B1']);
  });

  it('a new action of the one takes what was undone from the other out of redo', () => {
    const { build, handle, merge, act, open } = planning();
    merge();
    undoOrRedo(handle, 't1', STOCK_SCOPE, 'undo');
    const record = open().records.build.get(build)!;
    act('rename', changed('build', record, { name: 'Other' }), build);
    expect(undoTargets(handle.db, STOCK_SCOPE).redo).toBeNull();
  });

  it('an action joins the lists of all that it changes', () => {
    const { open, build } = planning();
    const record = open().records.build.get(build)!;
    expect(scopesOf({ scope: STOCK_SCOPE, diff: changed('build', record, { name: 'x' }) })).toEqual([
      STOCK_SCOPE,
      build,
    ]);
    expect(scopesOf({ scope: build, diff: added('tray', tray('T')) })).toEqual([build, STOCK_SCOPE]);
  });
});

describe('the history', () => {
  it('forgets the oldest, keeps so many and so many days, and the books still follow from what is kept', () => {
    const t = testBuild();
    for (let n = 0; n < 12; n++) t.log('+1 brick 1x2 ash');
    const count = () =>
      (t.handle.sqlite.prepare('select count(*) as n from actions').get() as { n: number }).n;
    const all = count();
    expect(pruneActions(t.handle.db, 1000, '2030')).toBe(0);
    expect(pruneActions(t.handle.db, 5, '2000')).toBe(0);
    expect(pruneActions(t.handle.db, 5, '2030')).toBe(all - 5);
    expect(count()).toBe(5);
    expect(booksFault(t.handle.db)).toBeUndefined();
    for (let n = 0; n < 5; n++)
      expect(undoOrRedo(t.handle, `u${n}`, t.build, 'undo')).toMatchObject({ ok: true });
    expect(undoOrRedo(t.handle, 'u9', t.build, 'undo')).toMatchObject({
      reason: { refused: 'nothing to undo' },
    });
    expect(booksFault(t.handle.db)).toBeUndefined();
    // A window that was away for longer than the history reaches fetches the whole.
    expect(stepsSince(t.handle.db, 1)).toBeNull();
  });
});
