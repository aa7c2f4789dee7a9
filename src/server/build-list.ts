import { Books, openPlaceholders, placeOf } from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import type { BuildId } from '@/core/shared/ids';
import { readSummaries, readSummary, writeSummary, type SummarisedBuild } from '@/data/build-summaries';
import { inTransaction, type Handle } from '@/data/database';
import { readRecords } from '@/data/records';

/** A build as the list of builds shows it. */
export interface ListedBuild {
  readonly id: BuildId;
  readonly name: string;
  readonly note: string;
  readonly archived: boolean;
  /** What its books come to; null while that is being worked out. */
  readonly figures: BuildSummary | null;
}

/** To be raised whenever a figure of the summary comes to mean something else. */
const SUMMARY_VERSION = 5;

/** What is kept of a build's books, so that a list of hundreds opens none of them. */
export interface BuildSummary {
  /** Which program's figures these are: others are worked out anew. */
  readonly version: typeof SUMMARY_VERSION;
  readonly sets: string;
  readonly onModel: number;
  readonly shipped: number;
  readonly net: number;
  readonly outOfPocket: number;
  /** Pieces paid for at a price that is not known. */
  readonly boughtUnpriced: number;
  readonly worth: number;
  /** Pieces that `worth` leaves out, having no known price. */
  readonly unpriced: number;
  readonly sparesLeft: number;
  readonly modifications: number;
  readonly planned: number;
  readonly placeholders: number;
  /** What there is most of, for the drawn state: elements on the model with their pieces. */
  readonly most: readonly (readonly [ElementKey, number])[];
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

const isGood = (b: SummarisedBuild): boolean =>
  b.isFresh && (b.summary as Partial<BuildSummary>).version === SUMMARY_VERSION;

/** What a build comes to, where that is kept and true; its books are not opened for it. */
export type ComesTo = Pick<
  BuildSummary,
  'shipped' | 'onModel' | 'net' | 'outOfPocket' | 'boughtUnpriced' | 'sparesLeft'
>;

export function keptFigures({ db }: Handle, build: BuildId): ComesTo | null {
  const kept = readSummary(db, build);
  if (!kept || !isGood(kept)) return null;
  const { shipped, onModel, net, outOfPocket, boughtUnpriced, sparesLeft } = kept.summary as BuildSummary;
  return { shipped, onModel, net, outOfPocket, boughtUnpriced, sparesLeft };
}

/** Works out what is not kept or no longer true, newest builds first, as long as there is time; one at least. */
function freshened(handle: Handle, all: readonly SummarisedBuild[]): SummarisedBuild[] {
  const until = performance.now() + WORK_MS;
  let worked = 0;
  const made: { id: BuildId; position: number; summary: BuildSummary }[] = [];
  const fresh = all.map((b): SummarisedBuild => {
    if (isGood(b)) return b;
    if (worked++ > 0 && performance.now() > until) return { ...b, summary: null };
    const summary = summaryOf(handle, b.build.id);
    made.push({ id: b.build.id, position: b.position, summary });
    return { ...b, summary, isFresh: true };
  });
  if (made.length > 0)
    inTransaction(handle, () => made.forEach((m) => writeSummary(handle.db, m.id, m.position, m.summary)));
  return fresh;
}

/** A build's figures, from its own records alone: nothing in them depends on prices or on what others have. */
function summaryOf({ db }: Handle, id: BuildId): BuildSummary {
  const entries = readRecords(db, 'entry', id);
  const modifications = readRecords(db, 'modification', id);
  const copies = readRecords(db, 'copy', id);
  const books = new Books(
    {
      build: id,
      zones: readRecords(db, 'zone', id),
      modifications,
      copies: new Map(copies.map((c) => [c.id, c])),
      orders: new Map(readRecords(db, 'order', id).map((o) => [o.id, o])),
      surroundings: [],
    },
    entries,
    { kind: 'built' },
  );
  const figures = books.figures({ of: 'build' });
  const counts = new Map<ElementKey, number>();
  for (const r of books.balances.rows((a) => placeOf(a) === 'model'))
    counts.set(r.element, (counts.get(r.element) ?? 0) + r.qty);
  const sets = copies.map((c) => `${c.setName}${c.condition === 'second-hand' ? ', second-hand' : ''}`);
  return {
    version: SUMMARY_VERSION,
    sets: [...new Set(sets)].join(' + '),
    onModel: figures.onModel,
    shipped: figures.shipped,
    net: figures.net,
    outOfPocket: figures.outOfPocket,
    worth: figures.worthIn,
    unpriced: figures.unpriced,
    boughtUnpriced: figures.boughtUnpriced,
    sparesLeft: figures.sparesLeft,
    modifications: modifications.length,
    planned: entries.filter((e) => e.state === 'planned' && e.whatIf === null).length,
    placeholders: openPlaceholders(books.entries).reduce((s, o) => s + o.qty, 0),
    most: [...counts].sort((a, b) => b[1] - a[1]).slice(0, 10),
  };
}
