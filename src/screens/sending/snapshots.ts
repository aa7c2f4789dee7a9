import {
  caughtUp,
  openInSlices,
  recordsOfLine,
  withKnowledge,
  type BuildSnapshot,
  type News,
  type RecordLine,
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
  for await (const line of linesOf<Said | RecordLine | { news: News }>(body)) {
    if ('ok' in line) first = line;
    else if ('news' in line) news = line.news;
    else records.push(...recordsOfLine(line));
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

/** What a page that had nothing yet of a build has of it then. */
export interface OpenedBuild {
  readonly snapshot: BuildSnapshot;
  readonly workbench: Workbench;
}

/**
 * The same for a page that has nothing yet. Without the network it takes what was kept of the build in the browser. What
 * the whole workspace knows and has is still to be learnt.
 */
export async function askOwnOpening(build: BuildId): Promise<OpenedBuild | undefined> {
  const own = await askOwn(build);
  return own && opened(own);
}

/**
 * The same with what the whole workspace knows and has, where that can be had too: what is drawn of a long log needs nearly
 * all of it, and is drawn once, and not once more when the prices come.
 */
export async function askOpening(build: BuildId): Promise<OpenedBuild | undefined> {
  const [own, early] = await Promise.all([askOwn(build), askAround(build)]);
  if (!own) return undefined;
  // Asked for beside the build, they may have been answered before something that the build has already.
  const around = early && !isSince(early, own.revision) ? ((await askAround(build)) ?? early) : early;
  return opened(around ? withKnowledge(own, around.knowledge, around.surroundings) : own);
}

const askOwn = (build: BuildId) => had(() => fetch(openingPaths(build).snapshot), readLines);

const opened = async (snapshot: BuildSnapshot): Promise<OpenedBuild> => ({
  snapshot,
  workbench: await openInSlices(snapshot, turns()),
});
