import {
  emptyRecordSet,
  RECORD_TYPES,
  type BalanceRow,
  type MadeIn,
  type Price,
  type RecordSet,
  type TypedRecord,
  type Claim,
} from '../ledger';
import type { BuildId } from '../shared/ids';

/** What would be undone and redone next, by its id and in words; null when there is nothing. */
export interface UndoRedo {
  readonly undo: { readonly id: string; readonly label: string } | null;
  readonly redo: { readonly id: string; readonly label: string } | null;
}

/** Own parts as other builds leave them. */
export interface Surroundings {
  /** As their done entries leave them. */
  readonly surroundings: readonly BalanceRow[];
  /** What their planned entries would change of that. */
  readonly plannedElsewhere: readonly BalanceRow[];
  /** What the plans of builds that come before this one take from own parts. */
  readonly claims?: readonly Claim[];
}

/** What the whole workspace knows of parts, whichever build asks: prices, and years in which they were made. */
export interface Knowledge {
  readonly prices: readonly Price[];
  readonly madeIn: readonly MadeIn[];
}

/** All that a bench needs of the workspace, as it was at a revision. Plain data, so that it can be sent. */
export interface BuildSnapshot extends Surroundings {
  /** False where prices, years and own parts are only those of elements that the build has: the rest is asked for. */
  readonly complete: boolean;
  /** Names the opened workspace: another name, and everything is to be fetched anew. */
  readonly workspace: string;
  readonly revision: number;
  readonly build: BuildId;
  readonly records: readonly TypedRecord[];
  readonly undoRedo: UndoRedo;
}

/**
 * A snapshot with what the whole workspace knows and has, in place of what it opened with: what `takeKnowledge` does to a
 * bench that is open.
 */
export function withKnowledge(
  snapshot: BuildSnapshot,
  { prices, madeIn }: Knowledge,
  { surroundings, plannedElsewhere, claims }: Surroundings,
): BuildSnapshot {
  const records: TypedRecord[] = [
    ...snapshot.records.filter((r) => r.type !== 'price' && r.type !== 'madeIn'),
    ...prices.map((record) => ({ type: 'price', record }) as const),
    ...madeIn.map((record) => ({ type: 'madeIn', record }) as const),
  ];
  const around = { surroundings, plannedElsewhere, ...(claims && { claims }) };
  return { ...snapshot, ...around, records, complete: true };
}

/** The records of a snapshot as maps by id. */
export function recordSetOf(records: readonly TypedRecord[]): RecordSet {
  const set = emptyRecordSet();
  for (const { type, record } of records) (set[type] as Map<string, unknown>).set(record.id, record);
  return set;
}

/** All records of a set as a list, parents first. */
export const recordsOf = (set: RecordSet): TypedRecord[] =>
  RECORD_TYPES.flatMap((type) => [...set[type].values()].map((record) => ({ type, record }) as TypedRecord));
