import { expect, it } from 'vitest';
import { at, lot } from '../testing/stock';
import { collectionOf } from './index';

it('a collection is counted by pieces, by kinds whatever tray and condition they are in, and by trays', () => {
  const rows = [
    lot(at('a'), 'brick 1x2', 'ash', 10),
    lot(at('b'), 'brick 1x2', 'ash', 4),
    lot(at('b'), 'tile 2x2', 'bark', 3),
  ];
  expect(collectionOf(rows, 5)).toEqual({ pieces: 17, kinds: 2, trays: 5 });
  expect(collectionOf([], 1)).toEqual({ pieces: 0, kinds: 0, trays: 1 });
});
