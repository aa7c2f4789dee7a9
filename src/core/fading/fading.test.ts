import { describe, expect, it } from 'vitest';
import { averageReadings } from '../colour';
import { entryFault, modelAccount, overdrafts } from '../ledger';
import type { Reading } from '../records';
import { asId } from '../shared/ids';
import { aged, brick, hide, HULL, hull, readLot, TRAY } from '../testing/faded';
import { did, doneAndBack, makeWorkbench, testSource, used, zoneId } from '../testing/workbench';
import type { Workbench } from '../workbench';
import { fadingByZone, setFadingGrades, thresholdsOf } from './fading';
import { compareOptions, type FadingOptionName } from './fading-options';
import { planFadingOption } from './plan-fading-option';
import { keepReading, trustReading } from './read-colour';

const source = testSource();

describe('readings in the books', () => {
  it('a reading names a batch, and the pieces go into its grade without counting anywhere', () => {
    const workbench = hull();
    expect(
      workbench.built.balances
        .grades(HULL, brick)
        .map(([g, n]) => `${n} ${g}`)
        .sort(),
    ).toEqual(['12 yellowed:R1', '3 used:R3', '5 yellowed:R2']);
    expect(workbench.entries.map(entryFault).filter(Boolean)).toEqual([]);
    expect(overdrafts(workbench.built.balances)).toEqual([]);
    expect(workbench.built.figures({ of: 'build' })).toMatchObject({
      onModel: 26,
      in: 0,
      bought: 0,
      outOfPocket: 0,
    });
  });

  it('a reading that is not trusted regrades nothing; one doubted later is worked out from no more', () => {
    const workbench = makeWorkbench({ zones: { Hull: ['4 brick 2x4 chalk'] } });
    const bad = {
      account: HULL,
      element: brick,
      grade: used,
      qty: 4,
      lab: aged(workbench, 9),
      spread: 4,
      count: 2,
    };
    const kept = keepReading(
      workbench,
      { ...bad, how: 'photo', made: '', trusted: false, doubt: 'glare' },
      source,
    );
    expect(kept.ok && kept.value.diff.added.map((r) => r.type)).toEqual(['reading']);
    const whole = hull();
    const before = fadingByZone(whole)[0]!.known;
    const [reading] = whole.records.reading.values() as Iterable<Reading>;
    did(whole, trustReading(reading!, false, 'meter not calibrated'));
    expect(fadingByZone(whole)[0]!.known).toBe(before - 12);
  });

  it('more pieces than there are cannot be read', () => {
    const workbench = makeWorkbench({ zones: { Hull: ['4 brick 2x4 chalk'] } });
    const measured = {
      account: HULL,
      element: brick,
      grade: used,
      qty: 5,
      lab: aged(workbench, 1),
      spread: 0,
      count: 1,
    };
    expect(
      keepReading(workbench, { ...measured, how: 'meter', made: '', trusted: true, doubt: '' }, source),
    ).toMatchObject({ ok: false, reason: { there: 4 } });
  });
});

describe('fading by zone', () => {
  it('tells how far from new, how much is yellowing, and how far apart', () => {
    const [zone] = fadingByZone(hull());
    expect(zone).toMatchObject({ pieces: 26, known: 20 });
    expect(zone!.batches.map((b) => b.qty)).toEqual([3, 12, 5]);
    expect(zone!.batches[2]!.parts.yellowShare).toBeGreaterThan(0.8);
    expect(zone!.batches.map((b) => b.seen)).toEqual([
      'cannot be seen',
      'seen at arm’s length',
      'seen across the room',
    ]);
    expect(zone!.largest).toBeGreaterThan(zone!.typical);
  });

  it('evenly aged looks right: the spread is nought though all are far from new', () => {
    const workbench = makeWorkbench({ zones: { Hull: ['20 brick 2x4 chalk'] } });
    readLot(workbench, HULL, brick, 20, 12);
    expect(fadingByZone(workbench)[0]).toMatchObject({ largest: 0, typical: 0 });
    expect(fadingByZone(workbench)[0]!.fromNew).toBeGreaterThan(5);
    expect(compareOptions(workbench, zoneId('Hull'), asId('chalk'))).toMatchObject({
      recommended: 'leave',
      because: 'not seen',
    });
  });
});

