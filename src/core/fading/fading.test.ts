import { describe, expect, it } from 'vitest';
import { averageReadings, type LabD65 } from '../colour';
import { entryFault, overdrafts } from '../ledger';
import { modelAccount, stockAccount, type Grade } from '../places';
import type { Reading } from '../records';
import { asId, type ColourId, type ExposureId } from '../shared/ids';
import { did, makeWorkbench, TEST_TRAY, testSource, used, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { deleteEntries, type Workbench } from '../workbench';
import { standingPlan } from './standing-plan';
import { compareOptions, type FadingOptionName } from './fading-options';
import { endWhitening, startWhitening, USUAL_WHITENING, whiteningShare } from './whitening';
import { fadingByZone, thresholdsOf, Ages } from './fading';
import { findingState, growth, inMillimetres, workOnFinding, answerFinding } from '../inspection';
import { keepReading, trustReading } from './read-colour';
import { planFadingOption } from './plan-fading-option';
import { added } from '../ledger';
import { FINDING_KINDS, type Finding } from '../records';

const source = testSource();
const HULL = modelAccount(zoneId('Hull'));
const TRAY = stockAccount(TEST_TRAY);
const brick = el('brick 2x4', 'chalk');
const chalk = (workbench: Workbench) => workbench.colour(asId('chalk'))!.lab;
/** Chalk yellowed by so much. */
const aged = (workbench: Workbench, by: number): LabD65 => {
  const c = chalk(workbench);
  return { l: c.l - by * 0.25, a: c.a + by * 0.1, b: c.b + by, white: 'D65' };
};
const read = (
  workbench: Workbench,
  account: typeof HULL,
  element: typeof brick,
  qty: number,
  by: number,
  g = used,
) => {
  const measured = {
    account,
    element,
    grade: g,
    qty,
    lab: aged(workbench, by),
    spread: 0.2,
    count: 5,
    how: 'meter' as const,
    made: 'test',
    trusted: true,
    doubt: '',
  };
  const kept = keepReading(workbench, measured, source);
  if (!kept.ok) throw new Error(JSON.stringify(kept.reason));
  return did(workbench, kept.value);
};

/** A hull of twenty bricks: twelve a little yellow, five more so, three nearly new; own parts with ten of the same age. */
function hull(): Workbench {
  const workbench = makeWorkbench({
    zones: { Hull: ['20 brick 2x4 chalk', '6 brick 1x2 chalk'] },
    stock: ['10 brick 2x4 chalk'],
    prices: ['brick 2x4 chalk 30', 'brick 1x2 chalk 9'],
  });
  for (const [qty, by] of [
    [12, 8],
    [5, 17],
    [3, 0.5],
  ] as const)
    read(workbench, HULL, brick, qty, by);
  return read(workbench, TRAY, brick, 10, 8.6);
}

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
    read(workbench, HULL, brick, 20, 12);
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
    did(workbench, {
      label: '',
      diff: added('exposure', {
        id: asId<ExposureId>(`${zoneId('Hull')}|${brick}`),
        build: workbench.build,
        zone: zoneId('Hull'),
        element: brick,
        seen: 'some sides',
        hidden: 5,
      }),
    });
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

  it('whitening goes by what was recorded, and by the usual before that', () => {
    const workbench = hull();
    expect(whiteningShare(workbench, new Ages(workbench))).toBe(USUAL_WHITENING);
    const zone = fadingByZone(workbench)[0]!;
    const yellow = zone.batches.find((b) => b.qty === 5)!;
    did(workbench, startWhitening(workbench, yellow, 5, '', source));
    const [begun] = workbench.records.whitening.values();
    read(workbench, HULL, brick, 5, 17 / 2, yellow.grade as Grade);
    did(workbench, endWhitening(begun!, 'R5', source));
    const share = whiteningShare(workbench, new Ages(workbench));
    expect(share).toBeGreaterThan(0.3);
    expect(share).toBeLessThan(0.6);
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

describe('findings', () => {
  const finding = (more: Partial<Finding>): Finding => ({
    id: asId('f1'),
    build: asId('build'),
    kind: 'mismatch',
    zone: zoneId('Hull'),
    lots: [{ element: brick, qty: 2 }],
    to: el('brick 2x4', 'ash'),
    note: 'two greys in one wall',
    matters: 2,
    photo: null,
    modification: null,
    answer: null,
    how: '',
    dropped: false,
    at: '',
    ...more,
  });

  it('become a modification with their entries, and close when it is done', () => {
    const workbench = makeWorkbench({
      zones: { Hull: ['20 brick 2x4 chalk'] },
      prices: ['brick 2x4 ash 20'],
    });
    did(workbench, { label: '', diff: added('finding', finding({})) });
    const now = () => workbench.records.finding.get('f1')!;
    expect(findingState(now(), workbench.entries)).toBe('open');
    did(workbench, workOnFinding(workbench, now(), source));
    expect(workbench.modifications.map((m) => m.title)).toEqual(['two greys in one wall']);
    expect(findingState(now(), workbench.entries)).toBe('planned');
    const [planned] = workbench.entries.filter((e) => e.state === 'planned');
    expect(planned).toMatchObject({ kind: 'recolour', why: 'mismatch' });
    did(workbench, {
      label: '',
      diff: {
        added: [],
        removed: [],
        changed: [{ type: 'entry', from: planned!, to: { ...planned!, state: 'done' } }],
      },
    });
    expect(findingState(now(), workbench.entries)).toBe('closed');
  });

  it('every kind has its work, or none where it must stay', () => {
    for (const kind of FINDING_KINDS) {
      const workbench = makeWorkbench({ zones: { Hull: ['20 brick 2x4 chalk yellowed'] } });
      const f = finding({ kind, to: kind === 'mismatch' ? el('brick 2x4', 'ash') : null });
      did(workbench, { label: '', diff: added('finding', f) });
      if (kind === 'keep' || kind === 'function') {
        expect(findingState(f, [])).toBe('kept');
        did(workbench, answerFinding(f, 'there'));
        expect(workbench.records.finding.get('f1')!.answer).toBe('there');
      } else {
        const work = workOnFinding(workbench, f, source);
        expect([kind, work.entries.length, work.problems]).toEqual([kind, 1, []]);
      }
    }
    expect(findingState(finding({ dropped: true }), [])).toBe('dropped');
  });
});

it('sizes are in studs and bricks, shown in millimetres', () => {
  const size = { length: 40, width: 16.5, height: 12 + 1 / 3 };
  expect(inMillimetres(size)).toEqual({ length: 320, width: 132, height: 118.4 });
  expect(growth({ length: 40, width: 16, height: 10 }, size)).toMatchObject({ length: 0, width: 0.5 });
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
      read(workbench, HULL, brick, 12, 0.1);
      read(workbench, HULL, brick, 8, 0.1 + by);
      const report = compareOptions(workbench, zoneId('Hull'), asId('chalk'))!;
      const leave = report.options.find((s) => s.name === 'leave')!;
      expect(report.limit).toBe(thresholdsOf(workbench)[1]);
      expect([by, report.recommended === 'leave']).toEqual([by, leave.largest < thresholdsOf(workbench)[1]]);
      if (leave.largest >= report.limit && leave.largest < 2 * report.limit) between++;
    }
    expect(between).toBeGreaterThan(0);
  });
});

describe('a plan that stands', () => {
  it('is told with its pieces, for its zone and colour alone, until it is dropped', () => {
    const workbench = hull();
    const colour = asId<ColourId>('chalk');
    const report = compareOptions(workbench, zoneId('Hull'), colour)!;
    expect(standingPlan(workbench, zoneId('Hull'), colour)).toBeUndefined();
    const chosen = report.options.find((o) => o.name === 'all new')!;
    did(workbench, planFadingOption(workbench, report, chosen, source));
    const standing = standingPlan(workbench, zoneId('Hull'), colour)!;
    expect(standing.pieces).toBe(chosen.comesIn.reduce((s, p) => s + p.qty, 0));
    expect(standingPlan(workbench, zoneId('Hull'), asId<ColourId>('ash'))).toBeUndefined();
    expect(standingPlan(workbench, workbench.rootZone.id, colour)).toBeUndefined();
    did(workbench, deleteEntries(standing.entries));
    expect(standingPlan(workbench, zoneId('Hull'), colour)).toBeUndefined();
  });
});
