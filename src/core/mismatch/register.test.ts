import { describe, expect, it } from 'vitest';
import { elementKey, partOf, substitutesFor } from '../parts';
import type { ColourId, PartId } from '../shared/ids';
import { register, TEST_YEAR, tower } from '../testing/tower';
import { el } from '../testing/world';
import { alternativesFor, availability, withKnowledge } from './register';

describe('what is not available', () => {
  it('offers the nearest colours it was made in and shapes that fill its room', () => {
    const workbench = tower();
    const wanted = el('brick 2x4', 'ash');
    const never = [wanted, el('brick 2x4', 'dove'), el('brick 2x2', 'ash')];
    const found = alternativesFor(wanted, workbench.palette, register(never), TEST_YEAR);
    expect(found.colours).toHaveLength(3);
    expect(found.colours.map((c) => c.colour.id)).not.toContain('dove');
    expect(found.colours[0]!.deltaE).toBeLessThanOrEqual(found.colours[1]!.deltaE);
    expect(found.shapes.map((s) => s.weakens)).toEqual([
      'a joint across it',
      'a joint along it',
      'layers instead of one piece',
    ]);
    expect(found.shapes.flatMap((s) => s.parts.map((p) => p.part.id))).not.toContain('brick 2x2');
  });

  it('what is there already is never offered in its own stead', () => {
    const { palette } = tower();
    const [wanted, present] = [el('brick 1x4', 'ash'), el('brick 1x4', 'dove')];
    const colours = (there: typeof present | null) =>
      alternativesFor(wanted, palette, register([wanted]), TEST_YEAR, 9, there).colours.map(
        (c) => c.colour.id,
      );
    expect(colours(null)[0]).toBe('dove');
    expect(colours(present)).not.toContain('dove');
    expect(colours(present)).toEqual(expect.arrayContaining(colours(null).slice(1)));
  });

  it('substitutes fill exactly the same room', () => {
    for (const name of ['plate 1x14', 'plate 1x8', 'brick 2x4', 'tile 1x6', 'brick 1x2', 'plate 4x8']) {
      const part = partOf(name as PartId);
      const room = (p: typeof part) => p.size[0] * p.size[1] * p.height;
      for (const s of substitutesFor(part))
        expect([name, s.parts.reduce((sum, p) => sum + p.qty * room(p.part), 0)]).toEqual([name, room(part)]);
    }
    expect(substitutesFor(partOf('plate 1x14' as PartId))[0]!.parts.map((p) => [p.qty, p.part.id])).toEqual([
      [1, 'plate 1x12'],
      [1, 'plate 1x2'],
    ]);
    expect(substitutesFor(partOf('arch 1x4' as PartId))).toEqual([]);
  });

  it('imported lists and proof from a box lie over the register', () => {
    const [a, b, c] = [el('arch 1x4', 'ash'), el('arch 1x4', 'bark'), el('arch 1x4', 'kelp')];
    const known = withKnowledge(
      register([a, b, c]),
      new Map([[a, { id: a, element: a, from: 2001, to: 2009 }]]),
      new Set([elementKey('arch 1x4' as PartId, 'bark' as ColourId, 'sign')]),
    );
    expect(availability(known.look(a), TEST_YEAR)).toBe('retired');
    expect(availability(known.look(a), 2005)).toBe('made');
    expect(
      availability(known.look(elementKey('arch 1x4' as PartId, 'bark' as ColourId, 'sign')), TEST_YEAR),
    ).toBe('retired');
    expect(availability(known.look(c), TEST_YEAR)).toBe('never');
  });
});
