'use client';

import {
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type Row,
  type RowSelectionState,
  type SortingState,
} from '@tanstack/react-table';
import clsx from 'clsx';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useMemo, useState, type ReactNode } from 'react';
import { Button } from './button';
import { count } from './numbers';

/** A column of a table: what a cell shows, and what it is sorted by. */
export interface TableColumn<T> {
  readonly id: string;
  readonly words: string;
  readonly cell: (row: T) => ReactNode;
  /** Null sorts last, whichever way. */
  readonly by: (row: T) => string | number | null;
  readonly isNumber?: boolean;
}

interface DataTableProps<T> {
  readonly label: string;
  readonly columns: readonly TableColumn<T>[];
  readonly rows: readonly T[];
  readonly idOf: (row: T) => string;
  /** The column it is sorted by at first, the largest or last first. */
  readonly first: { readonly id: string; readonly down: boolean };
  readonly empty: string;
  /** Where rows can be chosen: their ids, and what each is called. */
  readonly chosen?: ReadonlySet<string>;
  readonly onChoose?: (ids: ReadonlySet<string>) => void;
  readonly nameOf?: (row: T) => string;
}

/** Rows that a table shows at first: the rest one press away. */
const MOST_ROWS = 100;

/** A table whose headings sort it, by mouse and by keys; a column says to a screen reader which way it is sorted. */
export function DataTable<T>(props: DataTableProps<T>) {
  const { label, columns, rows, idOf, first, empty, chosen, onChoose, nameOf } = props;
  const [sorting, setSorting] = useState<SortingState>([{ id: first.id, desc: first.down }]);
  const [shown, setShown] = useState(MOST_ROWS);
  const defs = useMemo(() => columns.map(columnDef), [columns]);
  const data = useMemo(() => [...rows], [rows]);
  const selection: RowSelectionState = useMemo(
    () => Object.fromEntries([...(chosen ?? [])].map((id) => [id, true])),
    [chosen],
  );
  const table = useReactTable({
    data,
    columns: defs,
    getRowId: idOf,
    state: { sorting, rowSelection: selection },
    onSortingChange: setSorting,
    onRowSelectionChange: (change) => {
      const next = typeof change === 'function' ? change(selection) : change;
      onChoose?.(new Set(Object.keys(next).filter((id) => next[id])));
    },
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  if (rows.length === 0) return <p className="text-soft py-3">{empty}</p>;
  const sorted = table.getSortedRowModel().rows;
  return (
    <>
      <table aria-label={label} className="w-full">
        <thead>
          <tr className="border-ink text-faint border-b text-[12px]">
            {onChoose && (
              <th scope="col" className="w-8 py-1 text-left">
                <input
                  type="checkbox"
                  className="size-4"
                  aria-label={`Choose all of ${label}`}
                  checked={table.getIsAllRowsSelected()}
                  onChange={table.getToggleAllRowsSelectedHandler()}
                />
              </th>
            )}
            {table.getFlatHeaders().map((header) => {
              const column = columns.find((c) => c.id === header.id);
              const way = header.column.getIsSorted();
              return (
                <th
                  key={header.id}
                  scope="col"
                  aria-sort={way ? (way === 'asc' ? 'ascending' : 'descending') : 'none'}
                  className={clsx('py-0.5 font-normal', column?.isNumber ? 'text-right' : 'text-left')}
                >
                  <button
                    type="button"
                    onClick={header.column.getToggleSortingHandler()}
                    className="hover:text-ink inline-flex min-h-7 items-center gap-1 px-1"
                  >
                    {column?.words}
                    {way === 'asc' && <ArrowUp size={12} aria-hidden />}
                    {way === 'desc' && <ArrowDown size={12} aria-hidden />}
                  </button>
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          {sorted.slice(0, shown).map((row) => (
            <tr key={row.id} className="border-rule border-b">
              {onChoose && (
                <td className="w-8">
                  <input
                    type="checkbox"
                    className="size-4"
                    aria-label={`Choose ${nameOf?.(row.original) ?? row.id}`}
                    checked={row.getIsSelected()}
                    onChange={row.getToggleSelectedHandler()}
                  />
                </td>
              )}
              {row.getVisibleCells().map((cell) => (
                <td
                  key={cell.id}
                  className={clsx(
                    'min-h-9 px-1 py-1',
                    columns.find((c) => c.id === cell.column.id)?.isNumber && 'text-right tabular-nums',
                  )}
                >
                  {flexRender(cell.column.columnDef.cell, cell.getContext())}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {sorted.length > shown && (
        <Button look="bare" className="text-soft mt-1" onClick={() => setShown(shown + 5 * MOST_ROWS)}>
          Show {count(Math.min(sorted.length - shown, 5 * MOST_ROWS))} more of {count(sorted.length)}
        </Button>
      )}
    </>
  );
}

function columnDef<T>(column: TableColumn<T>): ColumnDef<T> {
  return {
    id: column.id,
    accessorFn: (row: T) => column.by(row) ?? undefined,
    cell: ({ row }: { row: Row<T> }) => column.cell(row.original),
    sortUndefined: 'last',
    sortDescFirst: column.isNumber ?? false,
    sortingFn: (a, b, id) => {
      const [x, y] = [a.getValue<string | number>(id), b.getValue<string | number>(id)];
      return typeof x === 'number' && typeof y === 'number'
        ? x - y
        : String(x).localeCompare(String(y), 'en', { numeric: true });
    },
  };
}
