import { describe, expect, it } from 'vitest';
import { AtHand } from '../audit';
import { addModification as begin, readLine } from '../bench';
import { freeAt, freeGrades, freeOf, grade, keptAt, storesAccount, type KeptAssembly } from '../ledger';
import { asId, countingIds, type KeptId } from '../shared/ids';
import { between, seededRandom } from '../shared/random';
import { needOf, pickList, standInsOf } from '../supply';
import { did, makeBench, TEST_TRAY, zoneId } from '../testing/bench';
import { el } from '../testing/world';
import { keepWhole } from './index';

const source = { newId: countingIds('f'), now: '2026-11-25' };
const tile = el('tile 2x2', 'bark');
const tray = storesAccount(TEST_TRAY);

/** A bench with five tiles in a tray and a wall that wants some, some of the tiles kept whole. */
function benchWith(kept: number, plans: string[] = []) {
  const bench = makeBench({ zones: { Wall: ['4 brick 1x2 ash'] }, stores: ['5 tile 2x2 bark'] });
  did(bench, begin(bench, 'First', zoneId('Wall'), source));
  for (const line of plans) {
    const reading = readLine(bench, line, { modification: bench.modifications[0]!, planned: true });
    const entries = reading.clauses.flatMap((c) => (c.entry ? [c.entry] : []));
    did(bench, {
      label: line,
      diff: {
        added: entries.map((e, i) => ({
          type: 'entry' as const,
          record: { ...e, id: asId<never>(source.newId()), no: i + 1 },
        })),
        changed: [],
        removed: [],
      },
    });
  }
  if (kept > 0) did(bench, keepWhole('Lamp', tray, [{ element: tile, qty: kept }], source));
  return bench;
}

/** Where a typed line takes pieces from: so many from the tray, the rest bought. */
function lineTakes(bench: ReturnType<typeof benchWith>, line: string) {
  const reading = readLine(bench, line, { modification: bench.modifications[0]!, planned: false });
  const moves = reading.clauses.flatMap((c) => c.entry?.movements ?? []);
  const from = (account: string) => moves.reduce((s, m) => s + (m.from === account ? m.qty : 0), 0);
  return { fromTray: from(tray), bought: from('outside'), problem: reading.clauses[0]?.problem?.reason };
}

describe('what is free is one answer', () => {
  it('five of five kept whole: a line, the need, the pick list, mending and stand-ins all say none', () => {
    const bench = benchWith(5, ['+4 tile 2x2 bark from stores']);
    expect(freeAt(bench.built.balances, tray, tile, bench.kept)).toBe(0);
    expect(lineTakes(bench, '+4 tile 2x2 bark')).toMatchObject({ fromTray: 0, bought: 4 });
    expect(lineTakes(bench, '+4 tile 2x2 bark from stores')).toMatchObject({
      fromTray: 0,
      problem: 'not at hand',
    });
    expect(needOf(bench)).toMatchObject({ planned: 4, fromStores: 0, missing: 4 });
    expect(pickList(bench, 'tray')).toEqual([]);
    expect(new AtHand(bench).count(tile)).toBe(0);
    expect(standInsOf(bench)).toEqual([]);
  });

  it('two of five kept whole: three for each of them', () => {
    const bench = benchWith(2);
    expect(freeAt(bench.built.balances, tray, tile, bench.kept)).toBe(3);
    expect(lineTakes(bench, '+4 tile 2x2 bark')).toMatchObject({ fromTray: 3, bought: 1 });
    expect(new AtHand(bench).count(tile)).toBe(3);
    expect(needOf(benchWith(2, ['+4 tile 2x2 bark from stores']))).toMatchObject({
      fromStores: 3,
      missing: 1,
    });
    expect(pickList(benchWith(2, ['+4 tile 2x2 bark from stores']), 'tray')).toMatchObject([{ qty: 3 }]);
  });

  it('nothing kept: all five', () => {
    const bench = benchWith(0);
    expect(lineTakes(bench, '+5 tile 2x2 bark')).toMatchObject({ fromTray: 5, bought: 0 });
  });
});

describe('a law: free and kept are what is there', () => {
  it.each([1, 2, 3, 4, 5, 6])('over random places, conditions and keepings (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const conditions = ['new', 'used', 'faded', 'yellowed'] as const;
    const stores = conditions.flatMap((c) => {
      const n = between(random, 0, 6);
      return n > 0 ? [`${n} tile 2x2 bark ${c}`] : [];
    });
    const { balances } = makeBench({ zones: { Wall: ['1 brick 1x2 ash'] }, stores }).built;
    const there = balances.at(tray, tile);
    for (let together = 0; together <= there + 2; together++) {
      const one: KeptAssembly = {
        id: asId<KeptId>('k'),
        name: 'k',
        account: tray,
        lots: [{ element: tile, qty: together }],
      };
      const kept = keptAt([one]);
      const grades = freeGrades(balances, tray, tile, kept);
      expect(freeAt(balances, tray, tile, kept)).toBe(Math.max(0, there - together));
      for (const c of conditions) {
        const free = freeOf(balances, tray, tile, grade(c), kept);
        expect(free).toBeGreaterThanOrEqual(0);
        expect(free).toBeLessThanOrEqual(Math.max(0, balances.at(tray, tile, grade(c))));
        expect(grades.find(([g]) => g === grade(c))?.[1] ?? 0).toBe(free);
      }
    }
  });
});
