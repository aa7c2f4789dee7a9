import { describe, expect, it } from 'vitest';
import type { ColourId, PartId } from '../shared/ids';
import { register, TEST_YEAR } from '../testing/tower';
import { makeWorkbench } from '../testing/workbench';
import { el } from '../testing/world';
import { affordableColours } from './index';

describe('which colour can I afford', () => {
  const wall = [
    { part: 'brick 1x2' as PartId, qty: 10 },
    { part: 'brick 1x4' as PartId, qty: 4 },
  ];
  const workbench = makeWorkbench({
    zones: { Wall: ['1 brick 1x2 chalk'] },
    stock: ['8 brick 1x2 ash', '4 brick 1x4 ash', '2 brick 1x2 bark', '9 brick 1x2 dune'],
    prices: ['brick 1x2 ash 9', 'brick 1x4 ash 12'],
  });

  it('ranks by what is available, then by money, and tells what is at hand and to buy', () => {
    const report = affordableColours(workbench, wall, ['ash' as ColourId], register(), TEST_YEAR);
    expect(report.colours[0]).toMatchObject({
      colour: { id: 'ash' },
      atHand: 12,
      toBuy: 2,
      cost: 18,
      offScheme: 0,
    });
    for (const c of report.colours)
      expect(c.atHand + c.toBuy + c.cannot.reduce((s, w) => s + w.qty, 0)).toBe(14);
  });

  it('what was never made puts a colour last', () => {
    const report = affordableColours(workbench, wall, [], register([el('brick 1x2', 'ash')]), TEST_YEAR);
    expect(report.colours.at(-1)).toMatchObject({
      colour: { id: 'ash' },
      cannot: [{ part: 'brick 1x2', qty: 2 }],
    });
    expect(report.colours[0]!.offScheme).toBeNull();
  });

  it('offers stripes of two colours that are told apart, where none is enough', () => {
    const [best] = affordableColours(workbench, wall, [], register(), TEST_YEAR).stripes;
    expect(best).toMatchObject({ main: { id: 'ash' }, toBuy: 0, mainPieces: 12, otherPieces: 2 });
    expect(best!.deltaE).toBeGreaterThanOrEqual(10);
    const rich = makeWorkbench({
      zones: { Wall: ['1 brick 1x2 chalk'] },
      stock: ['20 brick 1x2 ash', '9 brick 1x4 ash'],
    });
    expect(affordableColours(rich, wall, [], register(), TEST_YEAR).stripes).toEqual([]);
  });
});
