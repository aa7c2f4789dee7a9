import { describe, expect, it } from 'vitest';
import { entryFault } from '../ledger';
import { sparesAccount } from '../places';
import { asId, type ColourId } from '../shared/ids';
import { brick, hide, HULL, hull, readLot, TRAY } from '../testing/faded';
import { makeWorkbench, TEST_BUILD, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import type { Workbench } from '../workbench';
import { compareOptions, type FadingOptionName } from './fading-options';
import { planFadingOption } from './plan-fading-option';

const plan = (workbench: Workbench, name: FadingOptionName) => {
  const report = compareOptions(workbench, zoneId('Hull'), asId<ColourId>('chalk'))!;
  const option = report.options.find((o) => o.name === name)!;
  return { option, work: planFadingOption(workbench, report, option, testSource()) };
};

describe('an option that is planned', () => {
  it('is a renew of each shape: the worst go to the spares, as many as come, at what they are worth', () => {
    const workbench = hull();
    const { work, option } = plan(workbench, 'same age');
    expect(work.problems).toEqual([]);
    const [entry] = work.entries;
    expect(work.entries).toHaveLength(1);
    expect(entryFault(entry!)).toBeUndefined();
    expect(entry).toMatchObject({ kind: 'renew', state: 'planned', why: 'faded' });
    const off = entry!.movements.filter((m) => m.from === HULL);
    const on = entry!.movements.filter((m) => m.to === HULL);
    const sum = (list: typeof on) => list.reduce((s, m) => s + m.qty, 0);
    expect(sum(off)).toBe(option.touched);
    expect(sum(on)).toBe(option.touched);
    expect(off.every((m) => m.to === sparesAccount(TEST_BUILD))).toBe(true);
    // The five that yellowed most go first.
    expect(off[0]).toMatchObject({ grade: 'yellowed:R2', qty: 5 });
    expect(on).toMatchObject([{ from: TRAY, grade: 'yellowed:R4' }]);
    for (const m of entry!.movements) expect(m.worth).toBe(workbench.priceOf(m.element, m.grade));
  });

  it('is a modification of its zone that says what it is, and can be found by it', () => {
    const { work } = plan(hull(), 'all new');
    expect(work.label).toBe('plan: renew all with new');
    const modification = work.diff.added.find((r) => r.type === 'modification')!.record;
    expect(modification).toMatchObject({
      title: 'Renew all with new: chalk, Hull',
      zone: zoneId('Hull'),
      why: 'What shows is how far the seen parts are from one another.',
      note: '',
    });
  });

  it('tells in its note what only changes places within the zone, which the books do not know', () => {
    const workbench = makeWorkbench({ zones: { Hull: ['12 brick 2x4 chalk'] } });
    readLot(workbench, HULL, brick, 8, 9);
    readLot(workbench, HULL, brick, 4, 16);
    hide(workbench, 3);
    const { work, option } = plan(workbench, 'turn');
    expect(option.touched).toBe(3);
    expect(work.entries).toEqual([]);
    const modification = work.diff.added.find((r) => r.type === 'modification')?.record;
    expect(modification).toMatchObject({
      title: 'Turn the worst to hidden places: chalk, Hull',
      note: '3 brick 2x4 chalk: 3 of yellowed:R1 to the seen side',
    });
  });

  it('has an entry for each shape that changes, and none for those that do not', () => {
    const workbench = hull();
    const small = el('brick 1x2', 'chalk');
    readLot(workbench, HULL, small, 6, 12);
    const { work } = plan(workbench, 'all new');
    expect(work.entries.map((e) => [e.movements[0]!.element, e.kind])).toEqual([
      [brick, 'renew'],
      [small, 'renew'],
    ]);
    expect(plan(workbench, 'leave').work.entries).toEqual([]);
  });
});
