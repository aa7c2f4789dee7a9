import Sqlite from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { parentPort, workerData } from 'node:worker_threads';
import { snapshotLines } from '@/core/workbench';
import type { BuildId } from '@/core/shared/ids';
import * as schema from '@/data/schema';
import { readOpening } from '@/data/openings';
import { openGzip, type OpenGzip } from './open-gzip';

/** A build whose page is to be opened, in a file that this thread only reads. */
export interface OpeningTask {
  readonly file: string;
  readonly build: BuildId;
  /** The name of the opened workspace, which the server has given. */
  readonly workspace: string;
}

/** What the page opens with, in lines, packed so that more of them can follow; null where there is no such build. */
export type PackedOpening = { readonly revision: number; readonly lines: OpenGzip } | null;

const { file, build, workspace } = workerData as OpeningTask;
const sqlite = new Sqlite(file, { readonly: true });
const db = drizzle(sqlite, { schema, casing: 'snake_case' });
// One transaction, so that all of it is of one revision.
const opening = sqlite.transaction(() => readOpening(db, build))();
sqlite.close();
const value = opening && { workspace, ...opening };
const answer: PackedOpening = value
  ? { revision: value.revision, lines: openGzip(snapshotLines(value).join('\n')) }
  : null;
parentPort?.postMessage({ answer });
