import { describe, expect, it } from 'vitest';
import { onPieces } from '../../ledger';
import { partOf, readPartName, splitElementKey } from '../../parts';
import { asId, type PartId } from '../../shared/ids';
import { between, pick, seededRandom } from '../../shared/random';
import { did, doneAndBack, makeWorkbench, testSource, zoneId } from '../../testing/workbench';
import { el } from '../../testing/world';
import { massOf, massOfBuild, massOfPart } from '../sums/mass';
import { deleteWeighed, keepWeighed } from '../sums/weigh';
import {
  deleteConnection,
  holding,
  keepConnection,
  newConnection,
  planRemedy,
  remediesFor,
} from './connections';
import { deleteSeam, keepSeam, massOfZones, newSeam, seamHold } from './seams';

const bench = () =>
  makeWorkbench({
    zones: { Wall: ['20 brick 2x4 ash'], Roof: ['60 brick 2x8 kelp'] },
    stock: ['1 plate 1x2 ash'],
  });

describe('what is weighed', () => {
  it('stands in place of what its size says, in every colour, and can be taken back', () => {
    const b = bench();
    const part = readPartName('brick 2x4').part.id;
    const before = massOfBuild(b).grams;
    const weighed = { id: part, pieces: 10, grams: 30, reads: 1 };
    doneAndBack(b, keepWeighed(b, weighed));
    expect(massOf(b, el('brick 2x4', 'bark'))).toEqual({ grams: 3, doubt: 0.05 });
    const by = massOfPart(partOf(part)).grams;
    expect(massOfBuild(b).grams).toBeCloseTo(before + 20 * (3 - by), 6);
    doneAndBack(b, deleteWeighed(b.records.weighed.get(part)!));
    expect(massOfBuild(b).grams).toBe(before);
    expect(asId<PartId>(part)).toBe(part);
  });
});

describe('a seam that lifts off', () => {
  const seam = (b: ReturnType<typeof bench>) => ({ ...newSeam(b, testSource()), zones: [zoneId('Roof')] });

  it('is kept, deleted, and taken back', () => {
    const b = bench();
    doneAndBack(b, keepSeam(b, seam(b)));
    doneAndBack(b, deleteSeam([...b.records.seam.values()][0]!));
  });

  it('needs the studs that hold it when it is tipped and shaken, and no more than two hands lift', () => {
    const b = bench();
    const roof = seam(b);
    const mass = massOfZones(b, roof.zones)!;
    const weight = (mass.grams + mass.doubt) * 9.81e-3;
    const hold = seamHold(b, roof);
    const edge = (2 * weight * roof.height * 3.2) / (2 * 128);
    expect(hold.least).toBe(Math.max(2, 2 * Math.ceil(edge)));
    expect(hold.most).toBe(Math.max(hold.least, Math.floor((40 - weight) / 3)));
    expect(seamHold(b, { ...roof, studs: hold.least - 1 }).state).toBe('too loose');
    expect(seamHold(b, { ...roof, studs: hold.least }).state).toBe('good');
    expect(seamHold(b, { ...roof, studs: hold.most + 1 }).state).toBe('too tight');
    const seen = (tried: (typeof roof)['tried'], studs: number) => seamHold(b, { ...roof, tried, studs });
    expect(seen('held', 100)).toMatchObject({ state: 'good' });
    expect(seen('came loose', 9)).toMatchObject({ state: 'too loose', leave: 12 });
    expect(seen('stuck', 6)).toMatchObject({ state: 'too tight', leave: 4 });
    expect(seen('stuck', 3)).toMatchObject({ state: 'too tight', leave: 2 });
    expect(seamHold(b, { ...roof, zones: [] })).toMatchObject({ mass: null, least: 2 });
  });

  it('needs no fewer studs for what is heavier, taller or narrower', () => {
    const b = bench();
    const random = seededRandom(3);
    for (let i = 0; i < 100; i++) {
      const of = {
        ...seam(b),
        width: between(random, 4, 40),
        depth: between(random, 4, 40),
        height: between(random, 3, 60),
      };
      const least = seamHold(b, of).least;
      expect(seamHold(b, { ...of, height: of.height + 10 }).least).toBeGreaterThanOrEqual(least);
      expect(seamHold(b, { ...of, width: of.width + 8, depth: of.depth + 8 }).least).toBeLessThanOrEqual(
        least,
      );
      expect(seamHold(b, { ...of, zones: [zoneId('Wall'), zoneId('Roof')] }).least).toBeGreaterThanOrEqual(
        least,
      );
    }
  });
});

describe('a place that holds by little', () => {
  it('is weak by two studs, by a clip, by friction, or by a long lever', () => {
    const c = { holds: 'studs' as const, wide: 2, rows: 1, lever: 4, grams: 10 };
    expect(holding(c)).toEqual({ pulls: expect.closeTo(3.14, 2), bears: 8, because: ['two studs'] });
    expect(holding({ ...c, wide: 4, rows: 2 }).because).toEqual([]);
    expect(holding({ ...c, wide: 4, rows: 2, grams: 200 }).because).toEqual(['lever']);
    expect(holding({ ...c, holds: 'friction', grams: 1 }).because).toEqual(['friction']);
    expect(holding({ ...c, holds: 'clip', grams: 100 }).because).toEqual(['clip', 'lever']);
  });

  it('bears more with every remedy, in the colour of its zone, fewest pieces first', () => {
    const b = bench();
    const random = seededRandom(4);
    let n = 0;
    for (let i = 0; i < 150; i++) {
      const c = {
        ...newConnection(b, zoneId('Wall'), testSource()),
        holds: pick(random, ['studs', 'clip', 'friction'] as const),
        wide: between(random, 1, 6),
        rows: between(random, 1, 3),
        lever: between(random, 1, 12),
        grams: between(random, 1, 120),
      };
      const before = holding(c);
      const remedies = remediesFor(b, c);
      if (before.because.length === 0) expect(remedies).toEqual([]);
      else expect(remedies.length).toBeGreaterThan(0);
      for (const r of remedies) {
        expect(r.after.bears).toBeGreaterThanOrEqual(before.bears);
        expect(r.after.pulls).toBe(before.pulls);
        for (const p of r.pieces) {
          expect(splitElementKey(p.element).colour).toBe('ash');
          expect(partOf(splitElementKey(p.element).part).read).toBe(true);
        }
        n++;
      }
      const counts = remedies.map((r) => r.pieces.reduce((s, p) => s + p.qty, 0));
      expect(counts).toEqual([...counts].sort((x, y) => x - y));
    }
    expect(n).toBeGreaterThan(100);
  });

  it('is strengthened by planned entries that one undo takes back, from what is at hand first', () => {
    const b = bench();
    const c = newConnection(b, zoneId('Wall'), testSource());
    doneAndBack(b, keepConnection(b, c));
    const row = remediesFor(b, c).find((r) => r.does === 'row')!;
    const plan = planRemedy(b, c, row, testSource('r'));
    expect(plan.lots).toMatchObject([{ element: el('plate 1x2', 'ash'), qty: 1, toBuy: 0 }]);
    doneAndBack(b, plan.work);
    const kept = b.records.connection.get(c.id)!;
    expect(b.records.modification.get(kept.modification!)!.title).toBe('Strengthen Balcony');
    const mine = b.entries.filter((e) => e.modification === kept.modification);
    expect(mine.flatMap((e) => onPieces(e))).toMatchObject([{ element: el('plate 1x2', 'ash'), qty: 1 }]);
    did(b, deleteConnection(kept));
    expect(b.records.connection.size).toBe(0);
  });
});
