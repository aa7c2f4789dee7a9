import {
  added,
  ENTRY_KINDS,
  joinDiffs,
  offPieces,
  onPieces,
  type Command,
  type Modification,
  type Source,
} from '../ledger';
import { elementName } from '../parts';
import { cutText } from '../shared/text';
import type { ModificationId, ZoneId } from '../shared/ids';
import { logLine } from './entry-commands';
import { newModification } from './modification-commands';
import type { LineReading } from './read-line';
import type { Workbench } from './workbench';

const LONGEST = 80;

/** A modification that a line could begin: it counts for nothing until its line is logged. */
export const draftModification = (workbench: Workbench, zone: ZoneId | null, source: Source): Modification =>
  newModification(workbench, 'New modification', zone ?? workbench.rootZone.id, source, null);

/**
 * Logs a line that was read for a modification which is not there yet, and begins that with it, named from what the line
 * does: one step that one undo takes back.
 */
export function beginWithLine(
  workbench: Workbench,
  draft: Modification,
  reading: LineReading,
  line: string,
  source: Source,
): Command & { readonly id: ModificationId } {
  const logged = logLine(workbench, reading, line, source);
  const begun = { ...draft, title: titleOf(reading) ?? cutText(line.trim(), LONGEST) };
  return { id: draft.id, label: logged.label, diff: joinDiffs(added('modification', begun), logged.diff) };
}

/** "4 brick 1x2 ash added", "18 brick 1x2 slate recoloured and more": what the first clause of a line does. */
function titleOf(reading: LineReading): string | undefined {
  const [first, ...more] = reading.clauses.flatMap((c) => c.entry ?? []);
  const [on, off] = first ? [onPieces(first)[0], offPieces(first)[0]] : [];
  const main = on ?? off;
  if (!first || !main) return undefined;
  const what = `${main.qty} ${elementName(main.element)} ${ENTRY_KINDS[first.kind].label}`;
  return cutText(more.length > 0 ? `${what} and more` : what, LONGEST);
}
