import { describe, expect, it } from 'vitest';
import { between, pick, seededRandom } from '../shared/random';
import { el } from '../testing/world';
import { SORT_BY, sortingPlan } from './sorting-plan';

const PARTS = ['brick 1x2', 'brick 2x4', 'plate 1x2', 'tile 2x2', 'slope 45 2x1', 'round plate 1x1'];
const COLOURS = ['ash', 'kelp', 'chalk', 'bark'];

describe('a sorting plan', () => {
  it('puts every piece into one bin, no more bins than there are, like with like', () => {
    const random = seededRandom(4);
    for (let n = 0; n < 60; n++) {
      const lots = Array.from({ length: between(random, 0, 20) }, () => ({
        element: el(pick(random, PARTS), pick(random, COLOURS)),
        qty: between(random, 1, 40),
      }));
      const bins = between(random, 1, 6);
      const by = pick(random, SORT_BY);
      const plan = sortingPlan(lots, by, bins);
      expect(plan.length).toBeLessThanOrEqual(bins);
      expect(plan.flatMap((b) => b.lots)).toHaveLength(lots.length);
      expect(plan.reduce((s, b) => s + b.pieces, 0)).toBe(lots.reduce((s, l) => s + l.qty, 0));
      for (const b of plan) expect(b.pieces).toBe(b.lots.reduce((s, l) => s + l.qty, 0));
      const names = plan.flatMap((b) => b.names);
      expect(new Set(names).size).toBe(names.length);
      expect([...plan].sort((a, b) => b.pieces - a.pieces).map((b) => b.pieces)).toEqual(
        plan.map((b) => b.pieces),
      );
    }
  });

  it('lets the fewest share', () => {
    const lots = [
      { element: el('brick 1x2', 'ash'), qty: 30 },
      { element: el('brick 1x2', 'kelp'), qty: 4 },
      { element: el('brick 1x2', 'bark'), qty: 9 },
      { element: el('plate 1x2', 'chalk'), qty: 5 },
    ];
    expect(sortingPlan(lots, 'colour', 3).map((b) => [b.names, b.pieces])).toEqual([
      [['ash'], 30],
      [['bark'], 9],
      [['chalk', 'kelp'], 9],
    ]);
    expect(sortingPlan(lots, 'size', 9).map((b) => b.names)).toEqual([['1x2']]);
    expect(sortingPlan(lots, 'family', 9)).toHaveLength(2);
    expect(sortingPlan([], 'family', 4)).toEqual([]);
  });
});
