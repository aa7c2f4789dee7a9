import { describe, expect, it } from 'vitest';
import { added } from '../ledger';
import { sparesAccount, type Grade } from '../places';
import { asId, type ColourId, type EntryId } from '../shared/ids';
import { brick, hide, HULL, hull, readLot, TRAY } from '../testing/faded';
import { did, makeWorkbench, TEST_BUILD, used, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import type { Workbench } from '../workbench';
import { compareOptions, FADING_OPTIONS, type FadingOptionName } from './fading-options';
import { setWhiteningCost } from './whitening';

const CHALK = asId<ColourId>('chalk');
const report = (workbench: Workbench) => compareOptions(workbench, zoneId('Hull'), CHALK)!;
const option = (workbench: Workbench, name: FadingOptionName) =>
  report(workbench).options.find((o) => o.name === name)!;
const pieces = (list: readonly { qty: number }[]) => list.reduce((s, p) => s + p.qty, 0);

/** Ten bricks as read, and what lies in the tray as read. */
const wall = (stock: readonly string[], prices: readonly string[] = ['brick 2x4 chalk 30']): Workbench => {
  const workbench = makeWorkbench({ zones: { Hull: ['10 brick 2x4 chalk'] }, stock, prices });
  readLot(workbench, HULL, brick, 6, 9);
  return readLot(workbench, HULL, brick, 4, 18);
};

describe('what is compared', () => {
  it('is named in its order, of what is seen, hidden, read and only judged by eye', () => {
    const workbench = hide(hull(), 5);
    const all = report(workbench);
    expect(all.options.map((o) => o.name)).toEqual([...FADING_OPTIONS]);
    expect(all).toMatchObject({ zone: zoneId('Hull'), colour: CHALK, seenPlaces: 15, hiddenPlaces: 5 });
    expect(all).toMatchObject({ unread: 6, byEye: 0 });
    // The least aged lie where no light came: the three nearly new, and two of the twelve.
    const left = option(workbench, 'leave');
    expect([left.touched, left.goesOut, left.comesIn, left.cost, left.unpriced]).toEqual([0, [], [], 0, 0]);
    expect(left.fromNew).toBeGreaterThan(option(hull(), 'leave').fromNew);
  });

  it('what is hidden altogether has nothing to compare', () =>
    expect(compareOptions(hide(hull(), 20), zoneId('Hull'), CHALK)).toBeUndefined());

  it('counts what was only judged by eye', () => {
    const workbench = makeWorkbench({ zones: { Hull: ['8 brick 2x4 chalk', '5 brick 1x2 chalk yellowed'] } });
    readLot(workbench, HULL, brick, 8, 6);
    expect(report(workbench).unread + report(workbench).byEye).toBeGreaterThanOrEqual(5);
  });
});

describe('new parts', () => {
  it('cost what they cost, are bought, and are as far from new as nothing', () => {
    const fresh = option(wall([]), 'all new');
    expect(fresh).toMatchObject({ cost: 300, unpriced: 0, touched: 10, largest: 0, fromNew: 0 });
    expect(fresh.comesIn).toMatchObject([{ account: 'outside', grade: 'new', qty: 10 }]);
    expect(pieces(fresh.goesOut)).toBe(10);
  });

  it('that nobody has a price for are told as such, and are not taken for cheap', () => {
    const workbench = wall([], []);
    expect(option(workbench, 'all new')).toMatchObject({ cost: 0, unpriced: 10 });
    did(workbench, setWhiteningCost(workbench, { pieces: 10, perBath: 900, hours: 12 }));
    const { recommended, limit } = report(workbench);
    if (option(workbench, 'whiten').largest < limit) expect(recommended).toBe('whiten');
    else expect(recommended).toBe('all new');
  });
});

describe('parts of the same age at hand', () => {
  it('are taken for the worst first, one shape for another of its own', () => {
    const workbench = wall(['4 brick 2x4 chalk', '9 brick 1x2 chalk']);
    readLot(workbench, TRAY, brick, 4, 9.2);
    readLot(workbench, TRAY, el('brick 1x2', 'chalk'), 9, 9);
    const same = option(workbench, 'same age');
    expect(same.comesIn).toMatchObject([{ account: TRAY, element: brick, qty: 4 }]);
    expect(same.goesOut).toMatchObject([{ account: HULL, qty: 4 }]);
    expect(same.largest).toBeLessThan(option(workbench, 'leave').largest);
  });

  it('are not those that are new, worse, cracked, of another colour or printed', () => {
    const workbench = wall([
      '4 brick 2x4 chalk new',
      '4 brick 2x4 chalk cracked',
      '4 brick 2x4 ash',
      '4 brick 2x4 chalk used',
    ]);
    readLot(workbench, TRAY, brick, 4, 9, 'new' as Grade);
    readLot(workbench, TRAY, brick, 4, 9, 'cracked' as Grade);
    readLot(workbench, TRAY, brick, 4, 40);
    const leave = option(workbench, 'leave').largest;
    for (const p of option(workbench, 'same age').comesIn) expect(p.grade.startsWith('cracked')).toBe(false);
    expect(option(workbench, 'same age').largest).toBeLessThanOrEqual(leave);
    expect(option(workbench, 'match by age').comesIn.every((p) => p.element === brick)).toBe(true);
  });

  it('lie among the build’s spares too', () => {
    const workbench = wall([]);
    const spares = sparesAccount(TEST_BUILD);
    const [unpack] = workbench.entries;
    did(workbench, {
      label: '',
      diff: added('entry', {
        ...unpack!,
        id: asId<EntryId>('more'),
        no: 77,
        kind: 'add',
        movements: [{ ...unpack!.movements[0]!, from: 'outside' as never, to: spares, qty: 5, grade: used }],
      }),
    });
    readLot(workbench, spares, brick, 5, 9.1);
    expect(option(workbench, 'same age').comesIn).toMatchObject([{ account: spares, qty: 4 }]);
  });

  it('none of them: nothing changes', () => {
    const workbench = wall([]);
    expect(option(workbench, 'same age')).toMatchObject({ touched: 0, goesOut: [], comesIn: [] });
    expect(option(workbench, 'turn')).toMatchObject({ touched: 0, goesOut: [], comesIn: [] });
  });
});

describe('whitening as an option', () => {
  it('treats what is yellowed to be seen, changes no place, and is not known to cost nothing', () => {
    const workbench = hull();
    const whiten = option(workbench, 'whiten');
    expect(whiten).toMatchObject({ touched: 17, cost: 0, unpriced: 17, comesIn: [] });
    expect(whiten.hours).toBeUndefined();
    expect(pieces(whiten.goesOut)).toBe(17);
    expect(whiten.fromNew).toBeLessThan(option(workbench, 'leave').fromNew * 0.5);
    expect(whiten.largest).toBeLessThan(option(workbench, 'leave').largest);
  });

  it('costs its baths once that was said', () => {
    const workbench = hull();
    did(workbench, setWhiteningCost(workbench, { pieces: 10, perBath: 300, hours: 12 }));
    expect(option(workbench, 'whiten')).toMatchObject({ cost: 600, unpriced: 0, hours: 24 });
  });
});

describe('what is recommended', () => {
  it('is to leave what is not seen, else the cheapest that is not seen, else the least spread', () => {
    const even = makeWorkbench({ zones: { Hull: ['10 brick 2x4 chalk'] }, prices: ['brick 2x4 chalk 30'] });
    readLot(even, HULL, brick, 5, 9);
    readLot(even, HULL, brick, 5, 9.3);
    expect(report(even)).toMatchObject({ recommended: 'leave', because: 'not seen' });

    const uneven = wall([]);
    const { recommended, because, options, limit } = report(uneven);
    expect(because).toBe('cheapest that is not seen');
    const chosen = options.find((o) => o.name === recommended)!;
    expect(chosen.largest).toBeLessThan(limit);
    const price = (o: typeof chosen) => o.cost + (o.unpriced > 0 ? 1e6 : 0);
    for (const o of options.filter((x) => x.largest < limit))
      expect(price(chosen)).toBeLessThanOrEqual(price(o));
  });

  it('is free before it is bought, and of what is free what takes fewer hands', () => {
    const workbench = wall(['4 brick 2x4 chalk']);
    readLot(workbench, TRAY, brick, 4, 9.1);
    expect(report(workbench).recommended).toBe('same age');
    expect(option(workbench, 'same age')).toMatchObject({ cost: 0, touched: 4 });
  });
});
