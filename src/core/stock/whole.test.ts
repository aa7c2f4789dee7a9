import { describe, expect, it } from 'vitest';
import { freeAt, entryFault, stockAccount, type Entry } from '../ledger';
import { needOf } from '../need';
import { did, makeWorkbench, TEST_TRAY, testSource, used, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { asId } from '../shared/ids';
import { breakUpBox, breakUpBuild, donorReport, keepWhole } from './index';

import { planTaking } from '../testing/stock';

describe('breaking up', () => {
  it('takes a build off its zones, as a modification whose tally says so', () => {
    const workbench = makeWorkbench({
      zones: { Porch: ['4 brick 1x2 ash', '2 tile 2x2 bark'], Roof: ['6 slope 45 2x1 slate'] },
      prices: ['brick 1x2 ash 9'],
    });
    did(workbench, breakUpBuild(workbench, [zoneId('Porch')], { tray: TEST_TRAY }, testSource()));
    expect(workbench.built.figures({ of: 'build' }).out).toBe(6);
    expect(workbench.built.balances.at(stockAccount(TEST_TRAY), el('brick 1x2', 'ash'))).toBe(4);
    expect(workbench.modifications.map((m) => m.title)).toEqual(['Broken up for parts']);
    expect(workbench.entries.every((e) => entryFault(e) === undefined)).toBe(true);
  });

  it('tells what a box gives and what it costs a piece, of all and of the useful ones', () => {
    const workbench = makeWorkbench({ zones: { Porch: [] } });
    const copy = {
      ...[...workbench.records.copy.values()][0]!,
      id: asId('box'),
      role: 'donor',
      price: 600,
    } as never;
    const [first] = workbench.entries;
    const unpack: Entry = {
      ...first!,
      id: asId('u'),
      movements: [
        {
          element: el('brick 1x2', 'ash'),
          grade: used,
          qty: 20,
          from: 'shipped:box' as never,
          to: 'donor:box' as never,
          worth: null,
        },
        {
          element: el('tile 2x2', 'bark'),
          grade: used,
          qty: 10,
          from: 'shipped:box' as never,
          to: 'donor:box' as never,
          worth: null,
        },
      ],
    };
    workbench.apply({
      added: [
        { type: 'copy', record: copy },
        { type: 'entry', record: unpack },
      ],
      changed: [],
      removed: [],
    });
    const [report] = donorReport(workbench, new Map([[el('brick 1x2', 'ash'), 12]]));
    expect(report).toMatchObject({ pieces: 30, useful: 12, eachOfAll: 20, eachOfUseful: 50 });
    did(workbench, breakUpBox(workbench, [{ ...report!.lots[0]!, qty: 12 }], testSource()));
    expect(donorReport(workbench, new Map())[0]).toMatchObject({ pieces: 18, opened: 30, eachOfAll: 20 });
  });
});

describe('kept whole', () => {
  it('is not free for anything else until it is broken up', () => {
    const workbench = makeWorkbench({ zones: { Porch: [] }, stock: ['6 tile 2x2 bark'] });
    const account = stockAccount(TEST_TRAY);
    did(
      workbench,
      keepWhole('Lamp table', account, [{ element: el('tile 2x2', 'bark'), qty: 4 }], testSource()),
    );
    expect(freeAt(workbench.built.balances, account, el('tile 2x2', 'bark'), workbench.kept)).toBe(2);
    const plan = planTaking(account, 'tile 2x2', 'bark', 5);
    workbench.apply({ added: [{ type: 'entry', record: plan }], changed: [], removed: [] });
    expect(needOf(workbench)).toMatchObject({ fromStock: 2, missing: 3 });
    const [record] = [...workbench.records.keptAssembly.values()];
    workbench.apply({ added: [], changed: [], removed: [{ type: 'keptAssembly', record: record! }] });
    expect(needOf(workbench)).toMatchObject({ fromStock: 5, missing: 0 });
  });
});
