import type { BuildId } from '@/core/shared/ids';
import { readSummaries, readSummary, writeSummary, type SummarisedBuild } from '@/data/build-summaries';
import { inTransaction, type Handle } from '@/data/database';
import { isGoodSummary, summariseBuild, type BuildSummary } from '@/data/summarise-build';
import { isLongLog } from './long-log';
import { summariseBeside } from './summarise-beside';

export type { BuildSummary } from '@/data/summarise-build';

/** A build as the list of builds shows it. */
export interface ListedBuild {
  readonly id: BuildId;
  readonly name: string;
  readonly note: string;
  readonly archived: boolean;
  /** What its books come to; null while that is being worked out. */
  readonly figures: BuildSummary | null;
}

/** Which builds are asked for. */
export interface BuildsQuery {
  /** Words of the name or of a set. */
  readonly find?: string;
  readonly archived?: boolean;
  readonly from?: number;
}

/** Some of the builds, and what all of them come to. */
export interface Builds {
  readonly builds: readonly ListedBuild[];
  /** How many there are that were asked for. */
  readonly found: number;
  readonly here: number;
  readonly archived: number;
  /** Over the builds that are not in the archive. */
  readonly planned: number;
  readonly placeholders: number;
  /** Builds whose figures are still being worked out; they come with the next look. */
  readonly waiting: number;
}

/** Builds on one page. */
export const BUILDS_PAGE = 12;
/** How long one look may work on figures that are not kept yet: the server has others to answer. */
const WORK_MS = 40;

/** The builds, newest first. Figures are worked out for those that changed, and kept. */
export function readBuilds(handle: Handle, query: BuildsQuery = {}): Builds {
  const { find = '', archived = false, from = 0 } = query;
  const all = freshened(handle, readSummaries(handle.db));
  const words = find.trim().toLowerCase();
  const listed = all.map(({ build, summary }): ListedBuild => {
    const { id, name, note, archived: put } = build;
    return { id, name, note, archived: put, figures: summary as BuildSummary | null };
  });
  const fits = listed.filter(
    (b) => b.archived === archived && `${b.name} ${b.figures?.sets ?? ''}`.toLowerCase().includes(words),
  );
  const here = listed.filter((b) => !b.archived);
  return {
    builds: fits.slice(from, from + BUILDS_PAGE),
    found: fits.length,
    here: here.length,
    archived: listed.length - here.length,
    planned: here.reduce((s, b) => s + (b.figures?.planned ?? 0), 0),
    placeholders: here.reduce((s, b) => s + (b.figures?.placeholders ?? 0), 0),
    waiting: listed.filter((b) => !b.figures).length,
  };
}

/** What a build comes to, where that is kept and true; its books are not opened for it. */
export type ComesTo = Pick<
  BuildSummary,
  'shipped' | 'onModel' | 'net' | 'outOfPocket' | 'boughtUnpriced' | 'sparesLeft'
>;

export function keptFigures({ db }: Handle, build: BuildId): ComesTo | null {
  const kept = readSummary(db, build);
  if (!kept || !isGoodSummary(kept)) return null;
  const { shipped, onModel, net, outOfPocket, boughtUnpriced, sparesLeft } = kept.summary as BuildSummary;
  return { shipped, onModel, net, outOfPocket, boughtUnpriced, sparesLeft };
}

/**
 * Works out what is not kept or no longer true, newest builds first, as long as there is time; one at least. What a long log comes to is
 * worked out beside the server, and there at a later look.
 */
function freshened(handle: Handle, all: readonly SummarisedBuild[]): SummarisedBuild[] {
  const until = performance.now() + WORK_MS;
  let worked = 0;
  const made: { id: BuildId; position: number; summary: BuildSummary }[] = [];
  const fresh = all.map((b): SummarisedBuild => {
    if (isGoodSummary(b)) return b;
    if (isLongLog(handle, b.build.id) && summariseBeside(handle, b)) return { ...b, summary: null };
    if (worked++ > 0 && performance.now() > until) return { ...b, summary: null };
    const summary = summariseBuild(handle.db, b.build.id);
    made.push({ id: b.build.id, position: b.position, summary });
    return { ...b, summary, isFresh: true };
  });
  if (made.length > 0)
    inTransaction(handle, () => made.forEach((m) => writeSummary(handle.db, m.id, m.position, m.summary)));
  return fresh;
}
