import { describe, expect, it } from 'vitest';
import { entryFault, goneAccount, modelAccount, needList, overdrafts } from '../ledger';
import { did, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { allThere, countLot, type Count } from './check-off';
import { baseCopies, boxLots } from './box-lots';
import { completeness, notNeeded } from './completeness';
import { markWanted, planReplacement } from './replace-missing';

const ferry = () =>
  makeWorkbench({
    zones: {
      Hull: ['18 brick 2x4 chalk', '4 wheel 2x2 soot', '6 brick 1x2 chalk'],
      Saloon: ['14 window 1x4x2 chalk', '2 pin 1x1 ash'],
    },
    prices: ['brick 2x4 chalk 30', 'window 1x4x2 chalk 60', 'wheel 2x2 soot 45', 'brick 1x2 chalk 9'],
  });
const source = testSource();
const lotsOf = (workbench: ReturnType<typeof ferry>) => boxLots(workbench, baseCopies(workbench)[0]!.id);
const lot = (workbench: ReturnType<typeof ferry>, part: string) =>
  lotsOf(workbench).find((l) => l.element.startsWith(part))!;
const count = (workbench: ReturnType<typeof ferry>, part: string, c: Partial<Count>, wanted = true) => {
  const l = lot(workbench, part);
  const command = countLot(workbench, l, { ...allThere(l), ...c }, wanted, source);
  if (!command.ok) throw new Error(JSON.stringify(command.reason));
  return did(workbench, command.value);
};

describe('counting a copy in', () => {
  it('begins with every lot of the box uncounted', () => {
    const report = completeness(ferry());
    expect(report).toMatchObject({ lots: 5, counted: 0, expected: 44, there: 44, missing: [] });
  });

  it('all there posts nothing, and is remembered', () => {
    const workbench = count(ferry(), 'brick 2x4', {});
    expect(completeness(workbench)).toMatchObject({ counted: 1, piecesCounted: 18, there: 44 });
    expect(workbench.entries).toHaveLength(1);
    expect(workbench.modifications).toHaveLength(0);
  });

  it('what is missing or broken goes, what is worn changes its grade, and the books stay lawful', () => {
    const workbench = count(ferry(), 'brick 2x4', { there: 13, broken: 2, faded: 5, bare: 1 });
    const hull = modelAccount(zoneId('Hull'));
    const brick = el('brick 2x4', 'chalk');
    expect(workbench.built.balances.at(hull, brick)).toBe(13);
    expect(new Map(workbench.built.balances.grades(hull, brick))).toEqual(
      new Map([
        ['used', 7],
        ['yellowed', 5],
        ['bare', 1],
      ]),
    );
    expect(workbench.built.balances.at(goneAccount('missing'), brick)).toBe(3);
    expect(workbench.built.balances.at(goneAccount('broken'), brick)).toBe(2);
    expect(workbench.entries.map(entryFault).filter(Boolean)).toEqual([]);
    expect(overdrafts(workbench.built.balances)).toEqual([]);
    expect(workbench.built.figures({ of: 'build' })).toMatchObject({
      missing: 5,
      onModel: 39,
      in: 0,
      out: 0,
      outOfPocket: 0,
    });
  });

  it('counting again takes the first count back', () => {
    const workbench = count(count(ferry(), 'brick 2x4', { there: 10, faded: 4 }), 'brick 2x4', { there: 17 });
    expect(completeness(workbench)).toMatchObject({ counted: 1, there: 43 });
    expect(workbench.entries.filter((e) => e.kind === 'regrade')).toEqual([]);
    expect(count(workbench, 'brick 2x4', {}).built.figures({ of: 'build' }).missing).toBe(0);
  });

  it('more than the box holds, more worn than there, and parts worked on since are refused', () => {
    const workbench = ferry();
    const l = lot(workbench, 'wheel');
    const tryOf = (c: Count) => countLot(workbench, l, c, true, source);
    expect(tryOf({ there: 4, broken: 1, faded: 0, bare: 0 })).toMatchObject({
      reason: { problem: 'more than the box holds', counted: 5 },
    });
    expect(tryOf({ there: 2, broken: 0, faded: 2, bare: 1 })).toMatchObject({
      reason: { problem: 'more worn than there' },
    });
    expect(tryOf({ there: 1.5, broken: 0, faded: 0, bare: 0 })).toMatchObject({
      reason: { problem: 'not a whole number' },
    });
    workbench.built.balances.put(modelAccount(l.zone), l.element, 'used' as never, -3);
    expect(tryOf({ there: 0, broken: 0, faded: 0, bare: 0 })).toMatchObject({
      reason: { problem: 'worked on since', left: 1 },
    });
  });
});

describe('completeness', () => {
  it('is told by pieces and by worth, with what replacing costs', () => {
    const workbench = count(count(ferry(), 'wheel', { there: 2 }), 'window', { there: 12, broken: 1 });
    const report = completeness(workbench);
    expect(report).toMatchObject({
      there: 40,
      replacement: { pieces: 4, cost: 2 * 30 + 2 * 40, unpriced: 0 },
    });
    expect(report.worthExpected - report.worthThere).toBe(2 * 30 + 2 * 40);
  });

  it('a part without a price is said to have none', () => {
    const workbench = count(ferry(), 'pin', { there: 0 });
    expect(completeness(workbench).replacement).toEqual({ pieces: 2, cost: 0, unpriced: 2 });
  });

  it('replacing is planned once, and done makes it whole again', () => {
    let workbench = count(count(ferry(), 'wheel', { there: 2 }), 'window', { there: 12, broken: 1 });
    workbench = did(workbench, planReplacement(workbench, source));
    expect(needList(workbench.planned).reduce((s, n) => s + n.qty, 0)).toBe(4);
    expect(planReplacement(workbench, source).entries).toEqual([]);
    for (const e of workbench.entries.filter((x) => x.state === 'planned'))
      workbench.apply({
        added: [],
        removed: [],
        changed: [{ type: 'entry', from: e, to: { ...e, state: 'done' } }],
      });
    expect(completeness(workbench)).toMatchObject({ there: 44, missing: [] });
  });

  it('what is not wanted leaves the need list, and comes back when it is wanted', () => {
    let workbench = count(ferry(), 'wheel', { there: 2 });
    workbench = did(workbench, planReplacement(workbench, source));
    const [missing] = completeness(workbench).missing;
    workbench = did(workbench, markWanted(workbench, missing!, false, source));
    expect(needList(workbench.planned)).toEqual([]);
    expect(completeness(workbench).replacement.pieces).toBe(0);
    workbench = did(workbench, markWanted(workbench, completeness(workbench).missing[0]!, true, source));
    expect(planReplacement(workbench, source).entries).toHaveLength(1);
  });

  it('how it will be shown proposes what may stay away', () => {
    const workbench = ferry();
    const show = (display: Parameters<typeof notNeeded>[1]['display'], part: string) =>
      notNeeded(lot(workbench, part), { display, away: [zoneId('Saloon')], gear: [] }, workbench);
    expect(show('hung', 'wheel')).toBe('hangs in the air');
    expect(show('all round', 'wheel')).toBeNull();
    expect(show('one side', 'window')).toBe('turned away');
    expect(show('one side', 'wheel')).toBeNull();
    expect(show('behind glass', 'pin')).toBe('turned away');
    expect(notNeeded(lot(workbench, 'pin'), { display: 'behind glass', away: [], gear: [] }, workbench)).toBe(
      'inside, behind glass',
    );
  });
});
