import { describe, expect, it } from 'vitest';
import { FAMILIES } from './families';
import { partOf, readPartName } from './read-part-name';

const id = (text: string) => readPartName(text).part.id;

describe('reading part names the ways people type them', () => {
  it.each([
    ['Plate, 1 x 3', 'plate 1x3'],
    ['plate 1x3', 'plate 1x3'],
    ['1x3 plate', 'plate 1x3'],
    ['PLATES 3 × 1', 'plate 1x3'],
    ['slope 45 2x1', 'slope 45 2x1'],
    ['Slope 45° 2 x 1', 'slope 45 2x1'],
    ['slope 1x2', 'slope 1x2'],
    ['round brick 2 x 2', 'round brick 2x2'],
    ['Brick, Round 2x2', 'round brick 2x2'],
    ['window frame 1x2x2', 'window 1x2x2'],
    ['Window 1 x 2 x 2', 'window 1x2x2'],
    ['Brick 1x1x1 2/3', 'brick 1x1x1 2/3'],
    ['slope 30 1 x 2 x 2/3', 'slope 30 1x2x2/3'],
    ['side-stud brick 1x1', 'side-stud brick 1x1'],
    ['brick 1x1 side stud', 'side-stud brick 1x1'],
    ['inverted slope 45 2x2', 'inverted slope 45 2x2'],
    ['boat door 1x6', 'boat door 1x6'],
    ['Gull', 'animal gull'],
    ['plate 1x2 with hook', 'plate 1x2 hook'],
    ['Stairs 4x6x9', 'stairs 4x6x9'],
  ])('%s is %s', (text, expected) => expect(id(text)).toBe(expected));

  it('gives sizes in studs and heights in plates', () => {
    const window = partOf(readPartName('window 1x2x2').part.id);
    expect([window.size, window.height]).toEqual([[1, 2], 6]);
    expect(readPartName('slope 30 1x2x2/3').part.height).toBeCloseTo(2);
    expect(readPartName('tile 2x2').part.height).toBe(1);
  });

  it('takes prints out of the name', () => {
    expect(readPartName('tile 2x2 with compass print')).toMatchObject({
      part: { id: 'tile 2x2' },
      print: 'compass',
    });
    expect(readPartName('Tile 1x4 (sticker harbour 7)')).toMatchObject({
      part: { id: 'tile 1x4' },
      print: 'harbour 7',
    });
    expect(readPartName('tile 1x1 printed').print).toBe('printed');
  });

  it('keeps the text of what it cannot read', () => {
    const odd = readPartName('Frobnicator Mk III').part;
    expect(odd).toMatchObject({ id: 'frobnicator mk iii', read: false });
    expect(id('')).toBe('unnamed part');
  });

  it('reads every canonical name back as itself', () => {
    for (const family of FAMILIES) {
      for (const size of ['', ' 1x2', ' 2x4x3', ' 1x1x1 1/3']) {
        const part = readPartName(`${family.name}${size}`).part;
        expect(part.family.name).toBe(family.name);
        expect(partOf(part.id)).toEqual(part);
      }
    }
  });

  it('survives hostile names', () => {
    for (const text of [
      '<script>1x2 plate</script>',
      'a|b|c',
      '🧱🧱',
      '‮etalp',
      'x'.repeat(5000),
      '1x2',
      '/x/',
    ]) {
      const { part } = readPartName(text);
      expect(part.id).not.toContain('|');
      expect(partOf(part.id).id).toBe(part.id);
    }
  });
});
