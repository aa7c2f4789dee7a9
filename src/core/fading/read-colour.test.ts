import { describe, expect, it } from 'vitest';
import { grade } from '../ledger';
import { asId, type ColourId, type ReadingId } from '../shared/ids';
import { aged, brick, HULL, readLot, TRAY } from '../testing/faded';
import { makeWorkbench, testSource, used } from '../testing/workbench';
import { el } from '../testing/world';
import { eyeLab } from './by-eye';
import { conditionShown, keepReading, nextBatch, regradeEntry } from './read-colour';

const bench = () => makeWorkbench({ zones: { Hull: ['20 brick 2x4 chalk'] }, stock: ['3 brick 2x4 chalk'] });

describe('the condition that a colour shows', () => {
  const workbench = bench();
  const fresh = workbench.colour(asId<ColourId>('chalk'))!.lab;
  const shown = (was: Parameters<typeof grade>[0], lab = fresh, element = brick) =>
    conditionShown(workbench, element, grade(was), lab);

  it('is as it was where nothing is seen: new stays new, and what was noted as aged is used', () => {
    expect([shown('new'), shown('used'), shown('yellowed'), shown('faded')]).toEqual([
      'new',
      'used',
      'used',
      'used',
    ]);
  });

  it('is the way in which it has gone', () => {
    expect(shown('new', eyeLab(fresh, 'yellowed', 'clearly'))).toBe('yellowed');
    expect(shown('used', eyeLab(fresh, 'faded', 'clearly'))).toBe('faded');
  });

  it('is none where a worse one is known, or where the colour is nobody’s', () => {
    const yellow = eyeLab(fresh, 'yellowed', 'badly');
    expect([shown('crazed', yellow), shown('bare', yellow), shown('cracked', yellow)]).toEqual([
      'crazed',
      'bare',
      'cracked',
    ]);
    expect(shown('used', yellow, el('brick 2x4', 'nowhere'))).toBe('used');
  });
});

describe('batches of readings', () => {
  it('are numbered on from the highest there is, whatever others are called', () => {
    const workbench = bench();
    expect(nextBatch(workbench)).toBe('R1');
    for (let i = 0; i < 10; i++) readLot(workbench, HULL, brick, 1, 9);
    expect(nextBatch(workbench)).toBe('R11');
    const [first] = workbench.records.reading.values();
    const named = (batch: string) => ({ ...first!, id: asId<ReadingId>(batch), batch });
    const more = ['XR40', 'R41b', 'shelf'].map(
      (batch) => ({ type: 'reading', record: named(batch) }) as const,
    );
    workbench.apply({ added: more, changed: [], removed: [] });
    expect(nextBatch(workbench)).toBe('R11');
  });

  it('are of one piece at least', () => {
    const workbench = bench();
    const measured = {
      account: HULL,
      element: brick,
      grade: used,
      lab: aged(workbench, 9),
      spread: 0.2,
      count: 1,
    };
    const rest = { how: 'meter', made: '', trusted: true, doubt: '' } as const;
    for (const qty of [0, -1, 21])
      expect(keepReading(workbench, { ...measured, ...rest, qty }, testSource())).toEqual({
        ok: false,
        reason: { problem: 'too few there', there: 20 },
      });
    expect(keepReading(workbench, { ...measured, ...rest, qty: 20 }, testSource()).ok).toBe(true);
  });

  it('of own parts are nobody’s entry, and those of a build are its own', () => {
    const workbench = bench();
    const lot = { element: brick, grade: used, qty: 2 };
    const ofTray = regradeEntry(workbench, { ...lot, account: TRAY }, grade('faded'), '', testSource());
    expect([ofTray.build, ofTray.no]).toEqual([null, 0]);
    const ofHull = regradeEntry(workbench, { ...lot, account: HULL }, grade('faded'), '', testSource());
    expect(ofHull.build).toBe(workbench.build);
    expect(ofHull.no).toBeGreaterThan(0);
  });
});