describe('the options', () => {
  const report = (workbench: Workbench) => compareOptions(workbench, zoneId('Hull'), asId('chalk'))!;
  const option = (workbench: Workbench, name: FadingOptionName) =>
    report(workbench).options.find((s) => s.name === name)!;

  it('each fills the same places, and match by age is never worse than leaving, turning or the same age', () => {
    const workbench = hull();
    const all = report(workbench);
    expect(all.options.map((s) => s.name)).toHaveLength(6);
    const best = option(workbench, 'match by age');
    expect(best.proven).toBe(true);
    for (const name of ['leave', 'turn', 'same age'] as const)
      expect(best.largest).toBeLessThanOrEqual(option(workbench, name).largest + 1e-9);
    for (const s of all.options.filter((x) => x.name !== 'whiten')) {
      const sum = (ps: typeof s.goesOut) => ps.reduce((n, p) => n + p.qty, 0);
      expect(sum(s.comesIn)).toBe(sum(s.goesOut));
      expect(s.touched).toBe(sum(s.comesIn));
    }
  });

  it('takes the eight odd ones out for ten of the same age at hand, for nothing', () => {
    const workbench = hull();
    expect(report(workbench)).toMatchObject({
      recommended: 'same age',
      seenPlaces: 20,
      hiddenPlaces: 0,
      unread: 6,
    });
    expect(option(workbench, 'match by age')).toMatchObject({ touched: 8, cost: 0 });
    expect(option(workbench, 'all new')).toMatchObject({ largest: 0, cost: 600, touched: 20 });
    expect(option(workbench, 'leave').touched).toBe(0);
  });

  it('hidden places take the worst when a person says how many there are', () => {
    const workbench = hull();
    hide(workbench, 5);
    expect(report(workbench)).toMatchObject({ seenPlaces: 15, hiddenPlaces: 5 });
    const turned = option(workbench, 'turn');
    expect(turned.largest).toBeLessThanOrEqual(option(workbench, 'leave').largest);
    expect(turned.cost).toBe(0);
  });

  it('a plan moves the very pieces that were chosen', () => {
    const workbench = hull();
    const work = planFadingOption(workbench, report(workbench), option(workbench, 'match by age'), source);
    expect(work.entries).toHaveLength(1);
    expect(work.entries.map(entryFault).filter(Boolean)).toEqual([]);
    expect(work.entries[0]!.movements.filter((m) => m.from === TRAY)).toMatchObject([
      { qty: 8, grade: 'yellowed:R4' },
    ]);
    did(workbench, work);
    expect(workbench.planned.figures({ of: 'build' })).toMatchObject({ renewed: 8, outOfPocket: 0 });
  });

  it('nothing read, nothing to compare', () =>
    expect(
      compareOptions(
        makeWorkbench({ zones: { Hull: ['4 brick 2x4 chalk'] } }),
        zoneId('Hull'),
        asId('chalk'),
      ),
    ).toBeUndefined());
});

it('an average that is kept says how sure it is', () =>
  expect(averageReadings([{ l: 90, a: 0, b: 1, white: 'D65' }]).error).toBe(Infinity));

describe('the limit of what is left alone', () => {
  it('is the person’s own threshold, and nothing that is seen at a glance is left', () => {
    let between = 0;
    for (let by = 0; by <= 14; by += 0.5) {
      const workbench = makeWorkbench({
        zones: { Hull: ['20 brick 2x4 chalk'] },
        prices: ['brick 2x4 chalk 30'],
      });
      readLot(workbench, HULL, brick, 12, 0.1);
      readLot(workbench, HULL, brick, 8, 0.1 + by);
      const report = compareOptions(workbench, zoneId('Hull'), asId('chalk'))!;
      const leave = report.options.find((s) => s.name === 'leave')!;
      expect(report.limit).toBe(thresholdsOf(workbench)[1]);
      expect([by, report.recommended === 'leave']).toEqual([by, leave.largest < thresholdsOf(workbench)[1]]);
      if (leave.largest >= report.limit && leave.largest < 2 * report.limit) between++;
    }
    expect(between).toBeGreaterThan(0);
  });
});

describe('fading by zone', () => {
  const twoZones = () => {
    const workbench = makeWorkbench({
      zones: { Bow: ['6 brick 2x4 chalk'], Hull: ['6 brick 2x4 chalk', '4 brick 2x4 ash'] },
    });
    const bow = modelAccount(zoneId('Bow'));
    readLot(workbench, bow, brick, 3, 5);
    readLot(workbench, bow, brick, 3, 0);
    readLot(workbench, HULL, brick, 2, 17);
    return readLot(workbench, HULL, brick, 2, 1);
  };

  it('has the worst spread first, and says of how many pieces the colour is known', () => {
    const found = fadingByZone(twoZones());
    expect(found.map((z) => [z.zone, z.colour, z.pieces, z.known, z.byEye])).toEqual([
      [zoneId('Hull'), 'chalk', 6, 4, 0],
      [zoneId('Bow'), 'chalk', 6, 6, 0],
    ]);
    const [hullZone, bow] = found;
    expect(hullZone!.largest).toBeGreaterThan(bow!.largest);
    // By pieces: as many as have faded by five have not at all.
    const [fresh, faded] = bow!.batches;
    expect([fresh!.parts.deltaE, faded!.qty]).toEqual([0, 3]);
    expect(bow!.fromNew).toBeCloseTo(faded!.parts.deltaE / 2, 9);
  });

  it('is seen from where the workspace says', () => {
    const workbench = twoZones();
    const seen = () => fadingByZone(workbench)[0]!.batches.map((b) => b.seen);
    const before = seen();
    const usual = thresholdsOf(workbench);
    doneAndBack(workbench, setFadingGrades(workbench, [20, 50, 100, 200]));
    expect(seen()).not.toEqual(before);
    expect(new Set(seen())).toEqual(new Set(['cannot be seen']));
    doneAndBack(workbench, setFadingGrades(workbench, usual));
    expect(seen()).toEqual(before);
  });
});
