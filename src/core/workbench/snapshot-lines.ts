import type { TypedRecord } from '../ledger';
import type { News } from './caught-up';

/** Records to a line: what is read of one at a time takes a few milliseconds. */
const TO_A_LINE = 500;

/** What has records: a snapshot, with or without the name of its workspace. */
interface WithRecords {
  readonly records: readonly TypedRecord[];
}

/**
 * A snapshot as lines of JSON: the first is the snapshot without its records, as the answer to a request; each line after
 * it is a list of some of these, in their order. Whoever reads it can stop between the lines.
 *
 * @example snapshotLines(snapshot).join('\n')
 */
export function snapshotLines(snapshot: WithRecords): string[] {
  const { records } = snapshot;
  const lines = [JSON.stringify({ ok: true, value: { ...snapshot, records: [] } })];
  for (let at = 0; at < records.length; at += TO_A_LINE)
    lines.push(JSON.stringify(records.slice(at, at + TO_A_LINE)));
  return lines;
}

/**
 * One more line after those of a snapshot: what was done since it was taken.
 *
 * @example [...snapshotLines(snapshot), newsLine(news)].join('\n')
 */
export const newsLine = (news: News): string => JSON.stringify({ news });
