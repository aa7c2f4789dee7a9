import { describe, expect, it } from 'vitest';
import { GROUPS } from '@/core/parts';
import { el, ELEMENTS } from '@/core/testing/world';
import { shortSize, trayRows } from './tray-rows';

describe('rows of the tray', () => {
  const lots = ELEMENTS.map((element, i) => ({ element, qty: 1 + ((i * 7) % 30), conditions: [] }));
  const rows = trayRows(lots);

  it('hold every lot once, under the heading of its group, in the order of groups', () => {
    const shown = rows.flatMap((r) => (r.kind === 'lots' ? r.lots : []));
    expect(new Set(shown.map((l) => l.element))).toEqual(new Set(ELEMENTS));
    expect(shown).toHaveLength(ELEMENTS.length);
    const headings = rows.flatMap((r) => (r.kind === 'group' ? [r.name] : []));
    expect(headings).toEqual(GROUPS.filter((g) => headings.includes(g)));
  });

  it('are three wide, and a heading says how many pieces follow', () => {
    let [said, counted] = [0, 0];
    for (const row of rows) {
      if (row.kind === 'group') {
        expect(counted).toBe(said);
        [said, counted] = [row.qty, 0];
      } else {
        expect(row.lots.length).toBeGreaterThan(0);
        expect(row.lots.length).toBeLessThanOrEqual(3);
        counted += row.lots.reduce((s, l) => s + l.qty, 0);
      }
    }
    expect(counted).toBe(said);
  });

  it('show the most numerous first', () => {
    const bricks = trayRows(
      [3, 9, 5].map((qty, i) => ({
        element: el('brick 1x2', ['ash', 'bark', 'chalk'][i]!),
        qty,
        conditions: [],
      })),
    );
    expect(bricks[1]).toMatchObject({ lots: [{ qty: 9 }, { qty: 5 }, { qty: 3 }] });
    expect(trayRows([])).toEqual([]);
  });

  it.each([
    ['plate 2x3', '2×3'],
    ['slope 45 2x1', '45° 2×1'],
    ['window 1x2x2', '1×2×2'],
    ['slope 30 1x2x2/3', '30° 1×2×2/3'],
    ['animal gull', 'animal gull'],
  ])('%s is labelled %s', (part, label) => expect(shortSize(part)).toBe(label));
});
