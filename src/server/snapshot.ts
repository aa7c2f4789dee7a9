import { CLOCK_ID, placeOf, STOCK_SCOPE } from '@/core/ledger';
import {
  Workbench,
  type BuildSnapshot,
  type Knowledge,
  type Surroundings,
  type UndoRedo,
} from '@/core/workbench';
import { elementsToLookUp, partsToLookUp, rowsOf, type RegisterRows } from '@/core/mismatch';
import { collectionOf, type Collection } from '@/core/stock';
import type { BuildId, PartId } from '@/core/shared/ids';
import type { Handle } from '@/data/database';
import { currentRevision, revisionOf, undoTargets } from '@/data/actions';
import { stockBalances } from '@/data/balances';
import { readOpening, readSurroundings, readWhole, stockOrder, type Opened } from '@/data/openings';
import { loansOf, stockPlans } from '@/data/own-parts';
import { countRecords, readRecord, readRecords } from '@/data/records';
import { simulatedRegister } from '@/simulated/register';
import { keptFigures, type ComesTo } from './build-list';
import { isLongLog } from './long-log';
import { paletteIn } from './palette';
import { workspaceName } from './steps';

/** Everything a build's bench needs, or undefined when there is no such build. */
export const takeSnapshot = (handle: Handle, build: BuildId): BuildSnapshot | undefined =>
  named(handle, readWhole(handle.db, build));

/** What a page opens a build's bench with: what the build has, and of prices and own parts what concerns that. */
export const takeOpening = (handle: Handle, build: BuildId): BuildSnapshot | undefined =>
  named(handle, readOpening(handle.db, build));

const named = (handle: Handle, opened: Opened | undefined): BuildSnapshot | undefined =>
  opened && { workspace: workspaceName(handle), ...opened };

/**
 * What the page of a build's colours opens with: of prices and own parts also those of its parts in other colours, and of
 * what could stand in their places; and what the register says of all of these.
 */
export function takeColourOpening(
  handle: Handle,
  build: BuildId,
): { readonly snapshot: BuildSnapshot; readonly register: RegisterRows } | undefined {
  const { db } = handle;
  let parts: PartId[] = [];
  const snapshot = named(
    handle,
    readOpening(db, build, (own) => {
      parts = partsToLookUp(own);
      return elementsToLookUp(own, paletteIn(db));
    }),
  );
  return snapshot && { snapshot, register: rowsOf(simulatedRegister, parts) };
}

/** What other builds and own parts leave a build, what its undo and redo turn, and the steps as of which that is so. */
export interface SaidSurroundings extends Surroundings {
  readonly undoRedo: UndoRedo;
  readonly revision: number;
  /** The last step that changed what the whole workspace knows. */
  readonly knownSince: number;
}

export const takeSurroundings = ({ db }: Handle, build: BuildId): SaidSurroundings => ({
  ...readSurroundings(db, build),
  undoRedo: undoTargets(db, build),
  revision: currentRevision(db),
  knownSince: revisionOf(db, [STOCK_SCOPE]),
});

/** What the page of a build comes with, or undefined when there is no such build. */
export const pageOpening = (handle: Handle, build: BuildId): BuildSnapshot | Later | undefined =>
  laterOf(handle, build) ?? takeOpening(handle, build);

/** The same for the page of its colours, with what the register says where the books come with the page. */
export function colourPageOpening(
  handle: Handle,
  build: BuildId,
): { readonly opening: BuildSnapshot | Later; readonly register: RegisterRows } | undefined {
  const later = laterOf(handle, build);
  if (later) return { opening: later, register: {} };
  const opened = takeColourOpening(handle, build);
  return opened && { opening: opened.snapshot, register: opened.register };
}

/** What the page of a build with a long log comes with, to be read while it asks for its books. */
export interface Later {
  readonly later: BuildId;
  readonly name: string;
  /** Conditions of its copies. */
  readonly copies: readonly string[];
  /** What it comes to, where that is kept. */
  readonly comesTo: ComesTo | null;
}

function laterOf(handle: Handle, build: BuildId): Later | undefined {
  const record = readRecord(handle.db, 'build', build);
  if (!record || !isLongLog(handle, build)) return undefined;
  const copies = readRecords(handle.db, 'copy', build).filter((c) => c.role === 'base');
  return {
    later: build,
    name: record.name,
    copies: copies.map((c) => c.condition),
    comesTo: keptFigures(handle, build),
  };
}

/** What the whole workspace knows of parts, whichever build asks, and the last step that changed it. */
export interface SaidKnowledge extends Knowledge {
  readonly since: number;
}

export const takeKnowledge = ({ db }: Handle): SaidKnowledge => ({
  since: revisionOf(db, [STOCK_SCOPE]),
  prices: readRecords(db, 'price'),
  madeIn: readRecords(db, 'madeIn'),
});

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
    /** What was said of parts that nobody counted. */
    roughly: readRecords(db, 'roughlyKnown'),
    prices: readRecords(db, 'price'),
    customColours: readRecords(db, 'customColour'),
    undoRedo: undoTargets(db, STOCK_SCOPE),
  };
}
export type StockSnapshot = ReturnType<typeof takeStockSnapshot>;

/** A collection of more kinds and prices is not written into the page, where it would be twice as long: it is asked for. */
const LARGE_STOCK = 1500;

/** What the pages of own parts and prices come with: all of it, or of a large collection what it comes to. */
export type StockOpening = { readonly stock: StockSnapshot } | { readonly later: LargeStock };

/** What a large collection comes to. */
interface LargeStock extends Collection {
  readonly revision: number;
  readonly prices: number;
}

export function stockOpening(handle: Handle): StockOpening {
  const { db } = handle;
  const rows = stockBalances(db);
  const prices = countRecords(db, 'price');
  if (rows.length + prices <= LARGE_STOCK) return { stock: takeStockSnapshot(handle) };
  return {
    later: {
      revision: currentRevision(db),
      ...collectionOf(rows, countRecords(db, 'tray')),
      prices,
    },
  };
}
