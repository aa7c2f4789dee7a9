import { describe, expect, it } from 'vitest';
import { makeWorkbench } from '../../testing/workbench';
import { fillingsHere } from './fillings-here';
import { fillings } from './levels';

const all = fillings(16, { tolerance: 0.1, halves: true, sideways: true });
const words = (stock: string[]) =>
  fillingsHere(makeWorkbench({ zones: { Wall: ['1 tile 1x2 chalk'] }, stock }), all).map((f) => [
    `${f.bricks} ${f.plates} ${f.halves} ${f.sideways}`,
    f.lacks.join(),
  ]);

describe('fillings from what is at hand', () => {
  it('stand first, in any size and colour, and the others say what lacks', () => {
    expect(words(['1 brick 2x4 ash', '2 plate 1x6 kelp'])).toEqual([
      ['1 2 0 0', ''],
      ['0 0 0 2', 'side-stud brick'],
      ['0 2 1 1', 'bracket,side-stud brick'],
    ]);
    expect(words(['1 side-stud brick 1x1 ash'])[0]).toEqual(['0 0 0 2', '']);
    expect(words(['2 plate 1x6 kelp', '1 bracket 1x2 ash'])).toEqual([
      ['0 0 0 2', ''],
      ['0 2 1 1', ''],
      ['1 2 0 0', 'brick'],
    ]);
  });
  it('keep their order where nothing is at hand', () => {
    expect(words([]).map(([f]) => f)).toEqual(
      all.map((f) => `${f.bricks} ${f.plates} ${f.halves} ${f.sideways}`),
    );
  });
});
