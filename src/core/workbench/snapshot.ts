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

/** All that a bench needs of the workspace, as it was at a revision. Plain data, so that it can be sent. */
/** What the whole workspace knows of parts, whichever build asks: prices, and years in which they were made. */
export interface Knowledge {
  readonly prices: readonly Price[];
  readonly madeIn: readonly MadeIn[];
}

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

/** The records of a snapshot as maps by id. */
export function recordSetOf(records: readonly TypedRecord[]): RecordSet {
  const set = emptyRecordSet();
  for (const { type, record } of records) (set[type] as Map<string, unknown>).set(record.id, record);
  return set;
}

/** All records of a set as a list, parents first. */
export const recordsOf = (set: RecordSet): TypedRecord[] =>
  RECORD_TYPES.flatMap((type) => [...set[type].values()].map((record) => ({ type, record }) as TypedRecord));
