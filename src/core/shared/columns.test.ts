import {
  property,
  assert as always,
  array,
  constant,
  constantFrom,
  integer,
  jsonValue,
  oneof,
  record,
  string,
  tuple,
} from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromColumns, toColumns } from './columns';

const asSent = (columns: unknown): Parameters<typeof fromColumns>[0] =>
  JSON.parse(JSON.stringify(columns)) as Parameters<typeof fromColumns>[0];
const there = (rows: readonly object[]) => fromColumns(asSent(toColumns(rows)));

const movement = record({
  element: constantFrom('brick 1x2|chalk', 'tile 1x4|soot', 'plate 2x2|fern'),
  qty: integer({ min: 1, max: 9 }),
  worth: oneof(constant(null), integer({ min: 0, max: 500 })),
});
/** Rows as records are: some fields are always empty, some say few things, some hold rows themselves. */
const rows = array(
  record({
    id: string(),
    kind: constantFrom('add', 'remove'),
    whatIf: constant(null),
    zone: oneof({ weight: 9, arbitrary: constant(null) }, { weight: 1, arbitrary: string() }),
    hidden: constantFrom(false, true),
    movements: array(movement, { maxLength: 3 }),
    spans: array(tuple(integer(), integer()), { maxLength: 2 }),
    // What JSON has no word for, as -0, is in no record.
    anything: jsonValue().map((v) => JSON.parse(JSON.stringify(v)) as unknown),
  }),
  { minLength: 1, maxLength: 40 },
);

describe('rows sent as columns', () => {
  it('come out as they went in, whatever they say', () => {
    always(
      property(rows, (list) => {
        expect(there(list)).toEqual(list);
      }),
      { numRuns: 300 },
    );
  });

  it('say once what all have alike, and what is said often by its place', () => {
    const list = Array.from({ length: 8 }, (_, i) => ({
      id: `e${i}`,
      note: '',
      kind: i % 2 ? 'add' : 'off',
    }));
    expect(toColumns(list)).toEqual({
      count: 8,
      like: list[0],
      columns: [
        { field: 'id', values: list.map((r) => r.id) },
        { field: 'kind', said: ['off', 'add'], at: [0, 1, 0, 1, 0, 1, 0, 1] },
      ],
    });
  });

  it('hold rows of their own as columns too, of lengths that differ', () => {
    const of = (n: number) => Array.from({ length: n }, (_, qty) => ({ element: 'brick', qty }));
    const list = [{ movements: of(2) }, { movements: [] }, { movements: of(3) }];
    expect(toColumns(list)?.columns).toMatchObject([{ field: 'movements', lengths: [2, 0, 3] }]);
    expect(there(list)).toEqual(list);
    // Of which some say more than others: as they are.
    const unlike = [{ movements: of(1) }, { movements: [{ element: 'tile' }] }];
    expect(toColumns(unlike)?.columns).toEqual([
      { field: 'movements', values: unlike.map((r) => r.movements) },
    ]);
    expect(there(unlike)).toEqual(unlike);
  });

  it('are of rows with the same fields, in whatever order, and of no others', () => {
    expect(
      there([
        { a: 1, b: null },
        { b: 2, a: 3 },
      ]),
    ).toEqual([
      { a: 1, b: null },
      { b: 2, a: 3 },
    ]);
    expect(toColumns([{ a: 1 }, { a: 1, b: 2 }])).toBeNull();
    expect(toColumns([{ a: 1, b: 2 }, { a: 1 }])).toBeNull();
    expect(toColumns([{ a: 1 }, { b: 1 }])).toBeNull();
    // JSON leaves it out.
    expect(toColumns([{ a: 1 }, { a: undefined }])).toBeNull();
    expect(toColumns([])).toBeNull();
  });

  it('may each be changed without the others', () => {
    const [first, second] = there([
      { qty: 1, note: '' },
      { qty: 1, note: '' },
    ]);
    first!.qty = 5;
    expect(second).toEqual({ qty: 1, note: '' });
  });
});
