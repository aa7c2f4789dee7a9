/** Signs that open a clause, as they are typed and as other programs write them. */
const OPENS = /^[-+~%>?!*^=−–—]/;

/** The heading of the column that holds each entry's line, where entries were copied as cells. */
export const LINE_COLUMN = 'log line';

/**
 * A pasted block of lines as one log line, each line a clause that keeps to itself: `12 brick 1x4 ash` without a sign
 * puts pieces on. Cells of a spreadsheet are read as words; where entries were copied as cells, the line among them is
 * taken. Empty lines are left out.
 *
 * lineOfBlock('-2 plate 2x3 chalk\n12x brick 1x4 ash') = '-2 plate 2x3 chalk; +12x brick 1x4 ash'
 */
export const lineOfBlock = (block: string): string =>
  linesOf(block.split(/\r\n|\r|\n/))
    .map((l) =>
      l
        .replace(/\s+/g, ' ')
        .replace(/[;,]\s*$/, '')
        .trim(),
    )
    .filter(Boolean)
    .map((l) => (OPENS.test(l) ? l : `+${l}`))
    .join('; ');

function linesOf(rows: readonly string[]): string[] {
  const cells = (row: string) => row.split('\t').map((c) => c.trim());
  const heading = cells(rows.find((r) => r.trim()) ?? '');
  const at = heading.indexOf(LINE_COLUMN);
  if (at < 0) return [...rows];
  // An apostrophe before a sign keeps a spreadsheet from reckoning with it.
  return rows.map((r) => (cells(r)[at] ?? '').replace(/^'/, '')).filter((l) => l !== LINE_COLUMN);
}
