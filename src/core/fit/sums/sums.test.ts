import { describe, expect, it } from 'vitest';
import { partOf, readPartName } from '../../parts';
import { makeWorkbench, zoneId } from '../../testing/workbench';
import { between, seededRandom } from '../../shared/random';
import { asBricksAndPlates } from './measures';
import { fillings, heightOf } from './levels';
import { atScale, FIGURE_MM, grownBy, PERSON_MM, scaleFrom } from './scale';
import { cutBack, roomIn, sweptBy, swingRadius, vehiclesAlong, type Vehicle } from './railway';
import { hingedWalls, ringOf, roundOf } from './rings';
import { balanceOver, massOfBuild, massOfPart, perHook } from './mass';

const part = (name: string) => partOf(readPartName(name).part.id);

describe('levels', () => {
  const all = { tolerance: 0.1, halves: true, sideways: true };
  it('knows that five plates are two studs on their side, and that a plate is 3.2 mm', () => {
    expect(fillings(16, all)).toContainEqual({
      bricks: 0,
      plates: 0,
      halves: 0,
      sideways: 2,
      mm: 16,
      error: 0,
    });
    expect(fillings(16, all)[0]).toEqual({ bricks: 1, plates: 2, halves: 0, sideways: 0, mm: 16, error: 0 });
    expect(fillings(6.4, { tolerance: 0, halves: false, sideways: false })).toEqual([
      { bricks: 0, plates: 2, halves: 0, sideways: 0, mm: 6.4, error: 0 },
    ]);
  });

  it('gives nothing that is further off than allowed, the nearest first, and each filling once', () => {
    const random = seededRandom(5);
    for (let i = 0; i < 300; i++) {
      const height = between(random, 1, 900) / 10;
      const tolerance = between(random, 0, 20) / 10;
      const found = fillings(height, { tolerance, halves: i % 2 === 0, sideways: i % 3 === 0 });
      for (const f of found) {
        const mm = f.bricks * 9.6 + f.plates * 3.2 + f.halves * 1.6 + f.sideways * 8;
        expect(f.mm).toBeCloseTo(mm, 1);
        expect(Math.abs(mm - height)).toBeLessThanOrEqual(tolerance + 1e-6);
      }
      expect(new Set(found.map((f) => JSON.stringify(f))).size).toBe(found.length);
      const errors = found.map((f) => Math.abs(f.error));
      expect(errors).toEqual([...errors].sort((a, b) => a - b));
      // Half a plate is the furthest that bricks and plates alone are ever off.
      if (tolerance >= 1.7) expect(found.length).toBeGreaterThan(0);
    }
  });

  it('fills nothing where there is nothing to fill', () => {
    for (const h of [0, -3, NaN, 20_000]) expect(fillings(h, all)).toEqual([]);
    expect(heightOf(2, 1)).toBe(22.4);
    expect(asBricksAndPlates(22.4)).toEqual({ bricks: 2, plates: 1, over: 0 });
    expect(asBricksAndPlates(24)).toEqual({ bricks: 2, plates: 1, over: 1.6 });
  });
});

describe('scale', () => {
  it('is what a real size is at 1:n, in studs to a half', () => {
    expect(atScale(4200, 60)).toEqual({ mm: 70, studs: 9, bricks: 7, plates: 1, error: 2 });
    expect(atScale(1, 0)).toBeUndefined();
    expect(scaleFrom(FIGURE_MM, PERSON_MM)).toBeCloseTo(44.3, 1);
    expect(scaleFrom(0, 5)).toBeUndefined();
  });

  it('there and back is the same size', () => {
    for (let n = 10; n < 200; n += 7) expect(scaleFrom(atScale(9000, n)!.mm, 9000)).toBeCloseTo(n, 0);
  });

  it('a larger wheel makes all of it larger, and keeps its middle', () => {
    const size = { length: 32, width: 8, height: 30 };
    expect(grownBy(24, 24, size)).toEqual({ factor: 1, ...size, off: 0 });
    const grown = grownBy(24, 30, size)!;
    expect(grown).toMatchObject({ factor: 1.25, length: 40, width: 10, height: 38 });
    for (let w = 3; w < 20; w++) expect((grownBy(24, 31, { ...size, width: w })!.width - w) % 2).toBe(0);
    expect(grownBy(0, 3, size)).toBeUndefined();
  });
});

