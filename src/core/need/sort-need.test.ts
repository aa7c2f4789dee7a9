import { describe, expect, it } from 'vitest';
import { makeWorkbench, planned, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { needOf } from './need';
import { NEED_ORDERS, sortNeed } from './sort-need';

const workbench = makeWorkbench({ zones: { Wall: ['6 brick 1x2 slate'], Roof: ['2 plate 1x2 ash'] } });
const source = testSource();
const add = (element: string, colour: string, qty: number, zone = 'Wall') =>
  planned(workbench, source, { on: [{ element: el(element, colour), qty }], zone: zoneId(zone) });
add('tile 2x2', 'bark', 3, 'Roof');
add('brick 1x2', 'slate', 9);
add('brick 1x10', 'ash', 2);
add('brick 1x4', 'bark', 5);
add('brick 1x2', 'slate', 1, 'Roof');
const { lots } = needOf(workbench);
const placesOf = (lot: (typeof lots)[number]) =>
  lot.sources.map((s) => (s.zone ? workbench.records.zone.get(s.zone)!.name : '')).join(' ');
const list = (text: string, order: (typeof NEED_ORDERS)[number]) =>
  sortNeed(lots, text, order, placesOf).map((l) => `${l.qty} ${l.element}`);

describe('what is needed is found and ordered', () => {
  it('by name with sizes as numbers, by colour, by pieces, by entries', () => {
    expect(list('', 'by name')).toEqual([
      '10 brick 1x2|slate',
      '5 brick 1x4|bark',
      '2 brick 1x10|ash',
      '3 tile 2x2|bark',
    ]);
    expect(list('', 'by colour')).toEqual([
      '2 brick 1x10|ash',
      '5 brick 1x4|bark',
      '3 tile 2x2|bark',
      '10 brick 1x2|slate',
    ]);
    expect(list('', 'most pieces first').map((l) => Number(l.split(' ')[0]))).toEqual([10, 5, 3, 2]);
    expect(list('', 'most entries first')[0]).toBe('10 brick 1x2|slate');
  });

  it('by words of the part and of where it is for', () => {
    expect(list('1 × 2', 'by name')).toEqual(['10 brick 1x2|slate']);
    expect(list('roof bark', 'by name')).toEqual(['3 tile 2x2|bark']);
    expect(list('roof', 'most pieces first')).toEqual(['10 brick 1x2|slate', '3 tile 2x2|bark']);
    expect(list('cellar', 'by name')).toEqual([]);
    expect(lots).toHaveLength(4);
  });
});
