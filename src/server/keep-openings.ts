import type { BuildId } from '@/core/shared/ids';
import { stepsSince } from '@/data/actions';
import type { Handle } from '@/data/database';
import type { OpeningTask, PackedOpening } from '@/workers/opening/thread';
import { workspaceName } from './steps';
import { runOnce } from './threads/run-once';

/** Long builds whose openings are kept, and how far behind one may be: its page catches up step by step. */
const MOST = 4;
const MOST_STEPS = 300;
const LIMITS = { seconds: 60, heapMb: 1024 };

interface KeptOpening {
  readonly workspace: string;
  readonly revision: number;
  readonly packed: Uint8Array;
}

/** Kept by the process: every route is bundled apart. */
const held = globalThis as {
  evarnOpenings?: Map<BuildId, KeptOpening>;
  evarnOpeningRuns?: Map<string, Promise<PackedOpening>>;
};
const openings = (held.evarnOpenings ??= new Map<BuildId, KeptOpening>());
const runs = (held.evarnOpeningRuns ??= new Map<string, Promise<PackedOpening>>());

/**
 * What the page of a build with a long log opens with, packed: read in a thread, since it takes longer than others should
 * wait, and kept as long as nothing was done to the build. Null where there is no such build.
 */
export async function packedOpening(handle: Handle, build: BuildId): Promise<Uint8Array | null> {
  const kept = openings.get(build);
  if (kept && isGood(handle, build, kept)) return kept.packed;
  openings.delete(build);
  const workspace = workspaceName(handle);
  const key = `${workspace} ${build}`;
  const run = runs.get(key) ?? read({ file: handle.file, build, workspace });
  runs.set(key, run);
  const found = await run.finally(() => runs.delete(key));
  if (!found) return null;
  openings.set(build, { workspace, ...found });
  const oldest = openings.keys().next().value;
  if (openings.size > MOST && oldest !== undefined) openings.delete(oldest);
  return found.packed;
}

/** True while a page that is given it would miss nothing of its build, and can be told the rest step by step. */
function isGood(handle: Handle, build: BuildId, { workspace, revision }: KeptOpening): boolean {
  if (workspace !== workspaceName(handle)) return false;
  const steps = stepsSince(handle.db, revision);
  return steps !== null && steps.length <= MOST_STEPS && steps.every((s) => !s.scopes.includes(build));
}

async function read(task: OpeningTask): Promise<PackedOpening> {
  const ran = await runOnce<{ answer: PackedOpening }>('opening', task, LIMITS);
  if (ran.ended !== 'answer') throw new Error(`a build could not be read: ${ran.ended}`);
  return ran.value.answer;
}
