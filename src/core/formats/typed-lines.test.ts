import { describe, expect, it } from 'vitest';
import { PALETTE } from '../colour';
import { typedTable } from './typed-lines';

const rows = (text: string) => typedTable(text, PALETTE)?.rows;

describe('lines that were typed', () => {
  it('are a number, a part and a colour, in zones', () => {
    expect(rows('12 brick 2x4 chalk\n[Roof]\n6x slope 45 2x2 dark red\n\n1 figure keeper')).toEqual([
      ['12', 'brick 2x4', 'chalk', ''],
      ['6', 'slope 45 2x2', 'dark red', 'Roof'],
      ['1', 'figure keeper', '', 'Roof'],
    ]);
  });
  it('keep the number of the line that each stood on', () =>
    expect(typedTable('\n4 plate 1x2 ash\n[A]\n5 plate 1x2 ash', PALETTE)!.lines).toEqual([2, 4]));
  it('take the longest colour, and never the whole of a line', () => {
    expect(rows('3 plate 1x2 light grey')).toEqual([['3', 'plate 1x2', 'light grey', '']]);
    expect(rows('3 grey')).toEqual([['3', 'grey', '', '']]);
  });
  it.each(['part\tcolour\n3\tash', 'brick 2x4 chalk', '', 'part,colour,qty\nplate,ash,3'])(
    'is none of %j',
    (text) => expect(typedTable(text, PALETTE)).toBeNull(),
  );
});
