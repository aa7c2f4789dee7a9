import { placeOf, RECORD_TYPES, STORES_SCOPE, type RecordType, type TypedRecord } from '@/core/ledger';
import { Workbench, type Background, type BuildSnapshot, type Knowledge } from '@/core/bench';
import type { BuildId } from '@/core/shared/ids';
import { CLOCK_SETTING, poolSetting } from '@/core/supply';
import { claimsIn, orderOfBuilds, rankSetting, type Claim } from '@/core/stores';
import type { Database, Handle } from '@/data/database';
import { currentRevision, turnTargets } from '@/data/actions';
import { backgroundBalances, storesBalances } from '@/data/balances';
import { loansOf, storesClaims, storesPlans } from '@/data/stores';
import { numbersIn, readById, readRecord, readRecords } from '@/data/records';
import { workspaceName } from './steps';

/** Everything a build's bench needs, or undefined when there is no such build. */
export function takeSnapshot(handle: Handle, build: BuildId): BuildSnapshot | undefined {
  const { db } = handle;
  if (!readRecord(db, 'build', build)) return undefined;
  const records = RECORD_TYPES.flatMap((type) =>
    readRecords(db, type, build).map((record) => ({ type, record }) as TypedRecord),
  );
  return { ...snapshotOf(handle, build, records), ...takeBackground(handle, build), complete: true };
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
    ...takeBackground(handle, build, own),
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
  turns: turnTargets(handle.db, build),
});

/** What the whole workspace knows of parts, whichever build asks. */
export const takeKnowledge = ({ db }: Handle): Knowledge => ({
  prices: readRecords(db, 'price'),
  madeIn: readRecords(db, 'madeIn'),
});

/** What other builds and the own parts leave a build. */
export function takeBackground({ db }: Handle, build: BuildId, elements?: readonly string[]): Background {
  const claims = claimsAhead(db, build);
  const own = elements && new Set(elements);
  return {
    background: backgroundBalances(db, build, 'done', elements),
    plannedElsewhere: backgroundBalances(db, build, 'planned', elements),
    claims: own ? claims.filter((c) => own.has(c.element)) : claims,
  };
}

/** Builds in the order in which they have the stores, and what their plans take. */
export function storesOrder(db: Database) {
  const ranks = new Map(readRecords(db, 'setting').map((s) => [s.id, s.values[0]]));
  const builds = orderOfBuilds(readRecords(db, 'build'), (b) => ranks.get(rankSetting(b)));
  return { builds, claims: storesClaims(db) };
}

function claimsAhead(db: Database, build: BuildId): Claim[] {
  const { builds, claims } = storesOrder(db);
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

/** What the stores and price screens need. */
export function takeStores(handle: Handle) {
  const { db } = handle;
  return {
    workspace: workspaceName(handle),
    revision: currentRevision(db),
    trays: readRecords(db, 'tray').sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true })),
    rows: storesBalances(db),
    ...storesOrder(db),
    plans: storesPlans(db),
    ranks: readRecords(db, 'setting').filter((s) => s.id.startsWith('rank:')),
    kept: readRecords(db, 'kept'),
    readings: readRecords(db, 'reading').filter((r) => placeOf(r.account) === 'stores'),
    loans: loansOf(db),
    watches: readRecords(db, 'watch'),
    /** Builds that are limited to their own boxes. */
    bound: readRecords(db, 'build')
      .map((b) => b.id)
      .filter((id) => readRecord(db, 'setting', poolSetting(id))?.values[0] === 1),
    /** Days that the demo's clock was moved on. */
    clock: readRecord(db, 'setting', CLOCK_SETTING)?.values[0] ?? 0,
    prices: readRecords(db, 'price'),
    customColours: readRecords(db, 'customColour'),
    turns: turnTargets(db, STORES_SCOPE),
  };
}
export type StoresSnapshot = ReturnType<typeof takeStores>;
