import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared/random';
import {
  adaptXyz,
  asThresholds,
  averageReadings,
  deltaE00,
  enoughReadings,
  FADING_GRADES,
  fadingGrade,
  labOfHex,
  labOfXyzD65,
  linearOfXyz,
  PALETTE,
  splitDifference,
  temperatureOf,
  WHITE_D65,
  whiteOfTemperature,
  xyzD65OfLab,
  xyzOfLinear,
  type LabD65,
} from './index';

const lab = (l: number, a: number, b: number): LabD65 => ({ l, a, b, white: 'D65' });
const anyLab = fc.record({
  l: fc.double({ min: 1, max: 99, noNaN: true }),
  a: fc.double({ min: -60, max: 60, noNaN: true }),
  b: fc.double({ min: -60, max: 60, noNaN: true }),
  white: fc.constant('D65' as const),
});

describe('light', () => {
  it('Lab and XYZ are each other’s inverse', () =>
    fc.assert(fc.property(anyLab, (c) => deltaE00(c, labOfXyzD65(xyzD65OfLab(c))) < 1e-6)));

  it('agrees with the palette’s own conversion', () => {
    for (const c of PALETTE) {
      const rgb = xyzOfLinear(linearOfXyz(xyzD65OfLab(c.lab)));
      expect(deltaE00(labOfXyzD65(rgb), labOfHex(c.hex)!)).toBeLessThan(0.02);
    }
  });

  it('adapting there and back changes nothing, and takes white to white', () =>
    fc.assert(
      fc.property(anyLab, fc.integer({ min: 1700, max: 15_000 }), (c, kelvin) => {
        const light = whiteOfTemperature(kelvin);
        const there = adaptXyz(xyzD65OfLab(c), WHITE_D65, light);
        expect(deltaE00(c, labOfXyzD65(adaptXyz(there, light, WHITE_D65)))).toBeLessThan(1e-3);
        const white = labOfXyzD65(adaptXyz(light, light, WHITE_D65));
        expect(Math.abs(white.a) + Math.abs(white.b)).toBeLessThan(1e-3);
      }),
    ));

  it.each([1900, 2856, 4000, 5000, 6504, 9000])('%d K is read back from its white', (kelvin) =>
    expect(Math.abs(temperatureOf(whiteOfTemperature(kelvin)) / kelvin - 1)).toBeLessThan(0.03),
  );
});

describe('what a difference is made of', () => {
  it('pure yellowing is all yellowing', () => {
    const parts = splitDifference(lab(94, 0, 3), lab(94, 0, 15));
    expect(parts).toMatchObject({ yellowing: 12, yellowShare: 1, lightness: 0 });
    expect(parts.deltaE).toBeCloseTo(deltaE00(lab(94, 0, 3), lab(94, 0, 15)), 10);
  });
  it('bleaching is loss of chroma and no yellowing', () => {
    const parts = splitDifference(lab(40, 50, 30), lab(46, 40, 24));
    expect(parts.yellowShare).toBe(0);
    expect(parts.chromaLoss).toBeCloseTo(Math.hypot(50, 30) - Math.hypot(40, 24), 10);
    expect(parts.lightness).toBe(6);
  });
  it('no difference has no parts', () =>
    expect(splitDifference(lab(50, 1, 1), lab(50, 1, 1))).toMatchObject({ deltaE: 0, yellowShare: 0 }));
});

describe('grades of fading', () => {
  it('rise with the difference, and each has its place', () => {
    const grades = [0, 0.9, 1, 2.6, 6, 11, 60].map((d) => fadingGrade(d));
    expect(new Set(grades)).toEqual(new Set(FADING_GRADES));
    const ranks = grades.map((g) => FADING_GRADES.indexOf(g));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
  });
  it('keep to the thresholds that are set', () => {
    expect(fadingGrade(4, [5, 6, 7, 8])).toBe('cannot be seen');
    expect(fadingGrade(4, [1, 2, 3, 4])).toBe('seen across the room');
    expect(asThresholds([1, 2, 3, 4])).toEqual([1, 2, 3, 4]);
    for (const bad of [undefined, [1, 2, 3], [1, 2, 2, 4], [0, 1, 2, 3], [1, 2, 3, 4, 5]])
      expect(asThresholds(bad)).toBeUndefined();
  });
  it('a negative difference is a mistake', () => expect(() => fadingGrade(-1)).toThrow(/-1/));
});

describe('readings averaged', () => {
  const noisy = (random: () => number, n: number, noise: number): LabD65[] =>
    Array.from({ length: n }, () =>
      lab(...([90, 1, 12].map((v) => v + (random() - 0.5) * 2 * noise) as [number, number, number])),
    );
  it('come nearer the truth than one of them, and say how sure they are', () => {
    let [one, all] = [0, 0];
    for (let seed = 1; seed <= 40; seed++) {
      const labs = noisy(seededRandom(seed), 9, 1.2);
      one += deltaE00(lab(90, 1, 12), labs[0]!);
      const mean = averageReadings(labs);
      all += deltaE00(lab(90, 1, 12), mean.lab);
      expect(mean.error).toBeCloseTo(mean.deviation / Math.sqrt(mean.used), 10);
    }
    expect(all).toBeLessThan(one * 0.6);
  });
  it('an outlier is left out', () => {
    const labs = [...noisy(seededRandom(3), 6, 0.2), lab(60, 20, 40)];
    const mean = averageReadings(labs);
    expect(mean.leftOut).toBe(1);
    expect(deltaE00(mean.lab, lab(90, 1, 12))).toBeLessThan(0.5);
  });
  it('go on until they are sure, or there were enough', () => {
    const calm = noisy(seededRandom(1), 12, 0.2);
    expect(enoughReadings(calm.slice(0, 2))).toBe('more');
    expect(enoughReadings(calm.slice(0, 4))).toBe('sure');
    const wild = noisy(seededRandom(2), 12, 9);
    expect(enoughReadings(wild.slice(0, 6))).toBe('more');
    expect(enoughReadings(wild)).toBe('unsure');
  });
  it('a single one is never sure', () => expect(averageReadings([lab(50, 0, 0)]).error).toBe(Infinity));
});
