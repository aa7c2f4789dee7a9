import type { TypedRecord } from '../ledger';
import { fromColumns, toColumns, type Columns } from '../shared/columns';
import type { News } from './caught-up';

/** Records to a line: what is read of one at a time takes a few milliseconds. */
const TO_A_LINE = 500;

/** What has records: a snapshot, with or without the name of its workspace. */
interface WithRecords {
  readonly records: readonly TypedRecord[];
}

/**
 * A snapshot as lines of JSON: the first is the snapshot without its records, as the answer to a request; each line after
 * it is some of these, in their order. Whoever reads it can stop between the lines.
 *
 * @example snapshotLines(snapshot).join('\n')
 */
export function snapshotLines(snapshot: WithRecords): string[] {
  const { records } = snapshot;
  const lines = [JSON.stringify({ ok: true, value: { ...snapshot, records: [] } })];
  for (const some of togetherOf(records)) lines.push(JSON.stringify(lineOf(some)));
  return lines;
}

/** Records of a line: as columns where they have the same fields, as nearly all have, else one by one. */
export type RecordLine =
  { readonly type: TypedRecord['type']; readonly columns: Columns } | readonly TypedRecord[];

function lineOf(some: readonly TypedRecord[]): RecordLine {
  const columns = toColumns(some.map((r) => r.record));
  return columns ? { type: some[0]!.type, columns } : some;
}

/**
 * The records of a line of a snapshot, as it was read.
 *
 * @example recordsOfLine(JSON.parse(snapshotLines(snapshot)[1]))
 */
export const recordsOfLine = (line: RecordLine): readonly TypedRecord[] =>
  'columns' in line
    ? fromColumns(line.columns).map((record) => ({ type: line.type, record }) as unknown as TypedRecord)
    : line;

/** Records of one type that follow one another, as many as go into a line. */
function* togetherOf(records: readonly TypedRecord[]): Generator<readonly TypedRecord[]> {
  for (let from = 0, to = 0; from < records.length; from = to) {
    while (to < records.length && to - from < TO_A_LINE && records[to]!.type === records[from]!.type) to++;
    yield records.slice(from, to);
  }
}

/**
 * One more line after those of a snapshot: what was done since it was taken.
 *
 * @example [...snapshotLines(snapshot), newsLine(news)].join('\n')
 */
export const newsLine = (news: News): string => JSON.stringify({ news });
