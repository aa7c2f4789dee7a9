import { describe, expect, it } from 'vitest';
import { colourAt } from '../testing/made-colours';
import { areKin } from './kin';

/** A colour of a hue, in degrees, and a chroma. */
const hued = (hue: number, chroma: number, l = 50, family = `${hue} ${chroma} ${l}`) =>
  colourAt(family, [l, chroma * Math.cos((hue * Math.PI) / 180), chroma * Math.sin((hue * Math.PI) / 180)], {
    family: family as never,
  });

describe('two colours read as shades of one', () => {
  it('of one family while they are not too far apart', () => {
    const red = (l: number) => hued(30, 40, l, 'red');
    expect(areKin(red(50), red(60))).toBe(true);
    expect(areKin(red(30), red(80))).toBe(false);
    // A family holds greens that lean to both sides: the name is enough.
    expect(areKin(hued(120, 20, 50, 'green'), hued(160, 20, 50, 'green'))).toBe(true);
  });

  it('of one hue, though they are of two families, and not of two hues', () => {
    expect(areKin(hued(30, 40), hued(45, 40))).toBe(true);
    expect(areKin(hued(30, 20), hued(60, 20))).toBe(false);
  });

  it('across the end of the circle of hues', () => {
    expect(areKin(hued(352, 40), hued(6, 40))).toBe(true);
    expect(areKin(hued(6, 40), hued(352, 40))).toBe(true);
    expect(areKin(hued(340, 20), hued(20, 20))).toBe(false);
  });

  it('and never by a hue that is none: greys, also beside what has one', () => {
    expect(areKin(hued(30, 10), hued(40, 10))).toBe(false);
    expect(areKin(hued(30, 10), hued(40, 30))).toBe(false);
    expect(areKin(hued(30, 16), hued(40, 16))).toBe(true);
  });

  it('nor where a colour is not known', () => {
    expect([
      areKin(undefined, hued(1, 40)),
      areKin(hued(1, 40), undefined),
      areKin(undefined, undefined),
    ]).toEqual([false, false, false]);
  });
});
