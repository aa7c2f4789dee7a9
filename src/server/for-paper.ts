import type { ListTable } from '@/core/formats';

/** Rows that a printed page has at most: about eighty sheets. Its files have all. */
const MOST_ROWS = 3000;

/** What of a list goes on paper, and how many rows are left out of it. */
export const forPaper = (table: ListTable): { readonly table: ListTable; readonly leftOut: number } => ({
  table: { heading: table.heading, rows: table.rows.slice(0, MOST_ROWS) },
  leftOut: Math.max(0, table.rows.length - MOST_ROWS),
});
