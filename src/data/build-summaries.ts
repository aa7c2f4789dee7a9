import { sql } from 'drizzle-orm';
import type { Build } from '@/core/ledger';
import type { Database } from './database';
import { buildSummaries } from './schema';

/** A build with its kept summary, if it has one, and whether that is of today. */
export interface SummarisedBuild {
  readonly build: Build;
  readonly summary: unknown;
  readonly isFresh: boolean;
  /** The last step in its undo list: what a summary made now takes in. */
  readonly position: number;
}

interface Row {
  readonly id: Build['id'];
  readonly name: string;
  readonly note: string;
  readonly created_at: string;
  readonly archived: number;
  readonly summary: string | null;
  readonly position: number | null;
  readonly now: number | null;
}

const WITH_SUMMARY = sql`
    select b.id, b.name, b.note, b.created_at, b.archived, s.summary, s.position,
      (select max(position) from action_scopes where scope = b.id) as now
    from builds b left join build_summaries s on s.build = b.id`;

/** All builds with their kept summaries, newest first. */
export const readSummaries = (db: Database): SummarisedBuild[] =>
  db.all<Row>(sql`${WITH_SUMMARY} order by b.created_at desc, b.id`).map(summarised);

/** One build with its kept summary. */
export const readSummary = (db: Database, build: Build['id']): SummarisedBuild | undefined =>
  db.all<Row>(sql`${WITH_SUMMARY} where b.id = ${build}`).map(summarised)[0];

function summarised(r: Row): SummarisedBuild {
  return {
    build: {
      id: r.id,
      name: r.name,
      note: r.note,
      createdAt: r.created_at,
      archived: r.archived === 1,
    },
    summary: r.summary === null ? null : (JSON.parse(r.summary) as unknown),
    isFresh: r.summary !== null && r.position === (r.now ?? 0),
    position: r.now ?? 0,
  };
}

/** Forgets all summaries, where they may be somebody else's work: they are made anew. */
export const forgetSummaries = (db: Database): void => {
  db.delete(buildSummaries).run();
};

/** Keeps a build's summary in place of the one before. */
export function writeSummary(db: Database, build: string, position: number, summary: unknown): void {
  db.insert(buildSummaries)
    .values({ build, position, summary })
    .onConflictDoUpdate({ target: buildSummaries.build, set: { position, summary } })
    .run();
}
