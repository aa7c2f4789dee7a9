import { describe, expect, it } from 'vitest';
import { discsOf, fieldOf, scaleOf } from './photo-marks';

const at = (x: number, y: number) => ({ x, y });

describe('marks on a photo', () => {
  it('give a scale from a known length, whichever way it lies', () => {
    expect(scaleOf(at(0, 0), at(100, 0), 32)).toBeCloseTo(0.32);
    expect(scaleOf(at(10, 10), at(40, 50), 25)).toBeCloseTo(0.5);
    expect(scaleOf(at(5, 5), at(5, 5), 32)).toBe(null);
    expect(scaleOf(at(0, 0), at(100, 0), 0)).toBe(null);
  });

  it('give a field between two corners, from whichever they are marked', () => {
    const ends = [at(0, 0), at(100, 0)];
    expect(fieldOf([...ends, at(10, 10), at(210, 60)], 32)).toEqual({ w: 64, h: 16 });
    expect(fieldOf([...ends, at(210, 60), at(10, 10)], 32)).toEqual({ w: 64, h: 16 });
    expect(fieldOf([...ends, at(10, 60), at(210, 10)], 32)).toEqual({ w: 64, h: 16 });
    expect(fieldOf([...ends, at(10, 10), at(210, 10)], 32)).toBe(null);
    expect(fieldOf(ends, 32)).toBe(null);
    expect(fieldOf([], 32)).toBe(null);
  });

  it('say where its colour is read: inside of it, and as wide on the card', () => {
    const four = [at(0, 0), at(100, 0), at(110, 60), at(10, 20)];
    expect(discsOf(four)).toEqual({ field: { x: 60, y: 40, radius: 12 }, card: null });
    expect(discsOf([...four, at(300, 40)])!.card).toEqual({ x: 300, y: 40, radius: 12 });
    expect(discsOf(four.slice(0, 3))).toBe(null);
    expect(discsOf([at(0, 0), at(9, 0), at(5, 5), at(9, 6)])).toBe(null);
  });
});
