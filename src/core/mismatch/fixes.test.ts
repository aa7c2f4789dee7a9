import { describe, expect, it } from 'vitest';
import { entryFault, takeTally } from '../ledger';
import { auditOf, fixOf, put, register, tower } from '../testing/tower';
import { did, testSource } from '../testing/workbench';
import { el } from '../testing/world';
import { planFixes, planInstead, planShapes } from './plan-fixes';

const source = testSource();

describe('fixes', () => {
  it('take from own parts first, buy the rest, and one piece is not promised twice', () => {
    const fix = fixOf(tower(), el('brick 1x2', 'slate'))!;
    expect(fix).toMatchObject({ fromStock: 3, toBuy: 1, cost: 9, estimated: false });
    const all = auditOf(tower()).fixes.filter((f) => f.mismatch.to === el('brick 1x4', 'ash'));
    expect(all.reduce((s, f) => s + f.fromStock, 0)).toBeLessThanOrEqual(2);
  });

  it('a price that is not known is the median of the shape in other colours, and is said to be', () => {
    const fix = fixOf(tower(), el('brick 1x4', 'dove'))!;
    expect(fix).toMatchObject({ each: 14, estimated: true, toBuy: 4, cost: 56 });
  });

  it('what was never made is not available, unless it is at hand', () => {
    const red = el('slope 45 1x2', 'brick-red');
    const report = auditOf(tower(), register([red]));
    expect(report.cannot.map((f) => f.mismatch.to)).toEqual([red]);
    expect(report.open.some((f) => f.mismatch.to === red)).toBe(false);
    expect(auditOf(tower(), register([], [red])).fixes.find((f) => f.mismatch.to === red)).toMatchObject({
      availability: 'retired',
      canBeHad: true,
    });
  });

  it('chosen ones become planned entries, lawful, that cost what was said', () => {
    const workbench = tower();
    const { open } = auditOf(workbench);
    const said = open.reduce((s, f) => s + (f.cost ?? 0), 0);
    const work = planFixes(workbench, open, source);
    expect(work.problems).toEqual([]);
    expect(work.entries.map(entryFault).filter(Boolean)).toEqual([]);
    did(workbench, work);
    const tally = takeTally(workbench.planned, { of: 'build' }, workbench.priceOf).figures;
    expect(tally.outOfPocket).toBe(said);
    expect(tally.recoloured).toBe(open.reduce((s, f) => s + f.mismatch.qty, 0));
    expect(auditOf(workbench).open).toEqual([]);
  });

  it('a placeholder’s fix is its replacement', () => {
    const workbench = put(tower(), 'placeholder', el('brick 1x2', 'amber'), 5, 'Tower', {
      standsFor: el('brick 1x2', 'chalk'),
    });
    const fix = auditOf(workbench).open.filter((f) => f.mismatch.kind === 'placeholder');
    did(workbench, planFixes(workbench, fix, source));
    expect(workbench.planned.figures({ of: 'build' })).toMatchObject({ replaced: 5, recoloured: 0 });
  });

  it('instead of what is not available: the nearest colour, or other shapes', () => {
    const workbench = tower();
    const fix = fixOf(workbench, el('brick 1x4', 'dove'))!;
    const near = planInstead(workbench, fix, el('brick 1x4', 'flint'), source);
    expect(near.entries).toMatchObject([{ kind: 'recolour', state: 'planned' }]);
    const shapes = planShapes(workbench, fix, [{ element: el('brick 1x2', 'ash'), qty: 2 }], source);
    expect(shapes.entries).toMatchObject([{ kind: 'swap' }]);
    expect(
      shapes.entries
        .flatMap((e) => e.movements)
        .filter((m) => m.element === el('brick 1x2', 'ash'))
        .reduce((s, m) => s + m.qty, 0),
    ).toBe(12);
  });
});
