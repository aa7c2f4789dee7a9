import { describe, expect, it } from 'vitest';
import { deltaE00, PALETTE } from '../colour';
import { modelAccount } from '../ledger';
import { conditionOf, grade } from '../places';
import { asId, type ColourId } from '../shared/ids';
import { did, doneAndBack, makeWorkbench, testSource, used, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { BY_EYE, EYE_DEGREES, EYE_WAYS, eyeLab } from './by-eye';
import { Ages, fadingByZone } from './fading';
import { compareOptions } from './fading-options';
import { keepReading } from './read-colour';
import { setWhiteningCost, whiteningFor } from './whitening';

const CHALK = 'chalk' as ColourId;
const hull = modelAccount(zoneId('Hull'));
const brick = el('brick 2x4', 'chalk');

describe('a colour that was noted by eye', () => {
  it('is as far from fresh as the word stands for, in every colour of the palette', () => {
    for (const colour of PALETTE.filter((c) => c.finish === 'solid'))
      for (const way of EYE_WAYS)
        for (const degree of EYE_DEGREES) {
          const far = deltaE00(colour.lab, eyeLab(colour.lab, way, degree));
          expect([colour.id, way, degree, Math.abs(far - BY_EYE[degree].deltaE) < 0.01]).toEqual([
            colour.id,
            way,
            degree,
            true,
          ]);
        }
  });

  it('goes the way plastic ages: yellowed to yellow and darker, faded to less colour', () => {
    for (const { lab } of PALETTE.filter((c) => c.finish === 'solid')) {
      const yellow = eyeLab(lab, 'yellowed', 'clearly');
      expect(yellow.b).toBeGreaterThan(lab.b);
      expect(yellow.l).toBeLessThan(lab.l);
      const pale = eyeLab(lab, 'faded', 'clearly');
      expect(Math.hypot(pale.a, pale.b)).toBeLessThanOrEqual(Math.hypot(lab.a, lab.b));
      // Whites have nothing to lose but their brightness; everything else gets paler.
      expect(pale.l > lab.l).toBe(lab.l <= 85);
    }
  });

  it('fades by as much the more as the word is stronger, keeps its hue, and what has no colour gets none', () => {
    for (const { lab } of PALETTE.filter((c) => c.finish === 'solid')) {
      const chroma = (degree: (typeof EYE_DEGREES)[number]) => {
        const { a, b } = eyeLab(lab, 'faded', degree);
        return Math.hypot(a, b);
      };
      const all = EYE_DEGREES.map(chroma);
      expect(all).toEqual([...all].sort((x, y) => y - x));
      const { a, b } = eyeLab(lab, 'faded', 'slightly');
      expect(a * lab.b).toBeCloseTo(b * lab.a, 6);
      expect(Math.hypot(a, b)).toBeGreaterThan(0.3 * Math.hypot(lab.a, lab.b));
      const yellow = eyeLab(lab, 'yellowed', 'badly');
      expect(yellow.a).toBeGreaterThan(lab.a);
      expect(yellow.b - lab.b).toBeGreaterThan(lab.l - yellow.l);
    }
    const grey = { l: 60, a: 0, b: 0, white: 'D65' as const };
    expect(eyeLab(grey, 'faded', 'badly')).toMatchObject({ a: 0, b: 0 });
  });
});

describe('fading by eye', () => {
  it('needs no instrument: pieces noted as yellowed stand apart from the others', () => {
    const bench = makeWorkbench({ zones: { Hull: ['10 brick 2x4 chalk yellowed', '30 brick 2x4 chalk'] } });
    const [zone] = fadingByZone(bench);
    expect(zone).toMatchObject({ colour: CHALK, pieces: 40, known: 40, byEye: 40 });
    expect(zone!.largest).toBeCloseTo(BY_EYE.clearly.deltaE, 1);
    const report = compareOptions(bench, zoneId('Hull'), CHALK)!;
    expect(report).toMatchObject({ unread: 0, byEye: 40 });
    expect(report.recommended).not.toBe('leave');
  });

  it('says nothing of colours of which nothing was noted', () =>
    expect(fadingByZone(makeWorkbench({ zones: { Hull: ['30 brick 2x4 chalk'] } }))).toEqual([]));

  it('keeps degrees apart as batches, and a meter’s reading of the same pieces takes their place', () => {
    const bench = makeWorkbench({ zones: { Hull: ['30 brick 2x4 chalk'] } });
    const fresh = bench.colour(asId('chalk'))!.lab;
    const note = (
      qty: number,
      degree: (typeof EYE_DEGREES)[number],
      from = used,
      how: 'eye' | 'meter' = 'eye',
    ) => {
      const kept = keepReading(
        bench,
        {
          account: hull,
          element: brick,
          grade: from,
          qty,
          lab: eyeLab(fresh, 'yellowed', degree),
          spread: how === 'eye' ? BY_EYE[degree].doubt : 0.2,
          count: 1,
          how,
          made: 'test',
          trusted: true,
          doubt: '',
          ...(how === 'eye' ? { condition: 'yellowed' as const } : {}),
        },
        testSource(`${degree}${how}`),
      );
      if (!kept.ok) throw new Error('not kept');
      doneAndBack(bench, kept.value);
      return kept.value.batch;
    };
    const slight = note(4, 'slightly');
    note(2, 'badly');
    const [zone] = fadingByZone(bench);
    expect(zone!.batches.map((b) => [b.qty, b.rough, conditionOf(b.grade)])).toEqual([
      [24, 1.5, 'used'],
      [4, 1.5, 'yellowed'],
      [2, 4, 'yellowed'],
    ]);
    note(4, 'slightly', grade('yellowed', slight), 'meter');
    const refined = fadingByZone(bench)[0]!;
    // Beside what was measured, what nobody noted is unread again; what was noted stays with its doubt.
    expect(refined.batches.map((b) => [b.qty, b.rough])).toEqual([
      [4, null],
      [2, 4],
    ]);
  });

  it('leaves a bare condition out where pieces of the colour were measured', () => {
    const bench = makeWorkbench({ zones: { Hull: ['6 brick 2x4 chalk yellowed', '4 brick 1x2 chalk'] } });
    const measured = {
      account: hull,
      element: el('brick 1x2', 'chalk'),
      grade: used,
      qty: 4,
      lab: bench.colour(asId('chalk'))!.lab,
      spread: 0.2,
      count: 5,
      how: 'meter' as const,
      made: 'test',
      trusted: true,
      doubt: '',
    };
    const kept = keepReading(bench, measured, testSource('m'));
    if (kept.ok) did(bench, kept.value);
    expect(new Ages(bench).at(hull).map((l) => [l.element, l.lab === null])).toEqual([
      [brick, true],
      [el('brick 1x2', 'chalk'), false],
    ]);
  });
});

describe('what whitening costs', () => {
  const bench = () =>
    makeWorkbench({ zones: { Hull: ['25 brick 2x4 chalk yellowed', '5 brick 2x4 chalk'] } });
  const whiten = (b: ReturnType<typeof bench>) =>
    compareOptions(b, zoneId('Hull'), CHALK)!.options.find((o) => o.name === 'whiten')!;

  it('is not known, and not nothing, until it is said', () => {
    expect(whiteningFor(bench(), 25)).toBeNull();
    expect(whiten(bench())).toMatchObject({ cost: 0, unpriced: 25, touched: 25 });
    expect(whiten(bench()).hours).toBeUndefined();
  });

  it('is of whole baths, in money and hours', () => {
    const b = bench();
    doneAndBack(b, setWhiteningCost(b, { perBath: 300, pieces: 10, hours: 12 }));
    expect(whiteningFor(b, 10)).toEqual({ cost: 300, hours: 12 });
    expect(whiten(b)).toMatchObject({ cost: 900, unpriced: 0, hours: 36 });
    doneAndBack(b, setWhiteningCost(b, { perBath: 100, pieces: 30, hours: 8 }));
    expect(whiten(b)).toMatchObject({ cost: 100, hours: 8 });
  });
});
