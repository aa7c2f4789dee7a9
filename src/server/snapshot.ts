import { placeOf, RECORD_TYPES, STORES_SCOPE, type TypedRecord } from '@/core/ledger';
import { Workbench, type Background, type BuildSnapshot } from '@/core/bench';
import type { BuildId } from '@/core/shared/ids';
import { CLOCK_SETTING, poolSetting } from '@/core/supply';
import { claimsIn, orderOfBuilds, rankSetting, type Claim } from '@/core/stores';
import type { Database, Handle } from '@/data/database';
import { currentRevision, turnTargets } from '@/data/actions';
import { backgroundBalances, storesBalances } from '@/data/balances';
import { loansOf, storesClaims, storesPlans } from '@/data/stores';
import { readRecord, readRecords } from '@/data/records';
import { workspaceName } from './steps';

/** Everything a build's bench needs, or undefined when there is no such build. */
export function takeSnapshot(handle: Handle, build: BuildId): BuildSnapshot | undefined {
  const { db } = handle;
  if (!readRecord(db, 'build', build)) return undefined;
  const records = RECORD_TYPES.flatMap((type) =>
    readRecords(db, type, build).map((record) => ({ type, record }) as TypedRecord),
  );
  return {
    workspace: workspaceName(handle),
    revision: currentRevision(db),
    build,
    records,
    ...takeBackground(handle, build),
    turns: turnTargets(db, build),
  };
}

/** What other builds and the own parts leave a build. */
export const takeBackground = ({ db }: Handle, build: BuildId): Background => ({
  background: backgroundBalances(db, build, false),
  backgroundPlanned: backgroundBalances(db, build, true),
  claims: claimsAhead(db, build),
});

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
