import { describe, expect, it } from 'vitest';
import { keptAt, stockAccount, worthOf } from '../ledger';
import { addPoolModel, changePoolModel, deletePoolModel } from '../pool';
import { nowAvailable, waitFor, waitNoLonger } from '../market';
import { splitElementKey } from '../parts';
import type { Tray } from '../records';
import { doneAndBack, makeWorkbench, TEST_BUILD, TEST_TRAY, testSource } from '../testing/workbench';
import { el } from '../testing/world';
import { addPrice, addTray, breakUpKept, deletePrice, keepWhole, renameTray, setPrice } from './index';

const ash = el('brick 1x2', 'ash');
const collection = () =>
  makeWorkbench({ zones: { Wall: [] }, stock: ['8 brick 1x2 ash used'], prices: ['brick 1x2 ash 9'] });

describe('trays', () => {
  it('come last, and keep their name where none is given', () => {
    const workbench = collection();
    const trays = (): Tray[] => [...workbench.records.tray.values()];
    doneAndBack(workbench, addTray(trays(), 'B2', testSource()));
    const made = trays().find((t) => t.name === 'B2')!;
    expect(made.position).toBe(2);
    doneAndBack(workbench, renameTray(made, { name: 'Grey', place: 'shelf 3' }));
    doneAndBack(workbench, renameTray(workbench.records.tray.get(made.id)!, { name: '', place: 'attic' }));
    expect(workbench.records.tray.get(made.id)).toEqual({ ...made, name: 'Grey', place: 'attic' });
  });
});

describe('prices', () => {
  it('are set new and used apart, and may become not known', () => {
    const workbench = collection();
    const price = () => workbench.records.price.get(ash)!;
    doneAndBack(workbench, setPrice(price(), { newPrice: 15 }));
    expect(price()).toMatchObject({ newPrice: 15, usedPrice: 6 });
    doneAndBack(workbench, setPrice(price(), { usedPrice: null }));
    expect(price()).toMatchObject({ newPrice: 15, usedPrice: null });
  });

  it('are added one by one, set where the kind stands there already, and deleted', () => {
    const workbench = collection();
    const prices = () => [...workbench.records.price.values()];
    const bark = el('tile 1x1', 'bark');
    doneAndBack(workbench, addPrice(prices(), bark, { newPrice: null, usedPrice: 4 }));
    expect(workbench.records.price.get(bark)).toEqual({
      id: bark,
      element: bark,
      newPrice: null,
      usedPrice: 4,
    });
    doneAndBack(workbench, addPrice(prices(), ash, { newPrice: 20, usedPrice: null }));
    expect(prices()).toHaveLength(2);
    expect(workbench.records.price.get(ash)).toMatchObject({ newPrice: 20, usedPrice: 6 });
    doneAndBack(workbench, deletePrice(workbench.records.price.get(bark)!));
    expect(prices().map((p) => p.element)).toEqual([ash]);
  });

  it('that are not known are counted as such in a sum, and never as nothing', () => {
    const lots = [
      { qty: 3, price: 12 },
      { qty: 2, price: null },
      { qty: 5, price: 0 },
    ];
    expect(worthOf(lots, (l) => l.price)).toEqual({ worth: 36, unpriced: 2 });
    expect(worthOf([], () => 1)).toEqual({ worth: 0, unpriced: 0 });
  });
});

describe('pieces kept together', () => {
  it('are free again when it is broken up', () => {
    const workbench = collection();
    const at = stockAccount(TEST_TRAY);
    const lots = [{ element: ash, qty: 5 }];
    doneAndBack(workbench, keepWhole('crane cab', at, lots, testSource()));
    expect(keptAt(workbench.records.keptAssembly.values())).toEqual(workbench.kept);
    const kept = [...workbench.records.keptAssembly.values()][0]!;
    expect(kept).toMatchObject({ name: 'crane cab', account: at, lots });
    doneAndBack(workbench, breakUpKept(kept));
    expect([...workbench.records.keptAssembly.values()]).toEqual([]);
  });
});

describe('models out of boxes', () => {
  it('are added without colours, changed where they stand and deleted', () => {
    const workbench = collection();
    const { part, colour } = splitElementKey(ash);
    const musts = [{ part, colour, qty: 6 }];
    doneAndBack(workbench, addPoolModel(TEST_BUILD, 'Barge', musts, testSource()));
    const model = () => [...workbench.records.poolModel.values()][0]!;
    expect(model()).toMatchObject({ build: TEST_BUILD, colours: [], shares: false });
    const { id } = model();
    doneAndBack(workbench, changePoolModel(model(), { shares: true, name: 'Long barge' }));
    expect(model()).toMatchObject({ id, shares: true, name: 'Long barge', musts });
    doneAndBack(workbench, deletePoolModel(model()));
    expect(model()).toBeUndefined();
  });
});

describe('waiting for a part', () => {
  it('is kept until it is had or given up', () => {
    const workbench = collection();
    doneAndBack(workbench, waitFor(ash, 4, testSource()));
    const waiting = [...workbench.records.waiting.values()];
    expect(waiting).toMatchObject([{ element: ash, qty: 4, at: '2026-11-24T10:00:00Z' }]);
    const register = { look: () => ({ made: 'unknown' }) };
    expect(nowAvailable(waiting, register as never, null, 2026)).toMatchObject([{ pieces: 0, isHad: false }]);
    doneAndBack(workbench, waitNoLonger(waiting[0]!));
    expect(workbench.records.waiting.size).toBe(0);
  });
});
