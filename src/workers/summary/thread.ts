import Sqlite from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { parentPort, workerData } from 'node:worker_threads';
import type { BuildId } from '@/core/shared/ids';
import { readSummary } from '@/data/build-summaries';
import * as schema from '@/data/schema';
import { summariseBuild, type BuildSummary } from '@/data/summarise-build';

/** A build whose figures are to be worked out, in a file that this thread only reads. */
export interface SummaryTask {
  readonly file: string;
  readonly build: BuildId;
}

/** What the build comes to, as it was at the last step of its undo list; null where there is no such build. */
export type FoundSummary = { readonly position: number; readonly summary: BuildSummary } | null;

const { file, build } = workerData as SummaryTask;
const sqlite = new Sqlite(file, { readonly: true });
const db = drizzle(sqlite, { schema, casing: 'snake_case' });
// One transaction, so that the figures are of that step.
const answer: FoundSummary = sqlite.transaction(() => {
  const found = readSummary(db, build);
  return found ? { position: found.position, summary: summariseBuild(db, build) } : null;
})();
sqlite.close();
parentPort?.postMessage({ answer });
