import type { ListTable } from '../formats';

/** A list that can be saved for another program, or printed. */
export interface List<On> {
  readonly title: string;
  readonly table: (on: On) => ListTable;
  /** The columns that are printed, where a page is too narrow for all. */
  readonly printed?: readonly string[];
  /** True where the printed page has a box to tick before each row. */
  readonly ticked?: boolean;
}

/**
 * Some columns of a table, in their order. A name that it has not is left out.
 *
 * columnsOf({ heading: ['a', 'b'], rows: [[1, 2]] }, ['b']) = { heading: ['b'], rows: [[2]] }
 */
export function columnsOf(table: ListTable, names: readonly string[]): ListTable {
  const at = names.map((n) => table.heading.indexOf(n)).filter((i) => i >= 0);
  return {
    heading: at.map((i) => table.heading[i]!),
    rows: table.rows.map((r) => at.map((i) => r[i] ?? '')),
  };
}

/** A list as it is printed: without the columns that do not fit, and without those in which nothing stands. */
export function printedTable<On>(list: List<On>, on: On): ListTable {
  const whole = list.table(on);
  const table = list.printed ? columnsOf(whole, list.printed) : whole;
  const filled = table.heading.filter((_, i) => table.rows.some((r) => r[i] !== '' && r[i] !== undefined));
  return table.rows.length === 0 ? table : columnsOf(table, filled);
}
