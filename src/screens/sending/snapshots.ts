import {
  caughtUp,
  openInSlices,
  withKnowledge,
  type BuildSnapshot,
  type News,
  type Workbench,
} from '@/core/workbench';
import type { BuildId } from '@/core/shared/ids';
import type { TypedRecord } from '@/core/ledger';
import type { Result } from '@/core/shared/result';
import { had, TAKES_PACKED, unpacked } from './answers';
import { askAround, isSince } from './around';
import { linesOf } from './lines-of';
import { openingPaths } from './opening-paths';
import { turns } from './turns';

/**
 * Asks for what a build opens with; undefined when it could not be had. That of a long log comes in lines, which are read
 * one by one: the page goes on answering meanwhile.
 */
export const askSnapshot = (build: BuildId): Promise<BuildSnapshot | undefined> =>
  had(() => fetch(`/api/builds/${build}/snapshot`, { headers: TAKES_PACKED }), readLines);

type Said = Result<BuildSnapshot, unknown>;

async function readLines(response: Response): Promise<Said> {
  const { body } = unpacked(response);
  if (!body) return (await response.json()) as Said;
  const pause = turns();
  const records: TypedRecord[] = [];
  let first: Said | undefined;
  let news: News | undefined;
  for await (const line of linesOf<Said | TypedRecord[] | { news: News }>(body)) {
    if (Array.isArray(line)) records.push(...line);
    else if ('news' in line) news = line.news;
    else first = line;
    await pause();
  }
  if (!first) throw new SyntaxError('an answer without a line');
  if (!first.ok || records.length === 0) return first;
  const read = { ...first.value, records };
  return { ok: true, value: news ? caughtUp(read, news) : read };
}

/** Asks for a build and opens its books, in turns with whatever else the page has to do. */
export async function askBench(build: BuildId): Promise<Workbench | undefined> {
  const snapshot = await askSnapshot(build);
  return snapshot && openInSlices(snapshot, turns());
}

/**
 * The same for a page that has nothing yet, with what the whole workspace knows and has where that can be had too: a long
 * log is drawn once, and not once more when the prices come. Without the network it takes what was kept of the build in
 * the browser.
 */
export async function askOpening(
  build: BuildId,
): Promise<{ readonly snapshot: BuildSnapshot; readonly workbench: Workbench } | undefined> {
  const [own, early] = await Promise.all([
    had(() => fetch(openingPaths(build).snapshot), readLines),
    askAround(build),
  ]);
  if (!own) return undefined;
  // Asked for beside the build, they may have been answered before something that the build has already.
  const around = early && !isSince(early, own.revision) ? ((await askAround(build)) ?? early) : early;
  const snapshot = around ? withKnowledge(own, around.knowledge, around.surroundings) : own;
  return { snapshot, workbench: await openInSlices(snapshot, turns()) };
}
