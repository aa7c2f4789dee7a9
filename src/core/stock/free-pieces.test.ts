import { describe, expect, it } from 'vitest';
import { withAtHand } from './at-hand';
import { addModification as begin, readLine } from '../workbench';
import { freeAt, freeGrades, freeOf, grade, keptAt, stockAccount, type KeptAssembly } from '../ledger';
import { asId, countingIds, type KeptAssemblyId } from '../shared/ids';
import { between, seededRandom } from '../shared/random';
import { needOf, pickList, placeholdersOf } from '../need';
import { did, makeWorkbench, TEST_TRAY, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { keepWhole } from './index';

const source = { newId: countingIds('f'), now: '2026-11-25' };
const tile = el('tile 2x2', 'bark');
const tray = stockAccount(TEST_TRAY);

/** A bench with five tiles in a tray and a wall that wants some, some of the tiles kept whole. */
function workbenchWith(kept: number, plans: string[] = []) {
  const workbench = makeWorkbench({ zones: { Wall: ['4 brick 1x2 ash'] }, stock: ['5 tile 2x2 bark'] });
  did(workbench, begin(workbench, 'First', zoneId('Wall'), source));
  for (const line of plans) {
    const reading = readLine(workbench, line, { modification: workbench.modifications[0]!, planned: true });
    const entries = reading.clauses.flatMap((c) => (c.entry ? [c.entry] : []));
    did(workbench, {
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
  if (kept > 0) did(workbench, keepWhole('Lamp', tray, [{ element: tile, qty: kept }], source));
  return workbench;
}

/** Where a typed line takes pieces from: so many from the tray, the rest in no books. */
function lineTakes(workbench: ReturnType<typeof workbenchWith>, line: string) {
  const reading = readLine(workbench, line, { modification: workbench.modifications[0]!, planned: false });
  const moves = reading.clauses.flatMap((c) => c.entry?.movements ?? []);
  const from = (account: string) => moves.reduce((s, m) => s + (m.from === account ? m.qty : 0), 0);
  return { fromTray: from(tray), elsewhere: from('own'), problem: reading.clauses[0]?.problem?.reason };
}

describe('what is free is one answer', () => {
  it('five of five kept whole: a line, the need, the pick list, mending and placeholders all say none', () => {
    const workbench = workbenchWith(5, ['+4 tile 2x2 bark from own parts']);
    expect(freeAt(workbench.built.balances, tray, tile, workbench.kept)).toBe(0);
    expect(lineTakes(workbench, '+4 tile 2x2 bark')).toMatchObject({ fromTray: 0, elsewhere: 4 });
    expect(lineTakes(workbench, '+4 tile 2x2 bark from own parts')).toMatchObject({
      fromTray: 0,
      problem: 'not at hand',
    });
    expect(needOf(workbench)).toMatchObject({ planned: 4, fromStock: 0, missing: 4 });
    expect(pickList(workbench, 'tray')).toEqual([]);
    expect(withAtHand(workbench, (at) => at.count(tile))).toBe(0);
    expect(placeholdersOf(workbench)).toEqual([]);
  });

  it('two of five kept whole: three for each of them', () => {
    const workbench = workbenchWith(2);
    expect(freeAt(workbench.built.balances, tray, tile, workbench.kept)).toBe(3);
    expect(lineTakes(workbench, '+4 tile 2x2 bark')).toMatchObject({ fromTray: 3, elsewhere: 1 });
    expect(withAtHand(workbench, (at) => at.count(tile))).toBe(3);
    expect(needOf(workbenchWith(2, ['+4 tile 2x2 bark from own parts']))).toMatchObject({
      fromStock: 3,
      missing: 1,
    });
    expect(pickList(workbenchWith(2, ['+4 tile 2x2 bark from own parts']), 'tray')).toMatchObject([
      { qty: 3 },
    ]);
  });

  it('nothing kept: all five', () => {
    const workbench = workbenchWith(0);
    expect(lineTakes(workbench, '+5 tile 2x2 bark')).toMatchObject({ fromTray: 5, elsewhere: 0 });
  });
});

describe('a law: free and kept are what is there', () => {
  it.each([1, 2, 3, 4, 5, 6])('over random places, conditions and keepings (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const conditions = ['new', 'used', 'faded', 'yellowed'] as const;
    const stock = conditions.flatMap((c) => {
      const n = between(random, 0, 6);
      return n > 0 ? [`${n} tile 2x2 bark ${c}`] : [];
    });
    const { balances } = makeWorkbench({ zones: { Wall: ['1 brick 1x2 ash'] }, stock }).built;
    const there = balances.at(tray, tile);
    for (let together = 0; together <= there + 2; together++) {
      const one: KeptAssembly = {
        id: asId<KeptAssemblyId>('k'),
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
