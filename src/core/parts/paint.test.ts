import { describe, expect, it } from 'vitest';
import { PALETTE } from '../colour';
import { drawPart, partOf, readPartName } from './index';
import { paintPart } from './paint';

const drawing = drawPart(partOf(readPartName('brick 2x4').part.id));
const of = (finish: string) => PALETTE.find((c) => c.finish === finish);

describe('a painted part', () => {
  it('has every face of the drawing, in shades of its own colour', () => {
    const ash = PALETTE.find((c) => c.id === 'ash');
    const { faces, opacity } = paintPart(drawing, ash);
    expect(faces.map((f) => f.d)).toEqual(drawing.faces.map((f) => f.d));
    expect(new Set(faces.map((f) => f.fill)).size).toBeGreaterThan(1);
    expect(opacity).toBe(1);
    expect(paintPart(drawing, undefined).faces[0]!.fill).not.toBe(faces[0]!.fill);
  });

  it('is seen through where it is clear, and its edges stand out of dark colours', () => {
    expect(paintPart(drawing, of('clear')).opacity).toBeLessThan(1);
    const light = (hex: string) => Number.parseInt(hex.slice(1, 3), 16);
    const [dark, pale] = [PALETTE.find((c) => c.id === 'soot')!, PALETTE.find((c) => c.id === 'chalk')!];
    expect(light(paintPart(drawing, dark).edge)).toBeGreaterThan(light(dark.hex));
    expect(light(paintPart(drawing, pale).edge)).toBeLessThan(light(pale.hex));
  });
});
