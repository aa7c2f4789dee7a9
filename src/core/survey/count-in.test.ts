import { describe, expect, it } from 'vitest';
import { entryFault, goneAccount, modelAccount, needList, overdrafts } from '../ledger';
import { did, makeBench, testSource, zoneId } from '../testing/bench';
import { el } from '../testing/world';
import {
  allThere,
  baseCopies,
  boxLots,
  completeness,
  countLot,
  markWanted,
  notNeeded,
  planMakingGood,
  type Count,
} from './index';

const ferry = () =>
  makeBench({
    zones: {
      Hull: ['18 brick 2x4 chalk', '4 wheel 2x2 soot', '6 brick 1x2 chalk'],
      Saloon: ['14 window 1x4x2 chalk', '2 pin 1x1 ash'],
    },
    prices: ['brick 2x4 chalk 30', 'window 1x4x2 chalk 60', 'wheel 2x2 soot 45', 'brick 1x2 chalk 9'],
  });
const source = testSource();
const lotsOf = (bench: ReturnType<typeof ferry>) => boxLots(bench, baseCopies(bench)[0]!.id);
const lot = (bench: ReturnType<typeof ferry>, part: string) =>
  lotsOf(bench).find((l) => l.element.startsWith(part))!;
const count = (bench: ReturnType<typeof ferry>, part: string, c: Partial<Count>, wanted = true) => {
  const l = lot(bench, part);
  const command = countLot(bench, l, { ...allThere(l), ...c }, wanted, source);
  if (!command.ok) throw new Error(JSON.stringify(command.reason));
  return did(bench, command.value);
};

describe('counting a copy in', () => {
  it('begins with every lot of the box uncounted', () => {
    const report = completeness(ferry());
    expect(report).toMatchObject({ lots: 5, counted: 0, expected: 44, there: 44, missing: [] });
  });

  it('all there posts nothing, and is remembered', () => {
    const bench = count(ferry(), 'brick 2x4', {});
    expect(completeness(bench)).toMatchObject({ counted: 1, piecesCounted: 18, there: 44 });
    expect(bench.entries).toHaveLength(1);
    expect(bench.modifications).toHaveLength(0);
  });

  it('what is missing or broken goes, what is worn changes its grade, and the books stay lawful', () => {
    const bench = count(ferry(), 'brick 2x4', { there: 13, broken: 2, faded: 5, bare: 1 });
    const hull = modelAccount(zoneId('Hull'));
    const brick = el('brick 2x4', 'chalk');
    expect(bench.built.balances.at(hull, brick)).toBe(13);
    expect(new Map(bench.built.balances.grades(hull, brick))).toEqual(
      new Map([
        ['used', 7],
        ['yellowed', 5],
        ['bare', 1],
      ]),
    );
    expect(bench.built.balances.at(goneAccount('missing'), brick)).toBe(3);
    expect(bench.built.balances.at(goneAccount('broken'), brick)).toBe(2);
    expect(bench.entries.map(entryFault).filter(Boolean)).toEqual([]);
    expect(overdrafts(bench.built.balances)).toEqual([]);
    expect(bench.built.figures({ of: 'build' })).toMatchObject({
      missing: 5,
      onModel: 39,
      in: 0,
      out: 0,
      outOfPocket: 0,
    });
  });

  it('counting again takes the first count back', () => {
    const bench = count(count(ferry(), 'brick 2x4', { there: 10, faded: 4 }), 'brick 2x4', { there: 17 });
    expect(completeness(bench)).toMatchObject({ counted: 1, there: 43 });
    expect(bench.entries.filter((e) => e.kind === 'regrade')).toEqual([]);
    expect(count(bench, 'brick 2x4', {}).built.figures({ of: 'build' }).missing).toBe(0);
  });

  it('more than the box holds, more worn than there, and parts worked on since are refused', () => {
    const bench = ferry();
    const l = lot(bench, 'wheel');
    const tryOf = (c: Count) => countLot(bench, l, c, true, source);
    expect(tryOf({ there: 4, broken: 1, faded: 0, bare: 0 })).toMatchObject({
      reason: { problem: 'more than the box holds', counted: 5 },
    });
    expect(tryOf({ there: 2, broken: 0, faded: 2, bare: 1 })).toMatchObject({
      reason: { problem: 'more worn than there' },
    });
    expect(tryOf({ there: 1.5, broken: 0, faded: 0, bare: 0 })).toMatchObject({
      reason: { problem: 'not a whole number' },
    });
    bench.built.balances.put(modelAccount(l.zone), l.element, 'used' as never, -3);
    expect(tryOf({ there: 0, broken: 0, faded: 0, bare: 0 })).toMatchObject({
      reason: { problem: 'worked on since', left: 1 },
    });
  });
});

describe('completeness', () => {
  it('is told by pieces and by worth, with what making good costs', () => {
    const bench = count(count(ferry(), 'wheel', { there: 2 }), 'window', { there: 12, broken: 1 });
    const report = completeness(bench);
    expect(report).toMatchObject({
      there: 40,
      makingGood: { pieces: 4, cost: 2 * 30 + 2 * 40, unpriced: 0 },
    });
    expect(report.worthExpected - report.worthThere).toBe(2 * 30 + 2 * 40);
  });

  it('a part without a price is said to have none', () => {
    const bench = count(ferry(), 'pin', { there: 0 });
    expect(completeness(bench).makingGood).toEqual({ pieces: 2, cost: 0, unpriced: 2 });
  });

  it('making good is planned once, and done makes it whole again', () => {
    let bench = count(count(ferry(), 'wheel', { there: 2 }), 'window', { there: 12, broken: 1 });
    bench = did(bench, planMakingGood(bench, source));
    expect(needList(bench.planned).reduce((s, n) => s + n.qty, 0)).toBe(4);
    expect(planMakingGood(bench, source).entries).toEqual([]);
    for (const e of bench.entries.filter((x) => x.state === 'planned'))
      bench.apply({
        added: [],
        removed: [],
        changed: [{ type: 'entry', from: e, to: { ...e, state: 'done' } }],
      });
    expect(completeness(bench)).toMatchObject({ there: 44, missing: [] });
  });

  it('what is not wanted leaves the need list, and comes back when it is wanted', () => {
    let bench = count(ferry(), 'wheel', { there: 2 });
    bench = did(bench, planMakingGood(bench, source));
    const [missing] = completeness(bench).missing;
    bench = did(bench, markWanted(bench, missing!, false, source));
    expect(needList(bench.planned)).toEqual([]);
    expect(completeness(bench).makingGood.pieces).toBe(0);
    bench = did(bench, markWanted(bench, completeness(bench).missing[0]!, true, source));
    expect(planMakingGood(bench, source).entries).toHaveLength(1);
  });

  it('how it will be shown proposes what may stay away', () => {
    const bench = ferry();
    const show = (display: Parameters<typeof notNeeded>[1]['display'], part: string) =>
      notNeeded(lot(bench, part), { display, away: [zoneId('Saloon')] }, bench);
    expect(show('hung', 'wheel')).toBe('hangs in the air');
    expect(show('all round', 'wheel')).toBeNull();
    expect(show('one side', 'window')).toBe('turned away');
    expect(show('one side', 'wheel')).toBeNull();
    expect(show('behind glass', 'pin')).toBe('turned away');
    expect(notNeeded(lot(bench, 'pin'), { display: 'behind glass', away: [] }, bench)).toBe(
      'inside, behind glass',
    );
  });
});
