import { RECORD_TYPES, type Claim, type RecordType, type TypedRecord } from '@/core/ledger';
import type { BuildSnapshot, Surroundings } from '@/core/workbench';
import type { ElementKey } from '@/core/parts';
import type { BuildId } from '@/core/shared/ids';
import { claimsIn, orderOfBuilds } from '@/core/stock';
import { currentRevision, undoTargets } from './actions';
import { balancesElsewhere } from './balances';
import type { Database } from './database';
import { stockClaims } from './own-parts';
import { readById, readRecord, readRecords } from './records';

/** A build's bench as it lies in the file: all but the name of the opened workspace. */
export type Opened = Omit<BuildSnapshot, 'workspace'>;

/** Everything a build's bench needs, or undefined when there is no such build. */
export function readWhole(db: Database, build: BuildId): Opened | undefined {
  if (!readRecord(db, 'build', build)) return undefined;
  const records = RECORD_TYPES.flatMap((type) =>
    readRecords(db, type, build).map((record) => ({ type, record }) as TypedRecord),
  );
  return { ...snapshotOf(db, build, records), ...readSurroundings(db, build), complete: true };
}

/** Types that a page does not open with: they are asked for when they are looked for. */
const LATER: readonly RecordType[] = ['price', 'madeIn', 'columnMemory'];

/**
 * What a page opens a build's bench with: its own records, and of prices, years and own parts only those of elements that
 * it has, or that `widen` makes of these. The rest, which grows with the collection and not with the build, the page asks
 * for once it is there.
 */
export function readOpening(db: Database, build: BuildId, widen = asTheyAre): Opened | undefined {
  if (!readRecord(db, 'build', build)) return undefined;
  const records = RECORD_TYPES.filter((t) => !LATER.includes(t)).flatMap((type) =>
    readRecords(db, type, build).map((record) => ({ type, record }) as TypedRecord),
  );
  const own = widen(elementsIn(records));
  const known: TypedRecord[] = [
    ...readById(db, 'price', own).map((record) => ({ type: 'price', record }) as const),
    ...readById(db, 'madeIn', own).map((record) => ({ type: 'madeIn', record }) as const),
  ];
  return {
    ...snapshotOf(db, build, [...records, ...known]),
    ...readSurroundings(db, build, own),
    complete: false,
  };
}

const asTheyAre = (elements: readonly ElementKey[]): readonly ElementKey[] => elements;

function elementsIn(records: readonly TypedRecord[]): ElementKey[] {
  const own = new Set<ElementKey>();
  for (const { record } of records) {
    if ('movements' in record) for (const m of record.movements) own.add(m.element);
    if ('lots' in record) for (const l of record.lots) own.add(l.element);
    if ('element' in record) own.add(record.element);
    if ('standsFor' in record && record.standsFor) own.add(record.standsFor);
  }
  return [...own];
}

const snapshotOf = (db: Database, build: BuildId, records: readonly TypedRecord[]) => ({
  revision: currentRevision(db),
  build,
  records,
  undoRedo: undoTargets(db, build),
});

/** What other builds and own parts leave a build. */
export function readSurroundings(db: Database, build: BuildId, elements?: readonly string[]): Surroundings {
  const claims = claimsAhead(db, build);
  const own = elements && new Set(elements);
  return {
    surroundings: balancesElsewhere(db, build, 'done', elements),
    plannedElsewhere: balancesElsewhere(db, build, 'planned', elements),
    claims: own ? claims.filter((c) => own.has(c.element)) : claims,
  };
}

/** Builds in the order in which they have own parts, and what their plans take. */
export function stockOrder(db: Database) {
  const ranks = new Map(readRecords(db, 'claimRank').map((r) => [r.id, r.rank]));
  const builds = orderOfBuilds(readRecords(db, 'build'), (b) => ranks.get(b));
  return { builds, claims: stockClaims(db) };
}

function claimsAhead(db: Database, build: BuildId): Claim[] {
  const { builds, claims } = stockOrder(db);
  return claimsIn(
    claims,
    builds.map((b) => b.id),
    build,
  );
}
