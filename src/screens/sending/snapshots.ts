import {
  openInSlices,
  withKnowledge,
  type BuildSnapshot,
  type Knowledge,
  type Surroundings,
  type Workbench,
} from '@/core/workbench';
import type { BuildId } from '@/core/shared/ids';
import type { TypedRecord } from '@/core/ledger';
import type { Result } from '@/core/shared/result';
import { readAnswer, TAKES_PACKED, unpacked } from './answers';
import { fetchOrAsked, openingPaths } from './asked-early';
import { linesOf } from './lines-of';
import { turns } from './turns';

/**
 * Asks for what a build opens with; undefined when it could not be had. That of a long log comes in lines, which are read
 * one by one: the page goes on answering meanwhile.
 */
export const askSnapshot = (build: BuildId): Promise<BuildSnapshot | undefined> =>
  had(() => fetch(`/api/builds/${build}/snapshot`, { headers: TAKES_PACKED }), readLines);

async function had<T>(
  ask: () => Promise<Response>,
  read?: (r: Response) => Promise<Result<T, unknown>>,
): Promise<T | undefined> {
  const said = await readAnswer<T>(ask, read);
  return said.reached && said.answer.ok ? said.answer.value : undefined;
}

type Said = Result<BuildSnapshot, unknown>;

async function readLines(response: Response): Promise<Said> {
  const { body } = unpacked(response);
  if (!body) return (await response.json()) as Said;
  const pause = turns();
  const records: TypedRecord[] = [];
  let first: Said | undefined;
  for await (const line of linesOf<Said | TypedRecord[]>(body)) {
    if (Array.isArray(line)) records.push(...line);
    else first = line;
    await pause();
  }
  if (!first) throw new SyntaxError('an answer without a line');
  if (!first.ok || records.length === 0) return first;
  return { ...first, value: { ...first.value, records } };
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
  const paths = openingPaths(build);
  const [own, knowledge, now] = await Promise.all([
    had(() => fetchOrAsked(paths.snapshot), readLines),
    had<Knowledge>(() => fetchOrAsked(paths.knowledge)),
    had<Surroundings>(() => fetchOrAsked(paths.surroundings)),
  ]);
  if (!own) return undefined;
  const snapshot = knowledge && now ? withKnowledge(own, knowledge, now) : own;
  return { snapshot, workbench: await openInSlices(snapshot, turns()) };
}