describe('a vehicle in a curve', () => {
  const tram: Vehicle = { length: 240, pivots: 144, width: 48 };

  it('is as wide as it stands on a straight, and sweeps more the tighter the curve', () => {
    expect(sweptBy(tram, null)).toEqual({ inside: 24, outside: 24, insideStuds: 3, outsideStuds: 3 });
    let before = sweptBy(tram, 100_000)!;
    expect(before.inside).toBeCloseTo(24, 0);
    for (const r of [2000, 1000, 600, 400, 320, 200]) {
      const now = sweptBy(tram, r)!;
      expect(now.inside).toBeGreaterThan(before.inside);
      expect(now.outside).toBeGreaterThan(before.outside);
      before = now;
    }
  });

  it('sweeps what its outline sweeps, drawn point by point on the curve', () => {
    for (const radius of [250, 320, 640]) {
      const swept = sweptBy(tram, radius)!;
      // The vehicle stands with both pivots on the circle; its sides are walked along.
      const middle = Math.sqrt(radius ** 2 - (tram.pivots / 2) ** 2);
      let [least, most] = [Infinity, 0];
      for (let x = -tram.length / 2; x <= tram.length / 2; x += 0.5)
        for (const y of [middle - tram.width / 2, middle + tram.width / 2]) {
          least = Math.min(least, Math.hypot(x, y));
          most = Math.max(most, Math.hypot(x, y));
        }
      expect(swept.inside).toBeCloseTo(radius - least, 1);
      expect(swept.outside).toBeCloseTo(most - radius, 1);
    }
  });

  it('keeps a wall so many whole studs away, with room to spare', () => {
    expect(sweptBy(tram, 320, 4)).toMatchObject({ insideStuds: 5, outsideStuds: 6 });
    expect(cutBack(4, 6)).toBe(2);
    expect(cutBack(7, 6)).toBe(0);
  });

  it('is none where it cannot stand on the curve', () => {
    expect(sweptBy({ ...tram, pivots: 300 }, 320)).toBeUndefined();
    expect(sweptBy(tram, 60)).toBeUndefined();
    expect(sweptBy({ ...tram, width: 0 }, 320)).toBeUndefined();
  });

  it('stands along a platform with its gaps', () => {
    expect(vehiclesAlong(500, 240, 20)).toEqual({ n: 2, left: 0 });
    expect(vehiclesAlong(499, 240, 20)).toEqual({ n: 1, left: 259 });
    expect(vehiclesAlong(100, 240, 20)).toEqual({ n: 0, left: 100 });
    expect(roomIn({ width: 6, height: 8 }, { width: 5, height: 8 })).toEqual({
      beside: 8,
      above: 0,
      passes: true,
    });
    expect(roomIn({ width: 6, height: 8 }, { width: 6.5, height: 9 })).toEqual({
      beside: -4,
      above: -3.2,
      passes: false,
    });
    expect(swingRadius(30, 40)).toBe(50);
  });
});

describe('hinged walls and rings', () => {
  it('meet studs again at 3-4-5 and its kin, each told once', () => {
    const found = hingedWalls(30, 0.2);
    const exact = found.filter((f) => f.error === 0).map((f) => [f.across, f.along, f.length]);
    expect(exact).toEqual([
      [3, 4, 5],
      [5, 12, 13],
      [8, 15, 17],
      [7, 24, 25],
      [20, 21, 29],
    ]);
    for (const f of found) {
      expect(Math.abs(Math.hypot(f.along, f.across) * 8 - f.length * 8)).toBeLessThanOrEqual(0.2 + 1e-9);
      expect(Math.tan((f.angle * Math.PI) / 180)).toBeCloseTo(f.across / f.along, 1);
    }
  });

  it('of four panels are squares, of many a circle', () => {
    expect(ringOf(4, 8, 1)).toEqual({ panels: 4, inner: 32, outer: 45.3, turn: 90, offGrid: 0, gap: 16 });
    const many = ringOf(360, 1, 1)!;
    expect(2 * Math.PI * many.outer).toBeCloseTo(360 * 8, 0);
    expect(ringOf(8, 4, 1)).toMatchObject({ inner: 38.6, offGrid: 1.4 });
    expect(ringOf(6, 4, 1)!.offGrid).toBeNull();
    expect(ringOf(2, 4, 1)).toBeUndefined();
  });

  it('rounds of plates have the diameter, are the same from both sides, and come near to the circle', () => {
    for (let d = 2; d <= 40; d++) {
      const { rows, error } = roundOf(d)!;
      expect(rows).toHaveLength(d);
      expect([...rows].reverse()).toEqual(rows);
      expect(Math.max(...rows)).toBeLessThanOrEqual(d);
      expect(error).toBeLessThanOrEqual(8.1);
      const area = rows.reduce((s, r) => s + r, 0);
      if (d > 6) expect(Math.abs(area / ((Math.PI * d * d) / 4) - 1)).toBeLessThan(0.12);
    }
    expect(roundOf(1)).toBeUndefined();
  });
});

