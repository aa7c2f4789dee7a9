import {
  CLOCK_ID,
  placeOf,
  RECORD_TYPES,
  STOCK_SCOPE,
  type Claim,
  type RecordType,
  type TypedRecord,
} from '@/core/ledger';
import { Workbench, type Surroundings, type BuildSnapshot, type Knowledge } from '@/core/workbench';
import type { BuildId } from '@/core/shared/ids';
import { claimsIn, orderOfBuilds } from '@/core/stock';
import type { Database, Handle } from '@/data/database';
import { currentRevision, undoTargets } from '@/data/actions';
import { balancesElsewhere, stockBalances } from '@/data/balances';
import { loansOf, stockClaims, stockPlans } from '@/data/own-parts';
import { numbersIn, readById, readRecord, readRecords, countRecords } from '@/data/records';
import { workspaceName } from './steps';

/** Everything a build's bench needs, or undefined when there is no such build. */
export function takeSnapshot(handle: Handle, build: BuildId): BuildSnapshot | undefined {
  const { db } = handle;
  if (!readRecord(db, 'build', build)) return undefined;
  const records = RECORD_TYPES.flatMap((type) =>
    readRecords(db, type, build).map((record) => ({ type, record }) as TypedRecord),
  );
  return { ...snapshotOf(handle, build, records), ...takeSurroundings(handle, build), complete: true };
}

/** Types that a page does not open with: they are asked for when they are looked for. */
const LATER: readonly RecordType[] = ['price', 'madeIn', 'columnMemory'];

/**
 * What a page opens a build's bench with: its own records, and of prices, years and own parts only those of elements that
 * it has. The rest, which grows with the collection and not with the build, the page asks for once it is there.
 */
export function takeOpening(handle: Handle, build: BuildId): BuildSnapshot | undefined {
  const { db } = handle;
  if (!readRecord(db, 'build', build)) return undefined;
  const records = RECORD_TYPES.filter((t) => !LATER.includes(t)).flatMap((type) =>
    readRecords(db, type, build).map((record) => ({ type, record }) as TypedRecord),
  );
  const own = elementsIn(records);
  const known: TypedRecord[] = [
    ...readById(db, 'price', own).map((record) => ({ type: 'price', record }) as const),
    ...readById(db, 'madeIn', own).map((record) => ({ type: 'madeIn', record }) as const),
  ];
  return {
    ...snapshotOf(handle, build, [...records, ...known]),
    ...takeSurroundings(handle, build, own),
    complete: false,
  };
}

/** A log of so many entries is not written into the page, where it would be twice as long: the page asks for it. */
const LONG_LOG = 1500;

/** What the page of a build comes with, or undefined when there is no such build. */
export function pageOpening(
  handle: Handle,
  build: BuildId,
): BuildSnapshot | { readonly later: BuildId; readonly name: string } | undefined {
  const record = readRecord(handle.db, 'build', build);
  if (!record) return undefined;
  if (numbersIn(handle.db, 'entry', build).top > LONG_LOG) return { later: build, name: record.name };
  return takeOpening(handle, build);
}

function elementsIn(records: readonly TypedRecord[]): string[] {
  const own = new Set<string>();
  for (const { record } of records) {
    if ('movements' in record) for (const m of record.movements) own.add(m.element);
    if ('lots' in record) for (const l of record.lots) own.add(l.element);
    if ('element' in record) own.add(record.element);
    if ('standsFor' in record && record.standsFor) own.add(record.standsFor);
  }
  return [...own];
}

const snapshotOf = (handle: Handle, build: BuildId, records: readonly TypedRecord[]) => ({
  workspace: workspaceName(handle),
  revision: currentRevision(handle.db),
  build,
  records,
  undoRedo: undoTargets(handle.db, build),
});

/** What the whole workspace knows of parts, whichever build asks. */
export const takeKnowledge = ({ db }: Handle): Knowledge => ({
  prices: readRecords(db, 'price'),
  madeIn: readRecords(db, 'madeIn'),
});

/** What other builds and own parts leave a build. */
export function takeSurroundings({ db }: Handle, build: BuildId, elements?: readonly string[]): Surroundings {
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

/** A build's bench on the server. */
export function openWorkbench(handle: Handle, build: BuildId): Workbench | undefined {
  const snapshot = takeSnapshot(handle, build);
  return snapshot && new Workbench(snapshot);
}

/** What own parts and price screens need. */
export function takeStockSnapshot(handle: Handle) {
  const { db } = handle;
  return {
    workspace: workspaceName(handle),
    revision: currentRevision(db),
    trays: readRecords(db, 'tray').sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true })),
    rows: stockBalances(db),
    ...stockOrder(db),
    plans: stockPlans(db),
    ranks: readRecords(db, 'claimRank'),
    kept: readRecords(db, 'keptAssembly'),
    readings: readRecords(db, 'reading').filter((r) => placeOf(r.account) === 'stock'),
    loans: loansOf(db),
    waitingParts: readRecords(db, 'waiting'),
    /** Builds that are limited to their own boxes. */
    bound: readRecords(db, 'buildSources').flatMap((s) => (s.boxesOnly ? [s.build] : [])),
    /** Days that the demo's clock was moved on. */
    clock: readRecord(db, 'simulatedClock', CLOCK_ID)?.daysAhead ?? 0,
    prices: readRecords(db, 'price'),
    customColours: readRecords(db, 'customColour'),
    undoRedo: undoTargets(db, STOCK_SCOPE),
  };
}
export type StockSnapshot = ReturnType<typeof takeStockSnapshot>;

/** A collection of more kinds and prices is not written into the page, where it would be twice as long: it is asked for. */
const LARGE_STOCK = 1500;

/** What the pages of own parts and prices come with: all of it, or of a large collection what it comes to. */
export type StockOpening =
  | { readonly stock: StockSnapshot }
  | { readonly later: { readonly revision: number; readonly pieces: number; readonly trays: number } };

export function stockOpening(handle: Handle): StockOpening {
  const { db } = handle;
  const rows = stockBalances(db);
  const prices = countRecords(db, 'price');
  if (rows.length + prices <= LARGE_STOCK) return { stock: takeStockSnapshot(handle) };
  const pieces = rows.reduce((s, r) => s + r.qty, 0);
  return { later: { revision: currentRevision(db), pieces, trays: countRecords(db, 'tray') } };
}
