import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { elementName } from '../parts';
import { auditOf, register, tower } from '../testing/tower';
import { el } from '../testing/world';
import { FIX_ORDERS, sortFixes } from './sort-fixes';
import type { Fix } from './fixes';

const workbench = tower();
const zoneName = (f: Fix) => workbench.records.zone.get(f.mismatch.zone)?.name ?? '';
const { fixes, doubtful } = auditOf(workbench, register([el('slope 45 1x2', 'brick-red')]));
const all = [...fixes, ...doubtful];
const names = (list: readonly Fix[]) => list.map((f) => f.mismatch.id);

describe('mismatches are found and ordered', () => {
  it('nothing is lost or made by an order', () => {
    for (const order of FIX_ORDERS)
      expect(names(sortFixes(all, '', order, zoneName)).sort()).toEqual(names(all).sort());
    expect(names(sortFixes(all, '', 'what shows most', zoneName))).toEqual(names(all));
  });

  it('each order is what it is called', () => {
    const inOrder = (of: (f: Fix) => number | string, order: (typeof FIX_ORDERS)[number]) => {
      const values = sortFixes(all, '', order, zoneName).map(of);
      for (let i = 1; i < values.length; i++) expect(values[i]! >= values[i - 1]!).toBe(true);
      return values;
    };
    inOrder((f) => -f.mismatch.deltaE, 'furthest off');
    inOrder((f) => f.mismatch.sure, 'least sure first');
    expect(new Set(inOrder(zoneName, 'by zone')).size).toBeGreaterThan(1);
    const costs = inOrder((f) => (f.canBeHad && f.cost !== null ? f.cost : Infinity), 'cheapest first');
    expect(costs.at(-1)).toBe(Infinity);
    inOrder(
      (f) => (f.canBeHad && f.cost !== null ? -f.mismatch.shows / (f.cost + 1) : Infinity),
      'most for its money',
    );
  });

  it('what is found has every word, in its part, either colour, its zone or its kind', () => {
    const words = all.flatMap((f) => `${elementName(f.mismatch.element)} ${zoneName(f)}`.split(/\s+/));
    fc.assert(
      fc.property(fc.subarray(words, { minLength: 1, maxLength: 2 }), (some) => {
        const found = sortFixes(all, some.join(' ').toUpperCase(), 'cheapest first', zoneName);
        const said = (f: Fix) =>
          `${elementName(f.mismatch.element)} ${f.mismatch.to} ${zoneName(f)} ${f.mismatch.kind}`.toLowerCase();
        const has = (f: Fix) => some.every((w) => said(f).includes(w.toLowerCase().replace(/,$/, '')));
        expect(names(found).sort()).toEqual(names(all.filter(has)).sort());
      }),
    );
    expect(sortFixes(all, 'no such part', 'by zone', zoneName)).toEqual([]);
  });
});
