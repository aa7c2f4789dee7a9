import { describe, expect, it } from 'vitest';
import {
  COLOUR_FAMILIES,
  deltaE00,
  FINISHES,
  labOfHex,
  everydayColours,
  matchColour,
  nearestColours,
  PALETTE,
  shadeHex,
} from './index';

describe('the palette', () => {
  it('has 48 colours or more, each under a name, code and hex of its own', () => {
    expect(PALETTE.length).toBeGreaterThanOrEqual(48);
    for (const field of ['name', 'code', 'hex'] as const)
      expect(new Set(PALETTE.map((c) => c[field])).size).toBe(PALETTE.length);
    expect(new Set(PALETTE.map((c) => c.finish))).toEqual(new Set(FINISHES));
    expect(new Set(PALETTE.map((c) => c.family))).toEqual(new Set(COLOUR_FAMILIES));
  });

  it('has near neighbours where people mistake one for another, and no two that cannot be told apart', () => {
    for (const family of ['grey', 'white', 'brown', 'blue']) {
      const solid = PALETTE.filter((c) => c.family === family && c.finish === 'solid');
      const nearest = solid.map((c) => nearestColours(c.lab, solid, 2)[1]!.deltaE);
      expect([family, Math.min(...nearest) < 8]).toEqual([family, true]);
      expect([family, Math.min(...nearest) > 1.5]).toEqual([family, true]);
    }
  });
});

describe('Lab under D65', () => {
  it('has white at 100, 0, 0 and known values for pure red', () => {
    const white = labOfHex('#ffffff')!;
    expect([white.l, white.a, white.b].map((v) => Math.abs(Math.round(v * 10) / 10))).toEqual([100, 0, 0]);
    const red = labOfHex('#ff0000')!;
    expect(red.l).toBeCloseTo(53.24, 1);
    expect(red.a).toBeCloseTo(80.09, 1);
    expect(red.b).toBeCloseTo(67.2, 1);
  });

  it('refuses what is no colour', () =>
    expect([labOfHex('red'), labOfHex('#12')]).toEqual([undefined, undefined]));

  it('measures ΔE00 as published (first pairs of Sharma, Wu and Dalal 2005)', () => {
    const lab = (l: number, a: number, b: number) => ({ l, a, b, white: 'D65' as const });
    expect(deltaE00(lab(50, 2.6772, -79.7751), lab(50, 0, -82.7485))).toBeCloseTo(2.0425, 4);
    expect(deltaE00(lab(50, 2.5, 0), lab(73, 25, -18))).toBeCloseTo(27.1492, 4);
    expect(deltaE00(lab(2.0776, 0.0795, -1.135), lab(0.9033, -0.0636, -0.5514))).toBeCloseTo(0.9082, 4);
  });
});

describe('matching foreign colour names', () => {
  it.each([
    ['Chalk', 'exact', 'chalk'],
    ['brick red', 'exact', 'brick-red'],
    ['C06', 'exact', 'ash'],
    ['#a3a8aa', 'exact', 'ash'],
    ['a2a8ab', 'near', 'ash'],
    ['Sky, clear', 'loose', 'clear-sky'],
    ['white', 'everyday', 'chalk'],
    ['light grey', 'everyday', 'ash'],
    ['dark grey', 'everyday', 'slate'],
    ['black', 'everyday', 'soot'],
    ['tan', 'everyday', 'dune'],
    ['dark red', 'everyday', 'berry'],
    ['light blue', 'everyday', 'sky'],
    ['dark green', 'everyday', 'bottle'],
    ['dark brown', 'everyday', 'peat'],
    ['yellowish green', 'everyday', 'kelp'],
    ['transparent blue', 'everyday', 'clear-sky'],
    ['silver', 'everyday', 'tin'],
  ])('%s is %s %s', (text, how, id) =>
    expect(matchColour(text, PALETTE)).toMatchObject({ how, colour: { id } }),
  );

  it('offers what is alike when it cannot tell', () => {
    expect(matchColour('some grey', PALETTE)).toMatchObject({ how: 'unknown' });
    expect(matchColour('', PALETTE)).toEqual({ how: 'unknown', suggestions: [] });
    const far = matchColour('#ff00ff', PALETTE);
    expect(far.how === 'unknown' && far.suggestions.length).toBe(6);
  });
});

describe('everyday words for colours', () => {
  const names = (text: string) => everydayColours(text.split(' '), PALETTE).map((c) => c.name);

  it('mean colours of their family, the likeliest first, and of their finish only', () => {
    for (const text of ['grey', 'light grey', 'dark grey', 'pale gray']) {
      expect(new Set(names(text))).toEqual(new Set(['mist', 'ash', 'dove', 'flint', 'slate', 'thunder']));
      expect(names(`clear ${text}`)).toEqual(['clear-smoke']);
    }
  });

  it('go from light to dark as they say, in every family that has both', () => {
    for (const base of ['grey', 'green', 'blue', 'brown', 'red', 'violet']) {
      const l = (text: string) => everydayColours(text.split(' '), PALETTE)[0]!.lab.l;
      expect(l(`dark ${base}`)).toBeLessThanOrEqual(l(base));
      expect(l(`light ${base}`)).toBeGreaterThanOrEqual(l(base));
      expect(l(`light ${base}`)).toBeGreaterThan(l(`dark ${base}`));
    }
  });

  it('mean nothing where a word is not one of them, or two are', () => {
    for (const text of ['', 'dark', 'some grey', 'red blue', 'grey brick', 'constructor'])
      expect(everydayColours(text.split(' ').filter(Boolean), PALETTE)).toEqual([]);
  });
});

it('shades a colour by the light on it', () => {
  expect(shadeHex('#808080', 1)).toBe('#808080');
  expect(shadeHex('#808080', 0.5)).toBe('#404040');
  expect(shadeHex('#000000', 1.5)).toBe('#808080');
});
