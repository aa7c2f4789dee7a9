import { intentOf, offPieces, onPieces, type Entry, type Pieces } from '../ledger';
import { LINE_COLUMN, printIntent, type PrintContext } from '../log-line';
import { elementName } from '../parts';

/** Marked entries as they leave for the clipboard. */
export interface CopiedEntries {
  /** A line for each entry; the log line takes them back, pasted as a block. */
  readonly lines: string;
  /** The same as cells, for a spreadsheet. The last column is the line. */
  readonly heading: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

const HEADING = ['off', 'off part', 'on', 'on part', 'state', 'why', 'note', LINE_COLUMN] as const;

/**
 * Entries as lines and as cells. What nobody types (boxes unpacked, orders, what was put away) has no line and is left
 * out.
 *
 * copiedEntries([2 plates off], context).lines = '-2 plate 2x3 chalk'
 */
export function copiedEntries(entries: readonly Entry[], context: PrintContext): CopiedEntries {
  const rows = entries.flatMap((e) => {
    const intent = intentOf(e);
    if (!intent) return [];
    const [off, on] = [offPieces(e), onPieces(e)];
    const line = printIntent(intent, context);
    return [[sum(off), names(off), sum(on), names(on), e.state, e.why ?? '', e.note, line]];
  });
  return { lines: rows.map((r) => r.at(-1)).join('\n'), heading: HEADING, rows };
}

const sum = (pieces: readonly Pieces[]) => pieces.reduce((s, p) => s + p.qty, 0) || '';
const names = (pieces: readonly Pieces[]) => pieces.map((p) => elementName(p.element)).join(' + ');
