'use client';

import { useMemo, useState } from 'react';
import { makeColour, type Colour, type ColourFamily, type Finish } from '@/core/colour';
import {
  aliasKey,
  guessColumns,
  headingKey,
  readRows,
  type ColumnRole,
  type Purpose,
  type RawTable,
  type ReadRow,
} from '@/core/formats';
import type { ColourId } from '@/core/shared/ids';

/** What the page knows when it opens. */
export interface ImportWorld {
  readonly purpose: Purpose;
  readonly build: { readonly id: string; readonly name: string } | null;
  readonly palette: readonly Colour[];
  readonly aliases: readonly (readonly [string, ColourId])[];
  readonly memories: readonly (readonly [string, readonly string[]])[];
  /** True = invented sets to try it with are offered; the demo has its own. */
  readonly samples: boolean;
  readonly catalogue: readonly {
    readonly code: string;
    readonly name: string;
    readonly maker: string;
    readonly year: number;
    readonly pieces: number;
    readonly extras: number;
  }[];
}

export interface MadeColour {
  readonly id: string;
  readonly name: string;
  readonly hex: string;
  readonly family: ColourFamily;
  readonly finish: Finish;
}

/** A table being inspected: its columns, the colours matched by hand, and the rows as they would be taken. */
export interface TableState {
  readonly table: RawTable;
  readonly title: string;
  readonly roles: readonly ColumnRole[];
  readonly remembered: boolean;
}

export function useTable(world: ImportWorld) {
  const [state, setState] = useState<TableState | null>(null);
  const [matched, setMatched] = useState<ReadonlyMap<string, ColourId>>(new Map());
  const [made, setMade] = useState<readonly MadeColour[]>([]);
  const palette = useMemo(() => [...world.palette, ...made.map(asColour)], [world.palette, made]);
  const aliases = useMemo(() => new Map([...world.aliases, ...matched]), [world.aliases, matched]);
  const rows = useMemo(
    (): readonly ReadRow[] =>
      state ? readRows(state.table, { purpose: world.purpose, roles: state.roles, palette, aliases }) : [],
    [state, world.purpose, palette, aliases],
  );
  return {
    state,
    rows,
    palette,
    matched,
    made,
    take: (table: RawTable, title: string) => {
      const kept = new Map(world.memories).get(memoryKey(world.purpose, table)) as ColumnRole[] | undefined;
      const fits = kept?.length === table.columns;
      setState({
        table,
        title,
        roles: fits ? kept : guessColumns(table, world.purpose, palette),
        remembered: fits,
      });
    },
    drop: () => setState(null),
    setRole: (column: number, role: ColumnRole) =>
      setState(
        (s) =>
          s && {
            ...s,
            remembered: false,
            roles: s.roles.map((r, i) =>
              i === column ? role : r === role && role !== 'ignore' ? 'ignore' : r,
            ),
          },
      ),
    setCell: (row: number, column: number, text: string) =>
      setState(
        (s) =>
          s && {
            ...s,
            table: {
              ...s.table,
              rows: s.table.rows.map((cells, i) => (i === row ? withCell(cells, column, text) : cells)),
            },
          },
      ),
    match: (text: string, colour: ColourId) => setMatched((m) => new Map(m).set(aliasKey(text), colour)),
    makeNew: (text: string, colour: MadeColour) => {
      setMade((m) => [...m.filter((c) => c.id !== colour.id), colour]);
      setMatched((m) => new Map(m).set(aliasKey(text), colour.id as ColourId));
    },
  };
}

export type TableTools = ReturnType<typeof useTable>;

const asColour = (c: MadeColour): Colour => ({ ...makeColour({ ...c, code: 'X' }), id: c.id as ColourId });

function withCell(cells: readonly string[], column: number, text: string): string[] {
  const next = [...cells];
  while (next.length <= column) next.push('');
  next[column] = text;
  return next;
}

/** Column layouts are remembered for each purpose apart. */
export const memoryKey = (purpose: Purpose, table: RawTable): string => `${purpose} ${headingKey(table)}`;
