import { describe, expect, it } from 'vitest';
import { grade } from '../ledger';
import { el } from '../testing/world';
import { rarestLots, stockByColour } from './index';

const lot = (part: string, colour: string, qty: number, condition: 'new' | 'used' = 'used') => ({
  element: el(part, colour),
  grade: grade(condition),
  qty,
});

describe('own parts by colour', () => {
  it('are the pieces, kinds and worth of each, most pieces first, and tell what has no price', () => {
    const rows = [
      lot('brick 1x2', 'ash', 5),
      lot('brick 1x2', 'ash', 2, 'new'),
      lot('tile 1x2', 'ash', 1),
      lot('brick 1x2', 'slate', 20),
      lot('brick 1x2', 'bark', -3),
    ];
    const price = (e: string, g: string) => (e.startsWith('brick') ? (g === 'new' ? 10 : 4) : null);
    expect(stockByColour(rows, price)).toEqual([
      { colour: 'slate', pieces: 20, kinds: 1, worth: 80, unpriced: 0 },
      { colour: 'ash', pieces: 8, kinds: 2, worth: 40, unpriced: 1 },
    ]);
    expect(stockByColour([], price)).toEqual([]);
    const even = [lot('tile 1x2', 'slate', 2), lot('tile 1x2', 'ash', 2)];
    expect(stockByColour(even, price).map((c) => c.colour)).toEqual(['ash', 'slate']);
  });
});

describe('rare left-overs', () => {
  const rows = [
    lot('brick 1x2', 'ash', 50),
    lot('brick 1x2', 'ash', 1, 'new'),
    lot('boat door 1x6', 'deep', 2),
    lot('arch 1x4', 'bark', 3),
    lot('gizmo', 'ash', 7),
  ];
  const colours: Record<string, number> = { 'brick 1x2': 40, 'boat door 1x6': 2, 'arch 1x4': 9 };
  const boxes: Record<string, number> = { [el('brick 1x2', 'ash')]: 9, [el('arch 1x4', 'bark')]: 1 };
  const rare = rarestLots(
    rows,
    (p) => colours[p] ?? null,
    (e) => boxes[e] ?? 0,
  );

  it('come by how few boxes or colours they exist in, and what is not known of comes last', () =>
    expect(rare.map((r) => [r.element, r.boxes, r.colours])).toEqual([
      [el('arch 1x4', 'bark'), 1, 9],
      [el('boat door 1x6', 'deep'), 0, 2],
      [el('brick 1x2', 'ash'), 9, 40],
      [el('gizmo', 'ash'), 0, null],
    ]));

  it('as rare as one another: the fewer colours first, then the more pieces, then by name; what is not there is none', () => {
    const even = [
      lot('brick 1x4', 'ash', 2),
      lot('brick 1x3', 'ash', 2),
      lot('tile 1x2', 'ash', 9),
      lot('plate 1x2', 'ash', 1),
      lot('plate 1x3', 'ash', 0),
      lot('plate 1x3', 'ash', -4),
    ];
    const made: Record<string, number> = { 'plate 1x2': 3, 'tile 1x2': 8, 'brick 1x4': 8, 'brick 1x3': 8 };
    const list = rarestLots(
      even,
      (p) => made[p] ?? null,
      () => 3,
    );
    expect(list.map((r) => r.element)).toEqual([
      el('plate 1x2', 'ash'),
      el('tile 1x2', 'ash'),
      el('brick 1x3', 'ash'),
      el('brick 1x4', 'ash'),
    ]);
  });

  it('are counted over all conditions', () =>
    expect(rare.find((r) => r.element === el('brick 1x2', 'ash'))?.qty).toBe(51));
});
