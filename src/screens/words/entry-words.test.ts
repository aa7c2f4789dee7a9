import { describe, expect, it } from 'vitest';
import {
  BLANK_ENTRY,
  grade,
  modelAccount,
  orderAccount,
  OUTSIDE,
  sparesAccount,
  type Entry,
} from '@/core/ledger';
import { asId, type BuildId, type OrderId, type ZoneId } from '@/core/shared/ids';
import { el } from '@/core/testing/world';
import { entryName, kindsOf, kindsWords, sourceWords } from './entry-words';

const WALL = modelAccount(asId<ZoneId>('wall'));
const SPARES = sparesAccount(asId<BuildId>('b'));
const entryOf = (kind: Entry['kind'], ...moves: [string, number, string, string, number?][]): Entry => ({
  ...BLANK_ENTRY,
  id: asId('e'),
  build: asId<BuildId>('b'),
  kind,
  loggedAt: '',
  movements: moves.map(([part, qty, from, to, worth]) => ({
    element: el(...(part.split('|') as [string, string])),
    grade: grade('new'),
    qty,
    from: from as never,
    to: to as never,
    worth: worth ?? null,
  })),
});
const words = (e: Entry) => kindsWords(kindsOf(e));

describe('an entry of several kinds', () => {
  it('names each with its own pieces, and one kind without', () => {
    expect(words(entryOf('add', ['brick 1x2|chalk', 4, SPARES, WALL]))).toBe('brick 1x2 chalk');
    const two = entryOf(
      'add',
      ['slope 45 2x2|slate', 8, SPARES, WALL],
      ['brick 1x2|chalk', 2, OUTSIDE, WALL],
    );
    expect(words(two)).toBe('8 slope 45 2x2 slate, 2 brick 1x2 chalk');
  });

  it('says how many kinds it leaves out, and counts a kind from two places once', () => {
    const many = entryOf(
      'remove',
      ...['ash', 'bark', 'chalk', 'slate', 'soot'].map((c, i): [string, number, string, string] => [
        `brick 1x2|${c}`,
        i + 1,
        WALL,
        SPARES,
      ]),
      ['brick 1x2|ash', 10, WALL, SPARES],
    );
    expect(words(many)).toBe('11 brick 1x2 ash, 2 brick 1x2 bark, 3 brick 1x2 chalk and 2 kinds more');
  });

  it('is so for an order too, whose pieces are not on the model yet', () => {
    const at = orderAccount(asId<OrderId>('o'));
    const order = entryOf('order', ['brick 1x2|chalk', 4, OUTSIDE, at], ['tile 1x2|bark', 9, OUTSIDE, at]);
    expect(words(order)).toBe('4 brick 1x2 chalk, 9 tile 1x2 bark');
  });
});

describe('where an entry’s pieces come from', () => {
  it('is each place with its pieces, a box by its name, a price that is not known as such', () => {
    const copies = new Map([['c1', { setName: 'Night tram' }]]);
    const entry = entryOf(
      'add',
      ['brick 1x2|ash', 3, 'donor:c1', WALL],
      ['brick 1x2|ash', 2, SPARES, WALL],
      ['brick 1x2|ash', 1, OUTSIDE, WALL],
      ['brick 1x2|ash', 4, OUTSIDE, WALL, 12],
    );
    expect(sourceWords(entry, { copy: copies } as never)).toBe(
      '3 from Night tram, 2 from spares, 1 bought, no price known, 4 bought at £0.12',
    );
  });

  it('writes thousands as the figures on the screen are written', () => {
    const entry = entryOf('add', ['brick 1x2|ash', 1240, OUTSIDE, WALL], ['brick 1x2|ash', 3, SPARES, WALL]);
    expect(sourceWords(entry, { copy: new Map() } as never)).toBe(
      '1,240 bought, no price known, 3 from spares',
    );
    const exchanged = entryOf(
      'add',
      ['brick 1x2|ash', 1240, WALL, SPARES],
      ['tile 1x2|bark', 2480, OUTSIDE, WALL],
    );
    expect(entryName(exchanged)).toBe('1,240 brick 1x2 ash for 2,480 tile 1x2 bark');
  });
});
