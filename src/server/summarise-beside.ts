import type { Handle } from '@/data/database';
import { writeSummary, type SummarisedBuild } from '@/data/build-summaries';
import type { FoundSummary, SummaryTask } from '@/workers/summary/thread';
import { runOnce } from './threads/run-once';

const LIMITS = { seconds: 60, heapMb: 1024 };

/** What is being worked out, and what could not be: kept by the process, since every route is bundled apart. */
const held = globalThis as { evarnSummaries?: { readonly runs: Set<string>; readonly failed: Set<string> } };
const { runs, failed } = (held.evarnSummaries ??= { runs: new Set<string>(), failed: new Set<string>() });

/**
 * Works out in a thread what a build comes to, and keeps it: a long log takes longer than others should wait. Once, however
 * often it is asked for meanwhile. False where no thread can do it: then it is to be done here.
 */
export function summariseBeside(handle: Handle, { build, position }: SummarisedBuild): boolean {
  const key = `${handle.file} ${build.id}`;
  if (failed.has(`${key} ${position}`)) return false;
  if (runs.has(key)) return true;
  runs.add(key);
  const task: SummaryTask = { file: handle.file, build: build.id };
  void runOnce<{ answer: FoundSummary }>('summary', task, LIMITS)
    .then((ran) => {
      if (ran.ended !== 'answer') failed.add(`${key} ${position}`);
      // Another workspace may have taken this one's place meanwhile.
      else if (ran.value.answer && handle.sqlite.open)
        writeSummary(handle.db, build.id, ran.value.answer.position, ran.value.answer.summary);
    })
    .catch(() => failed.add(`${key} ${position}`))
    .finally(() => runs.delete(key));
  return true;
}