describe('mass', () => {
  it('of a hollow box is its walls, its roof, its studs and its tubes, added up by hand', () => {
    // 15.8 x 31.8 x 9.6 mm outside, 13.3 x 29.3 x 8.35 inside; three tubes of 15.1 mm² and eight studs of 30.8 mm³.
    const volume = 15.8 * 31.8 * 9.6 - 13.3 * 29.3 * 8.35 + 3 * 15.09 * 8.35 + 8 * 30.76;
    expect(massOfPart(part('brick 2x4')).grams).toBeCloseTo((volume * 1.05) / 1000, 2);
    expect(massOfPart(part('tile 2x2')).grams).toBeLessThan(massOfPart(part('plate 2x2')).grams);
    expect(massOfPart(part('round brick 2x2')).grams).toBeLessThan(massOfPart(part('brick 2x2')).grams);
    const window = massOfPart(part('window 1x2x2'));
    expect(window.doubt / window.grams).toBeCloseTo(0.3, 6);
    expect(massOfPart(part('baseplate 32x32')).grams).toBeLessThan(150);
  });

  it('of a build is that of its zones, and of its zones that of their pieces', () => {
    const bench = makeWorkbench({
      zones: { Hull: ['10 brick 2x4 chalk', '4 plate 2x4 ash'], Deck: ['2 tile 2x2 ash'] },
    });
    const mass = massOfBuild(bench);
    expect(mass.pieces).toBe(16);
    expect(mass.zones.map((z) => [z.zone, z.pieces])).toEqual([
      [zoneId('Hull'), 14],
      [zoneId('Deck'), 2],
    ]);
    const hull = 10 * massOfPart(part('brick 2x4')).grams + 4 * massOfPart(part('plate 2x4')).grams;
    expect(mass.zones[0]!.grams).toBeCloseTo(hull, 6);
    expect(mass.zones.reduce((s, z) => s + z.grams, 0)).toBeCloseTo(mass.grams, 6);
    expect(mass.doubt).toBeCloseTo(mass.grams * 0.1, 6);
  });

  it('hangs on all hooks but one, with a factor', () => {
    expect(perHook({ grams: 1000, doubt: 100 }, 3, 4)).toBe(2200);
    expect(perHook({ grams: 1000, doubt: 0 }, 1, 4)).toBe(4000);
    expect(perHook({ grams: 1000, doubt: 0 }, 0, 4)).toBeUndefined();
    expect(perHook({ grams: 1000, doubt: 0 }, 2, 0.5)).toBeUndefined();
  });

  it('tips where the middle lies beyond the edge, and a counterweight brings it a stud behind', () => {
    const loads = [
      { grams: 100, studs: -3 },
      { grams: 200, studs: 4 },
    ];
    const over = balanceOver(loads, 6);
    expect(over.tips).toBe(true);
    expect(over.middle).toBeCloseTo(500 / 300, 6);
    const after = balanceOver([...loads, { grams: over.counterweight, studs: -6 }], 6);
    expect(after.middle).toBeCloseTo(-1, 6);
    expect(balanceOver([{ grams: 5, studs: -2 }], 6)).toEqual({ middle: -2, tips: false, counterweight: 0 });
    expect(balanceOver([], 6)).toEqual({ middle: 0, tips: false, counterweight: 0 });
  });
});
