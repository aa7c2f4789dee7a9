import { describe, expect, it } from 'vitest';
import { FAMILIES, GENERAL } from '../families';
import { readPartName } from '../read-part-name';
import { drawPart } from './draw';

const draw = (name: string) => drawPart(readPartName(name).part);

describe('drawn solids', () => {
  it('draws every family as a solid with several lit faces', () => {
    for (const family of [...FAMILIES, GENERAL]) {
      const drawing = draw(family.name);
      expect(drawing.faces.length, family.name).toBeGreaterThanOrEqual(3);
      expect(new Set(drawing.faces.map((f) => f.light)).size, family.name).toBeGreaterThan(1);
      expect(
        drawing.faces.every((f) => !/NaN|Infinity/.test(f.d)),
        family.name,
      ).toBe(true);
    }
  });

  it('keeps proportions: a brick is three plates, 2x4 twice as long as 2x2', () => {
    const [, , , plate] = draw('tile 1x1').box;
    const [, , , tall] = draw('pane 1x1x1').box;
    expect(tall - plate).toBeCloseTo(2 * 0.4, 1);
    const [, , short] = draw('tile 2x2').box;
    const [, , long] = draw('tile 2x4').box;
    expect(long / short).toBeCloseTo(6 / 4, 5);
  });

  it('draws a stud for every stud', () => {
    const tops = (name: string) => (draw(name).faces.at(-1)?.d.match(/Z/g) ?? []).length;
    expect(tops('plate 2x4')).toBe(8);
    expect(tops('corner plate 2x2')).toBe(3);
    expect(tops('one-stud plate 1x2')).toBe(1);
  });

  it('stays drawable for absurd sizes', () => {
    expect(draw('plate 1x4000').box[2]).toBeLessThan(60);
    expect(draw('baseplate 48x48').faces.length).toBeLessThan(20);
  });
});
