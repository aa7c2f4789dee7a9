import { describe, expect, it } from 'vitest';
import { makeWorkbench, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import type { NeedLot } from './need';
import { conditionBeside } from './wanted-condition';

const ash = el('brick 1x2', 'ash');

/** What fits a lot of one colour that goes to some zones of a build, given what lies in them. */
function beside(zones: Readonly<Record<string, readonly string[]>>, more: Partial<NeedLot> = {}) {
  const bench = makeWorkbench({ zones });
  const sources = Object.keys(zones).map((name) => ({ zone: zoneId(name) }));
  const lot = { element: ash, qty: 2, hidden: false, sources, ...more };
  return conditionBeside(bench, lot as unknown as NeedLot);
}
const to = (...zones: (string | null)[]) =>
  ({ sources: zones.map((z) => ({ zone: z && zoneId(z) })) }) as unknown as Partial<NeedLot>;

describe('the condition that fits where a lot goes', () => {
  it('is that of most pieces of its colour, whatever their shape', () => {
    expect(beside({ roof: ['3 brick 1x2 ash new', '2 brick 1x2 ash used'] })).toBe('new');
    expect(beside({ roof: ['2 brick 1x2 ash new', '3 tile 2x2 ash used'] })).toBe('used');
  });

  it('counts what has aged in any way as used', () => {
    expect(beside({ roof: ['2 brick 1x2 ash new', '3 brick 1x2 ash faded'] })).toBe('used');
  });

  it('goes by its own colour only', () => {
    expect(beside({ roof: ['2 brick 1x2 ash new', '30 brick 1x2 slate used'] })).toBe('new');
  });

  it('is any where as many are new as used, or where nothing of the colour is', () => {
    expect(beside({ roof: ['2 brick 1x2 ash new', '2 brick 1x2 ash used'] })).toBeNull();
    expect(beside({ roof: ['9 brick 1x2 slate new'] })).toBeNull();
  });

  it('is any where nobody sees it', () => {
    expect(beside({ roof: ['9 brick 1x2 ash new'] }, { hidden: true })).toBeNull();
  });

  it('goes by all zones that it goes to, each once, and by no other', () => {
    const zones = { roof: ['3 brick 1x2 ash new'], wall: ['4 brick 1x2 ash used'] };
    expect(beside(zones)).toBe('used');
    expect(beside(zones, to('roof'))).toBe('new');
    expect(beside(zones, to('roof', 'roof', 'wall'))).toBe('used');
    expect(beside(zones, to('roof', null))).toBe('new');
    expect(beside(zones, to(null))).toBeNull();
  });
});
