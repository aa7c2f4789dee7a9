import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readPartName } from './read-part-name';
import { substitutesFor } from './substitutes';

const of = (name: string) =>
  substitutesFor(readPartName(name).part).map((s) => ({
    parts: s.parts.map((p) => `${p.qty} ${p.part.id}`).join(' + '),
    weakens: s.weakens,
  }));

describe('other parts in a part’s place', () => {
  it('fill exactly its room, whatever its size', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('brick', 'plate', 'tile'),
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 1, max: 20 }),
        (family, a, b) => {
          const part = readPartName(`${family} ${Math.min(a, b)}x${Math.max(a, b)}`).part;
          // A brick is three plates high.
          const room = (name: string, [w, l]: readonly [number, number]) =>
            w * l * (name === 'brick' ? 3 : 1);
          for (const s of substitutesFor(part)) {
            const sum = s.parts.reduce((n, p) => n + p.qty * room(p.part.family.name, p.part.size), 0);
            expect(sum).toBe(room(family, part.size));
            expect(s.parts.every((p) => p.part.id !== part.id)).toBe(true);
          }
        },
      ),
    ));

  it('say which joint gets weaker', () => {
    expect(of('plate 1x14')[0]).toEqual({
      parts: '1 plate 1x12 + 1 plate 1x2',
      weakens: 'a joint across it',
    });
    expect(of('plate 2x4')).toEqual([
      { parts: '1 plate 2x3 + 1 plate 1x2', weakens: 'a joint across it' },
      { parts: '2 plate 2x2', weakens: 'a joint across it' },
      { parts: '2 plate 1x4', weakens: 'a joint along it' },
    ]);
    expect(of('brick 1x2')).toContainEqual({ parts: '3 plate 1x2', weakens: 'layers instead of one piece' });
  });

  it('are none where a shape is not a sum of others', () => {
    expect(of('plate 1x1')).toEqual([]);
    expect(of('arch 1x4')).toEqual([]);
    expect(of('slope 2x2')).toEqual([]);
  });
});
