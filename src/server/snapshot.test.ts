import { describe, expect, it } from 'vitest';
import { Workbench } from '@/core/workbench';
import { FIGURES, stockAccount } from '@/core/ledger';
import { asId, type BuildId } from '@/core/shared/ids';
import { el } from '@/core/testing/world';
import { readRecords } from '@/data/records';
import { undoTargets } from '@/data/actions';
import { openWorkbench, takeSnapshot, takeStockSnapshot } from './snapshot';
import { importStock } from './import-rows';
import { undoOrRedo } from './perform';
import { NOW, testBuild } from './testing/workspace';

const nothing = { colours: { made: [], matched: [] }, memory: null };
const ash = el('tile 2x2', 'ash');

function withStock(qty: number) {
  const one = testBuild();
  importStock(
    {
      request: 'add-stock',
      tray: 'A1',
      lots: [{ element: ash, qty, condition: null, tray: '', place: '', worth: null }],
      ...nothing,
    },
    { handle: one.handle, newId: one.newId, now: NOW },
  );
  return one;
}

describe('a snapshot', () => {
  it('sent and opened again gives the same books', () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk; +3 brick 1x2 ash at 0.07; +4 tile 2x2 slate plan');
    const sent = JSON.parse(JSON.stringify(takeSnapshot(t.handle, t.build))) as NonNullable<
      ReturnType<typeof takeSnapshot>
    >;
    const [here, there] = [t.open(), new Workbench(sent)];
    for (const f of FIGURES)
      expect([f, there.planned.figures({ of: 'build' })[f]]).toEqual([
        f,
        here.planned.figures({ of: 'build' })[f],
      ]);
    expect(there.built.balances.rows()).toEqual(here.built.balances.rows());
  });

  it('of a build that is not there is none', () => {
    expect(takeSnapshot(testBuild().handle, asId<BuildId>('none'))).toBeUndefined();
    expect(openWorkbench(testBuild().handle, asId<BuildId>('none'))).toBeUndefined();
  });

  it('says what would be undone and redone next', () => {
    const t = testBuild();
    t.log('-2 plate 2x3 chalk');
    expect(takeSnapshot(t.handle, t.build)?.undoRedo).toMatchObject({
      undo: { label: 'log -2 plate 2x3 chalk' },
      redo: null,
    });
    undoOrRedo(t.handle, 'u', t.build, 'undo');
    expect(undoTargets(t.handle.db, t.build)).toMatchObject({
      undo: { label: 'add modification First' },
      redo: { label: 'log -2 plate 2x3 chalk' },
    });
  });
});

describe('own parts that builds share', () => {
  it('are what another build’s done entries leave; its plans count in the plan only', () => {
    const one = withStock(10);
    const two = testBuild(one.handle, 'other');
    const tray = stockAccount(readRecords(one.handle.db, 'tray')[0]!.id);
    one.log('+4 tile 2x2 ash from own parts; +3 tile 2x2 ash from own parts plan');
    expect(two.open().built.balances.at(tray, ash)).toBe(6);
    expect(two.open().planned.balances.at(tray, ash)).toBe(3);
    expect(one.open().planned.balances.at(tray, ash)).toBe(3);
  });

  it('cannot be emptied twice: the second build is refused by name', () => {
    const one = withStock(5);
    const two = testBuild(one.handle, 'other');
    const late = two.open();
    one.log('+5 tile 2x2 ash from own parts');
    expect(() => two.log('+1 tile 2x2 ash from own parts')).toThrow(/not at hand/);
    expect(late.callContext().atHand(ash)).toBe(true);
  });

  it('are listed with their trays, and an import that was used cannot be undone', () => {
    const one = withStock(5);
    expect(takeStockSnapshot(one.handle)).toMatchObject({
      trays: [{ name: 'A1' }],
      rows: [{ element: ash, qty: 5 }],
    });
    one.log('+5 tile 2x2 ash from own parts');
    expect(takeStockSnapshot(one.handle).rows).toEqual([]);
    expect(undoOrRedo(one.handle, 'u', 'stock', 'undo')).toMatchObject({
      ok: false,
      reason: { refused: 'overdrawn' },
    });
  });
});
