import { describe, expect, it } from 'vitest';
import { el, ELEMENTS } from '../testing/world';
import { byElementName, elementName, elementSearch, sortedByName } from './index';

describe('searching elements', () => {
  it.each(['plate 2x3 chalk', 'chalk 2 x 3', '2×3 cha', 'PLATE, chalk', 'hal late'])(
    '%s finds plate 2x3 chalk',
    (text) => expect(elementSearch(text)(el('plate 2x3', 'chalk'))).toBe(true),
  );

  it('finds nothing else, everything for nothing, and prints by their text', () => {
    expect(elementSearch('plate 2x3 bark')(el('plate 2x3', 'chalk'))).toBe(false);
    expect(ELEMENTS.every(elementSearch('  '))).toBe(true);
    expect(elementSearch('compass')(el('tile 2x2', 'bark', 'compass dial'))).toBe(true);
    expect(ELEMENTS.filter(elementSearch('window 1x2x2'))).toHaveLength(5);
  });

  it('sorts sizes as numbers', () => {
    const sorted = [el('plate 1x10', 'ash'), el('plate 1x2', 'ash'), el('brick 1x2', 'ash')].sort(
      byElementName,
    );
    expect(sorted.map(elementName)).toEqual(['brick 1x2 ash', 'plate 1x2 ash', 'plate 1x10 ash']);
  });

  it('sorts a long list as it sorts two, and leaves the list as it was', () => {
    const list = [...ELEMENTS].reverse().map((element, i) => ({ element, i }));
    const sorted = sortedByName(list, (l) => l.element).map((l) => l.element);
    expect(sorted).toEqual([...ELEMENTS].sort(byElementName));
    expect(list[0]).toEqual({ element: ELEMENTS.at(-1), i: 0 });
  });
});
