import { describe, expect, it } from 'vitest';
import { BY_EYE, eyeLab, keepReading, setExposure, setFadingGrades } from '../fading';
import { modelAccount } from '../places';
import { asId } from '../shared/ids';
import { auditOf } from '../testing/tower';
import { did, makeWorkbench, testSource, used, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import type { Workbench } from '../workbench';
import { agedApart } from './aged-apart';

const HULL = zoneId('Hull');
const brick = el('brick 2x4', 'chalk');

/** Reads some pieces with a meter: so far towards yellow from new. */
function measure(bench: Workbench, qty: number, degree: 'slightly' | 'clearly' | 'badly' | null): void {
  const fresh = bench.colour(asId('chalk'))!.lab;
  const kept = keepReading(
    bench,
    {
      account: modelAccount(HULL),
      element: brick,
      grade: used,
      qty,
      lab: degree ? eyeLab(fresh, 'yellowed', degree) : fresh,
      spread: 0.2,
      count: 3,
      how: 'meter',
      made: 'test',
      trusted: true,
      doubt: '',
    },
    testSource(`${qty}${degree}`),
  );
  if (!kept.ok) throw new Error('not kept');
  did(bench, kept.value);
}

describe('pieces that have aged apart', () => {
  it('are those noted by eye as yellowed, with how far off that may be', () => {
    const bench = makeWorkbench({ zones: { Hull: ['10 brick 2x4 chalk yellowed', '30 brick 2x4 chalk'] } });
    const [row, ...more] = agedApart(bench);
    expect(more).toEqual([]);
    expect(row).toMatchObject({
      zone: HULL,
      colour: 'chalk',
      qty: 10,
      beside: 30,
      unknown: 0,
      element: brick,
    });
    expect(row!.deltaE).toBeCloseTo(BY_EYE.clearly.deltaE, 1);
    // Two doubts that are independent add by their squares.
    expect(row!.doubt).toBeCloseTo(Math.hypot(2.5, 1.5), 6);
    expect(row!.sure).toBeGreaterThan(0.9);
    expect(row!.sure).toBeLessThan(1);
  });

  it('are the few beside the many, whichever of them is nearer to new', () => {
    const bench = makeWorkbench({
      zones: { Hull: ['30 brick 2x4 chalk yellowed', '4 brick 2x4 chalk new'] },
    });
    expect(agedApart(bench)).toMatchObject([{ qty: 4, beside: 30 }]);
  });

  it('are none where a zone has aged evenly, where nothing was noted, or where they stand in different zones', () => {
    const rooms: Record<string, string[]>[] = [
      { Hull: ['30 brick 2x4 chalk yellowed', '4 brick 1x2 chalk yellowed'] },
      { Hull: ['30 brick 2x4 chalk'] },
      { Hull: ['30 brick 2x4 chalk yellowed'], Deck: ['30 brick 2x4 chalk new'] },
    ];
    for (const zones of rooms) expect(agedApart(makeWorkbench({ zones }))).toEqual([]);
  });

  it('are certain where they were measured, and none below what is seen close up', () => {
    const bench = makeWorkbench({ zones: { Hull: ['30 brick 2x4 chalk'] } });
    measure(bench, 12, null);
    measure(bench, 5, 'badly');
    expect(agedApart(bench)).toMatchObject([{ qty: 5, beside: 12, unknown: 13, doubt: 0, sure: 1 }]);
    did(bench, setFadingGrades(bench, [10, 20, 30, 40]));
    expect(agedApart(bench)).toEqual([]);
  });

  it('are surer the further apart they were noted', () => {
    const sureOf = (degree: 'slightly' | 'clearly' | 'badly') => {
      const bench = makeWorkbench({ zones: { Hull: ['30 brick 2x4 chalk'] } });
      const fresh = bench.colour(asId('chalk'))!.lab;
      const lab = eyeLab(fresh, 'yellowed', degree);
      const noted = { account: modelAccount(HULL), element: brick, grade: used, qty: 6, lab, count: 1 };
      const kept = keepReading(
        bench,
        {
          ...noted,
          spread: BY_EYE[degree].doubt,
          how: 'eye',
          made: 'eye',
          trusted: true,
          doubt: '',
          condition: 'yellowed',
        },
        testSource(degree),
      );
      if (!kept.ok) throw new Error('not kept');
      return agedApart(did(bench, kept.value))[0]!.sure;
    };
    const [slightly, clearly, badly] = [sureOf('slightly'), sureOf('clearly'), sureOf('badly')];
    expect(slightly).toBeGreaterThanOrEqual(0.5);
    expect(clearly).toBeGreaterThan(slightly);
    expect(badly).toBeGreaterThan(clearly);
  });

  it('do not count where nobody sees them', () => {
    const bench = makeWorkbench({ zones: { Hull: ['10 brick 2x4 chalk yellowed', '30 brick 1x2 chalk'] } });
    expect(agedApart(bench)).toMatchObject([{ qty: 10 }]);
    did(bench, setExposure(bench, HULL, brick, 'some sides', { hidden: 7 }));
    expect(agedApart(bench)).toMatchObject([{ qty: 3, beside: 30 }]);
    did(bench, setExposure(bench, HULL, brick, 'hidden', { seen: 'hidden' }));
    expect(agedApart(bench)).toEqual([]);
  });

  it('stand in the audit beside the mismatches, and are none of them', () => {
    const bench = makeWorkbench({ zones: { Hull: ['10 brick 2x4 chalk yellowed', '30 brick 2x4 chalk'] } });
    const audit = auditOf(bench);
    expect(audit.aged).toEqual(agedApart(bench));
    expect(audit.fixes).toEqual([]);
  });
});
