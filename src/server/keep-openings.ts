import { diffOfBuild, newsLine } from '@/core/workbench';
import type { BuildId } from '@/core/shared/ids';
import { revisionOf, undoTargets } from '@/data/actions';
import type { Handle } from '@/data/database';
import { readRecord, readRecords } from '@/data/records';
import { endGzip, type OpenGzip } from '@/workers/opening/open-gzip';
import type { OpeningTask, PackedOpening } from '@/workers/opening/thread';
import { isLongLog } from './long-log';
import { stepsFrom, workspaceName } from './steps';
import { runOnce } from './threads/run-once';

/** Long builds whose openings are kept. */
const MOST = 4;
/** What was done since an opening was read goes with it, up to so many characters; from so many steps on it is read anew beside. */
const MOST_NEWS = 400_000;
const MANY_STEPS = 40;
const LIMITS = { seconds: 60, heapMb: 1024 };

interface KeptOpening {
  readonly workspace: string;
  readonly revision: number;
  readonly lines: OpenGzip;
}

/** Kept by the process: every route is bundled apart. */
const held = globalThis as {
  evarnOpenings?: Map<BuildId, KeptOpening>;
  evarnOpeningRuns?: Map<string, Promise<PackedOpening>>;
};
const openings = (held.evarnOpenings ??= new Map<BuildId, KeptOpening>());
const runs = (held.evarnOpeningRuns ??= new Map<string, Promise<PackedOpening>>());

/**
 * What the page of a build with a long log opens with, packed. It is read in a thread, since that takes longer than others
 * should wait, and kept: whoever asks later is given what was done since behind it. Null where there is no such build.
 */
export async function packedOpening(handle: Handle, build: BuildId): Promise<Uint8Array | null> {
  if (!readRecord(handle.db, 'build', build)) return null;
  const kept = openings.get(build);
  const behind = kept && newsSince(handle, build, kept);
  if (!kept || !behind) return readNow(handle, build);
  if (behind.steps > MANY_STEPS) void readNow(handle, build).catch(() => undefined);
  return endGzip(kept.lines, behind.line);
}

/** Reads the long logs that were worked on last, so that nobody who comes after a start waits for them. */
export async function readLongLogs(handle: Handle): Promise<void> {
  const long = readRecords(handle.db, 'build').filter((b) => !b.archived && isLongLog(handle, b.id));
  const since = new Map(long.map((b) => [b.id, revisionOf(handle.db, [b.id])]));
  const last = long.sort((a, b) => since.get(b.id)! - since.get(a.id)!).slice(0, MOST);
  // The one that was worked on last is the last that would be forgotten.
  for (const build of last.reverse()) await packedOpening(handle, build.id);
}

/** Reads an opening and keeps it. */
async function readNow(handle: Handle, build: BuildId): Promise<Uint8Array | null> {
  const workspace = workspaceName(handle);
  const key = `${workspace} ${build}`;
  const run = runs.get(key) ?? read({ file: handle.file, build, workspace });
  runs.set(key, run);
  const found = await run.finally(() => runs.delete(key));
  openings.delete(build);
  if (!found) return null;
  const kept = { workspace, ...found };
  openings.set(build, kept);
  const oldest = openings.keys().next().value;
  if (openings.size > MOST && oldest !== undefined) openings.delete(oldest);
  // Something may have been done while it was read.
  return endGzip(kept.lines, newsSince(handle, build, kept)?.line);
}

/** What was done since an opening was read, as a line behind its own; undefined where that cannot be told, or is too much. */
function newsSince(
  handle: Handle,
  build: BuildId,
  { workspace, revision: since }: KeptOpening,
): { readonly line: string; readonly steps: number } | undefined {
  const { workspace: now, revision, steps } = stepsFrom(handle, since);
  if (now !== workspace || !steps) return undefined;
  if (steps.length === 0) return { line: '', steps: 0 };
  // What was done elsewhere is not a build's, however much it was.
  const diffs = steps.map((s) => diffOfBuild(s.diff, build));
  const line = `\n${newsLine({ revision, undoRedo: undoTargets(handle.db, build), diffs })}`;
  return line.length > MOST_NEWS ? undefined : { line, steps: steps.length };
}

async function read(task: OpeningTask): Promise<PackedOpening> {
  const ran = await runOnce<{ answer: PackedOpening }>('opening', task, LIMITS);
  if (ran.ended !== 'answer') throw new Error(`a build could not be read: ${ran.ended}`);
  return ran.value.answer;
}
