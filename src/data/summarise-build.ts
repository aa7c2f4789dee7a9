import { Books, openPlaceholders, placeOf } from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import type { BuildId } from '@/core/shared/ids';
import type { SummarisedBuild } from './build-summaries';
import type { Database } from './database';
import { readRecords } from './records';

/** To be raised whenever a figure of the summary comes to mean something else. */
const SUMMARY_VERSION = 6;

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

/** True while a kept summary is of the build as it is, in today's meaning. */
export const isGoodSummary = (b: Pick<SummarisedBuild, 'isFresh' | 'summary'>): boolean =>
  b.isFresh && (b.summary as Partial<BuildSummary>).version === SUMMARY_VERSION;

/** A build's figures, from its own records alone: nothing in them depends on prices or on what others have. */
export function summariseBuild(db: Database, id: BuildId): BuildSummary {
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
