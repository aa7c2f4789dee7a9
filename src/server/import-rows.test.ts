import { describe, expect, it } from 'vitest';
import { el } from '@/core/testing/world';
import { asId, countingIds, type BuildId } from '@/core/shared/ids';
import { openDatabase } from '@/data/database';
import { stockBalances, unbalanced } from '@/data/balances';
import { readRecords } from '@/data/records';
import { undoOrRedo } from './perform';
import { readBuilds } from './build-list';
import { openWorkbench } from './snapshot';
import { importBoxes, importPrices, importStock } from './import-rows';
import { importBoxesSchema } from './import-schemas';
import { NOW, SMALL_BOX } from './testing/workspace';

const context = () => ({ handle: openDatabase(':memory:', NOW), newId: countingIds('t'), now: NOW });
const nothing = { colours: { made: [], matched: [] }, memory: null };

describe('bringing boxes in', () => {
  it('takes several copies of several sets into one build, extras to the spares', () => {
    const c = context();
    const [box] = SMALL_BOX.boxes;
    const donor = { ...box!, setName: 'Other', copies: 1, role: 'donor' as const, price: 500 };
    const taken = importBoxes({ ...SMALL_BOX, request: 'r', boxes: [{ ...box!, copies: 3 }, donor] }, c);
    const workbench = openWorkbench(c.handle, (taken.ok && taken.value.build) || asId<BuildId>(''))!;
    expect(workbench.built.figures({ of: 'build' })).toMatchObject({
      shipped: 336,
      extras: 6,
      onModel: 336,
      outOfPocket: 500,
    });
    expect(workbench.zones.map((z) => z.name)).toEqual(['Whole model', 'Porch', 'Gallery']);
    expect([...workbench.records.copy.values()].map((x) => x.role).sort()).toEqual([
      'base',
      'base',
      'base',
      'donor',
    ]);
    expect(unbalanced(c.handle.db)).toEqual([]);
    expect(readBuilds(c.handle).builds[0]).toMatchObject({
      name: 'Test house',
      figures: { onModel: 336, sparesLeft: 6 },
    });
  });

  it('is one action: undone as one, taken once however often it is sent', () => {
    const c = context();
    importBoxes({ ...SMALL_BOX, request: 'r' }, c);
    importBoxes({ ...SMALL_BOX, request: 'r' }, c);
    const builds = readRecords(c.handle.db, 'build');
    expect(builds).toHaveLength(1);
    undoOrRedo(c.handle, 'u', builds[0]!.id, 'undo');
    for (const type of ['build', 'copy', 'zone', 'entry'] as const)
      expect(readRecords(c.handle.db, type)).toEqual([]);
  });

  it('adds to a build that is there, and to no other', () => {
    const c = context();
    importBoxes({ ...SMALL_BOX, request: 'r' }, c);
    const [build] = readRecords(c.handle.db, 'build');
    expect(importBoxes({ ...SMALL_BOX, request: 's', build: { id: build!.id } }, c).ok).toBe(true);
    expect(openWorkbench(c.handle, build!.id)!.zones).toHaveLength(3);
    expect(importBoxes({ ...SMALL_BOX, request: 't', build: { id: 'none' } }, c)).toMatchObject({
      ok: false,
      reason: { refused: 'no such build' },
    });
  });

  it('keeps new colours, names matched by hand and the columns for the next time', () => {
    const c = context();
    const made = {
      id: 'sea-fog',
      name: 'Sea fog',
      hex: '#aabbcc',
      family: 'grey' as const,
      finish: 'solid' as const,
    };
    const colours = { made: [made], matched: [{ text: 'Old Fog', colour: 'sea-fog' }] };
    importBoxes({ ...SMALL_BOX, request: 'r', colours, memory: { key: 'set a', roles: ['name'] } }, c);
    importBoxes({ ...SMALL_BOX, request: 's', colours, memory: { key: 'set a', roles: ['qty'] } }, c);
    expect(readRecords(c.handle.db, 'customColour')).toMatchObject([made]);
    expect(readRecords(c.handle.db, 'colourAlias')).toEqual([{ id: 'old fog', colour: 'sea-fog' }]);
    expect(readRecords(c.handle.db, 'columnMemory')).toEqual([{ id: 'set a', roles: ['qty'] }]);
  });

  it('refuses at the door what is out of bounds', () => {
    const [box] = SMALL_BOX.boxes;
    const lot = box!.lots[0]!;
    const bad = (change: object) =>
      importBoxesSchema.safeParse({ ...SMALL_BOX, request: 'r', ...change }).success;
    expect(bad({})).toBe(true);
    expect(bad({ boxes: [] })).toBe(false);
    expect(bad({ boxes: [{ ...box, copies: 51 }] })).toBe(false);
    expect(bad({ boxes: [{ ...box, lots: [{ ...lot, qty: 0 }] }] })).toBe(false);
    expect(bad({ boxes: [{ ...box, lots: [{ ...lot, element: 'no colour' }] }] })).toBe(false);
    expect(bad({ boxes: [{ ...box, lots: Array.from({ length: 50_001 }, () => lot) }] })).toBe(false);
    expect(bad({ boxes: [{ ...box, copies: 50, lots: Array.from({ length: 2001 }, () => lot) }] })).toBe(
      false,
    );
    expect(bad({ build: { name: '  ' } })).toBe(false);
    expect(bad({ surprise: 1 })).toBe(false);
  });
});

describe('own parts and prices', () => {
  it('counts pieces into trays, made where they are not there yet', () => {
    const c = context();
    const lot = { element: el('brick 1x2', 'ash'), qty: 5, condition: null, place: 'rack', worth: null };
    importStock(
      {
        request: 'r',
        tray: 'A1',
        lots: [
          { ...lot, tray: '' },
          { ...lot, tray: 'B2' },
          { ...lot, tray: 'a1' },
        ],
        ...nothing,
      },
      c,
    );
    expect(readRecords(c.handle.db, 'tray').map((t) => t.name)).toEqual(['A1', 'B2']);
    expect(
      stockBalances(c.handle.db)
        .map((r) => r.qty)
        .sort((a, b) => a - b),
    ).toEqual([5, 10]);
  });

  it('shares own parts between builds: what one took the other no longer has', () => {
    const c = context();
    const ash = el('tile 2x2', 'ash');
    importStock(
      {
        request: 'r',
        tray: 'A1',
        lots: [{ element: ash, qty: 4, condition: null, tray: '', place: '', worth: null }],
        ...nothing,
      },
      c,
    );
    const one = importBoxes({ ...SMALL_BOX, request: 's' }, c);
    const two = importBoxes({ ...SMALL_BOX, request: 't' }, c);
    const workbench = (r: typeof one) => openWorkbench(c.handle, (r.ok && r.value.build) as BuildId)!;
    const tray = readRecords(c.handle.db, 'tray')[0]!;
    expect(workbench(two).built.balances.at(`stock:${tray.id}` as never, ash)).toBe(4);
    expect(workbench(one).callContext().atHand(ash)).toBe(true);
  });

  it('sets prices, keeping what a list does not say', () => {
    const c = context();
    const element = el('brick 1x2', 'ash');
    importPrices({ request: 'r', prices: [{ element, newPrice: 9, usedPrice: 4 }], ...nothing }, c);
    importPrices({ request: 's', prices: [{ element, newPrice: 11, usedPrice: null }], ...nothing }, c);
    expect(readRecords(c.handle.db, 'price')).toEqual([{ id: element, element, newPrice: 11, usedPrice: 4 }]);
  });
});
