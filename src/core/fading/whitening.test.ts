import { describe, expect, it } from 'vitest';
import type { Grade } from '../places';
import { asId, type ColourId, type WhatIfId } from '../shared/ids';
import { changed } from '../ledger';
import { brick, HULL, hull, readLot } from '../testing/faded';
import { did, testSource, zoneId } from '../testing/workbench';
import { deleteEntries } from '../workbench';
import { Ages, fadingByZone } from './fading';
import { compareOptions } from './fading-options';
import { planFadingOption } from './plan-fading-option';
import { standingPlan } from './standing-plan';
import {
  endWhitening,
  setWhiteningCost,
  startWhitening,
  USUAL_WHITENING,
  whiteningFor,
  whiteningShare,
} from './whitening';

const source = testSource();

describe('whitening', () => {
  it('whitening goes by what was recorded, and by the usual before that', () => {
    const workbench = hull();
    expect(whiteningShare(workbench, new Ages(workbench))).toBe(USUAL_WHITENING);
    const zone = fadingByZone(workbench)[0]!;
    const yellow = zone.batches.find((b) => b.qty === 5)!;
    did(workbench, startWhitening(workbench, yellow, 5, '', source));
    const [begun] = workbench.records.whitening.values();
    readLot(workbench, HULL, brick, 5, 17 / 2, yellow.grade as Grade);
    did(workbench, endWhitening(begun!, 'R5', source));
    const share = whiteningShare(workbench, new Ages(workbench));
    expect(share).toBeGreaterThan(0.3);
    expect(share).toBeLessThan(0.6);
  });

  it('is told with what it is, how many, and what they were before', () => {
    const workbench = hull();
    const batch = fadingByZone(workbench)[0]!.batches.find((b) => b.qty === 5)!;
    const command = startWhitening(workbench, batch, 4, 'in the yard', source);
    expect(command.label).toBe('start whitening 4 brick 2x4 chalk');
    did(workbench, command);
    const [begun] = workbench.records.whitening.values();
    expect(begun).toMatchObject({
      account: HULL,
      element: brick,
      qty: 4,
      before: 'R2',
      after: null,
      endedAt: null,
      note: 'in the yard',
    });
    did(workbench, endWhitening(begun!, 'R9', source));
    expect([...workbench.records.whitening.values()]).toMatchObject([{ after: 'R9', endedAt: source.now }]);
  });

  it('is weighed by pieces over all that was recorded, and never counted below nothing or above the whole', () => {
    const after = (...to: readonly [qty: number, by: number][]) => {
      const workbench = hull();
      const batch = fadingByZone(workbench)[0]!.batches.find((b) => b.qty === 5)!;
      for (const [qty, by] of to) {
        did(workbench, startWhitening(workbench, batch, qty, '', testSource(`w${qty}${by}`)));
        const begun = [...workbench.records.whitening.values()].at(-1)!;
        readLot(workbench, HULL, brick, 1, by, batch.grade as Grade);
        const reading = [...workbench.records.reading.values()].at(-1)!;
        did(workbench, endWhitening(begun, reading.batch, source));
      }
      return whiteningShare(workbench, new Ages(workbench));
    };
    const [half, most] = [after([1, 17 / 2]), after([1, 1])];
    expect(half).toBeLessThan(most);
    const both = after([3, 17 / 2], [1, 1]);
    expect(both).toBeCloseTo((3 * half + most) / 4, 6);
    expect(after([2, 30])).toBe(0);
  });

  it('that is not ended, or was read nowhere, says nothing; what was fresh before says nothing either', () => {
    const workbench = hull();
    const batch = fadingByZone(workbench)[0]!.batches.find((b) => b.qty === 5)!;
    did(workbench, startWhitening(workbench, batch, 5, '', source));
    const [begun] = workbench.records.whitening.values();
    expect(whiteningShare(workbench, new Ages(workbench))).toBe(USUAL_WHITENING);
    did(workbench, endWhitening(begun!, 'no such batch', source));
    expect(whiteningShare(workbench, new Ages(workbench))).toBe(USUAL_WHITENING);
    const now = workbench.records.whitening.get(begun!.id)!;
    did(workbench, { label: '', diff: changed('whitening', now, { before: 'no such', after: 'R2' }) });
    expect(whiteningShare(workbench, new Ages(workbench))).toBe(USUAL_WHITENING);
    // R3 was read as new as can be: there was nothing to win back.
    const fresh = workbench.records.whitening.get(begun!.id)!;
    did(workbench, { label: '', diff: changed('whitening', fresh, { before: 'R3', after: 'R2' }) });
    readLot(workbench, HULL, brick, 1, 0.01, 'used:R3' as Grade);
    expect(whiteningShare(workbench, new Ages(workbench))).toBeGreaterThanOrEqual(0);
  });

  it('costs by the bath, a bath that is not full too; nothing is said where nobody has said it', () => {
    const workbench = hull();
    expect(whiteningFor(workbench, 25)).toBeNull();
    did(workbench, setWhiteningCost(workbench, { pieces: 10, perBath: 300, hours: 12 }));
    expect(whiteningFor(workbench, 25)).toEqual({ cost: 900, hours: 36 });
    expect(whiteningFor(workbench, 10)).toEqual({ cost: 300, hours: 12 });
    expect(whiteningFor(workbench, 0)).toEqual({ cost: 0, hours: 0 });
    did(workbench, setWhiteningCost(workbench, { pieces: 5, perBath: 200, hours: 8 }));
    expect(whiteningFor(workbench, 25)).toEqual({ cost: 1000, hours: 40 });
    expect(workbench.records.whiteningCost.size).toBe(1);
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

  it('is none of a what-if, of what is done, or of work for another reason', () => {
    const colour = asId<ColourId>('chalk');
    const after = (change: object) => {
      const workbench = hull();
      const report = compareOptions(workbench, zoneId('Hull'), colour)!;
      const chosen = report.options.find((o) => o.name === 'match by age')!;
      did(workbench, planFadingOption(workbench, report, chosen, source));
      const [plan] = standingPlan(workbench, zoneId('Hull'), colour)!.entries;
      did(workbench, { label: '', diff: changed('entry', plan!, change) });
      return standingPlan(workbench, zoneId('Hull'), colour);
    };
    expect(after({ note: 'as it was' })).toMatchObject({ pieces: 8 });
    expect(after({ whatIf: asId<WhatIfId>('w') })).toBeUndefined();
    expect(after({ state: 'done' })).toBeUndefined();
    expect(after({ why: 'mismatch' })).toBeUndefined();
  });
});
