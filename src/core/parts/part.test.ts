import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asId, type ColourId, type PartId } from '../shared/ids';
import {
  byElementName,
  elementKey,
  elementName,
  elementSearch,
  FAMILIES,
  GROUPS,
  inColour,
  partOf,
  readPartName,
  searchWords,
  singular,
  splitElementKey,
} from './index';

const part = (id: string) => asId<PartId>(id);
const colour = (id: string) => asId<ColourId>(id);
/** Text as hostile as a table can hold. */
const text = fc.string({ minLength: 1, maxLength: 40, unit: 'grapheme' });

describe('an element', () => {
  it('is known by its key: what goes in comes out, bars and brackets apart', () =>
    fc.assert(
      fc.property(text, text, fc.string({ maxLength: 30, unit: 'grapheme' }), (p, c, print) => {
        const key = elementKey(part(p), colour(c), print);
        const back = splitElementKey(key);
        expect(back.part).toBe(p.replaceAll('|', '/'));
        expect(back.colour).toBe(c.replaceAll('|', '/'));
        expect(back.print).not.toMatch(/[|()]/);
        // Made again from its own fields it is the same element.
        expect(elementKey(back.part, back.colour, back.print)).toBe(key);
      }),
    ));

  it('without a print is not the same as with one, and an empty print is none', () => {
    const plain = elementKey(part('tile 2x2'), colour('bark'));
    expect(elementKey(part('tile 2x2'), colour('bark'), '  ')).toBe(plain);
    expect(elementKey(part('tile 2x2'), colour('bark'), 'compass')).not.toBe(plain);
  });

  it('in another colour keeps its shape and its print, and comes back', () =>
    fc.assert(
      fc.property(text, text, text, text, (p, c, other, print) => {
        const key = elementKey(part(p), colour(c), print);
        const recoloured = inColour(key, colour(other));
        expect(splitElementKey(recoloured)).toMatchObject({
          part: splitElementKey(key).part,
          print: splitElementKey(key).print,
        });
        expect(inColour(recoloured, splitElementKey(key).colour)).toBe(key);
      }),
    ));

  it('of nothing is no element', () => {
    for (const key of ['', '|', 'brick 1x2', '|ash'])
      expect(() => splitElementKey(key as never)).toThrow('names a part and a colour');
  });

  it('is found by any part of any of its words, and sorted the same from either end', () => {
    const keys = ['brick 1x2', 'plate 2x10', 'plate 2x3', 'arch 1x4'].flatMap((p) =>
      ['ash', 'kelp'].map((c) => elementKey(part(p), colour(c))),
    );
    fc.assert(
      fc.property(fc.constantFrom(...keys), fc.nat(30), fc.nat(30), (key, a, b) => {
        const name = elementName(key);
        const [from, to] = [a % name.length, b % name.length].sort((x, y) => x - y) as [number, number];
        const piece = name.slice(from, to + 1);
        expect(elementSearch(piece)(key)).toBe(true);
        expect(elementSearch(piece.toUpperCase())(key)).toBe(true);
        expect(elementSearch(`${piece} nowhere`)(key)).toBe(false);
      }),
    );
    const sorted = [...keys].sort(byElementName);
    expect([...keys].reverse().sort(byElementName)).toEqual(sorted);
    expect(sorted.map(elementName).slice(-4)).toEqual([
      'plate 2x3 ash',
      'plate 2x3 kelp',
      'plate 2x10 ash',
      'plate 2x10 kelp',
    ]);
  });

  it('is searched for by words with sizes closed up', () => {
    expect(searchWords(' 2 × 3  Cha,')).toEqual(['2x3', 'cha']);
    expect(searchWords('1x2x2')).toEqual(['1x2x2']);
    expect(searchWords('')).toEqual([]);
  });
});

describe('a family', () => {
  const sized = FAMILIES.filter((f) => f.name && !f.directed);

  it('is named once, is in a group there is, and has room for itself', () => {
    expect(new Set(FAMILIES.map((f) => f.name)).size).toBe(FAMILIES.length);
    for (const f of FAMILIES) {
      expect(GROUPS).toContain(f.group);
      expect([f.height > 0, f.footprint[0] > 0, f.footprint[1] > 0]).toEqual([true, true, true]);
    }
  });

  it.each(FAMILIES.map((f) => [f.name, f] as const))('%s is read back from its own name', (name, f) => {
    const { part: read } = readPartName(`${name} 2x4`);
    expect([read.read, read.family.name]).toEqual([true, f.name]);
    // The name it is given is the one it goes by: reading it again changes nothing.
    expect(readPartName(read.id).part).toEqual(read);
    expect(partOf(read.id)).toEqual(read);
  });

  it('that has no front is written smaller side first, however it is typed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...sized),
        fc.integer({ min: 1, max: 16 }),
        fc.integer({ min: 1, max: 16 }),
        fc.constantFrom('x', ' x ', '×', 'X'),
        (f, a, b, cross) => {
          const one = readPartName(`${f.name} ${a}${cross}${b}`).part;
          const other = readPartName(`${f.name} ${b}x${a}`).part;
          expect(other.id).toBe(one.id);
          expect(one.size[0]).toBeLessThanOrEqual(one.size[1]);
        },
      ),
    );
  });

  it('that has a front keeps its sides as they are typed', () => {
    for (const f of FAMILIES.filter((x) => x.directed && !x.name.includes('wedge'))) {
      const [deep, wide] = [`${f.name} 2x4`, `${f.name} 4x2`].map((n) => readPartName(n).part);
      expect(deep!.id).not.toBe(wide!.id);
      expect(deep!.size).toEqual([2, 4]);
    }
  });
});

describe('a name that cannot be read', () => {
  it('is kept as it was written, and is the same part each time', () =>
    fc.assert(
      fc.property(text, (name) => {
        const { part: read } = readPartName(name);
        expect(readPartName(name).part).toEqual(read);
        expect(read.id.length).toBeGreaterThan(0);
        expect(readPartName(read.id).part.id).toBe(read.id);
      }),
    ));
});

it.each([
  ['plates', 'plate'],
  ['bricks', 'brick'],
  ['arches', 'arch'],
  ['dishes', 'dish'],
  ['boxes', 'box'],
  ['hinges', 'hinge'],
  ['glasses', 'glass'],
  ['brick', 'brick'],
  ['grass', 'grass'],
])('one of %s is a %s', (many, one) => expect(singular(many)).toBe(one));

it.each(FAMILIES.map((f) => f.name).filter((n) => n && !n.includes(' ')))(
  'several of %s are read as it',
  (name) => {
    const many = /(ch|sh|ss|x)$/.test(name) ? `${name}es` : name.endsWith('s') ? name : `${name}s`;
    expect(readPartName(`${many} 2x4`).part.family.name).toBe(name);
  },
);
