import {
  conflictWith,
  diffOf,
  emptyRecordSet,
  entryFault,
  placeOf,
  type Action,
  type Conflict,
  type Diff,
  type EntryFault,
  type RecordSet,
  type RecordType,
} from '@/core/ledger';
import type { BalanceRow, Entry } from '@/core/ledger';
import { fail, ok, type Result } from '@/core/shared/result';
import { inTransaction, type Handle } from '@/data/database';
import { currentRevision, keepAction, keepTurn, nextTurn, revisionOfRequest } from '@/data/actions';
import { overdrawn } from '@/data/balances';
import { highestNo, readRecord, writeDiff } from '@/data/records';

/** Why an action was refused. Nothing was written. */
export type Refusal =
  | { readonly refused: 'conflict'; readonly conflict: Conflict }
  | { readonly refused: 'fault'; readonly entry: string; readonly fault: EntryFault }
  | { readonly refused: 'overdrawn'; readonly rows: readonly BalanceRow[] }
  | { readonly refused: 'in use' }
  | { readonly refused: 'nothing to turn'; readonly direction: 'undo' | 'redo' };

/** What was carried out, and at which revision. `renumbered` tells a client that its copy differs from what was kept. */
export interface Performed {
  readonly revision: number;
  readonly label: string;
  readonly renumbered: boolean;
}

class Refused extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.refused);
  }
}

/** Carries out an action: checked by the core, written with its undo record in one transaction, once for each id. */
export function perform(handle: Handle, action: Action, now: Date): Result<Performed, Refusal> {
  return guarded(() =>
    inTransaction(handle, () => {
      const before = revisionOfRequest(handle.db, action.id);
      if (before !== undefined) return { revision: before, label: action.label, renumbered: false };
      const { diff, renumbered } = renumber(handle, action.diff);
      carryOut(handle, diff);
      const revision = keepAction(handle.db, { ...action, diff }, now.toISOString());
      return { revision, label: action.label, renumbered };
    }),
  );
}

/** Undoes or redoes the last action of a scope. `request` makes a second sending of the same wish count once. */
export function turn(
  handle: Handle,
  request: string,
  scope: string,
  direction: 'undo' | 'redo',
): Result<Performed, Refusal> {
  return guarded(() =>
    inTransaction(handle, () => {
      if (revisionOfRequest(handle.db, request) !== undefined)
        return { revision: currentRevision(handle.db), label: '', renumbered: false };
      const next = nextTurn(handle.db, scope, direction);
      if (!next) throw new Refused({ refused: 'nothing to turn', direction });
      carryOut(handle, next.diff);
      const revision = keepTurn(handle.db, request, next.id, direction);
      return { revision, label: next.label, renumbered: false };
    }),
  );
}

function guarded(work: () => Performed): Result<Performed, Refusal> {
  try {
    return ok(work());
  } catch (error) {
    if (error instanceof Refused) return fail(error.refusal);
    if (isForeignKeyError(error)) return fail({ refused: 'in use' });
    throw error;
  }
}

const isForeignKeyError = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && error.code === 'SQLITE_CONSTRAINT_FOREIGNKEY';

function carryOut(handle: Handle, diff: Diff): void {
  const { db } = handle;
  const conflict = conflictWith(recordsTouched(handle, diff), diff);
  if (conflict) throw new Refused({ refused: 'conflict', conflict });
  const entries = diffOf(diff, 'entry');
  for (const e of [...entries.added, ...entries.changed.map((c) => c.to)]) {
    const fault = entryFault(e);
    if (fault) throw new Refused({ refused: 'fault', entry: e.id, fault });
  }
  writeDiff(db, diff);
  const rows = overdrawn(db, drawnFrom(entries));
  if (rows.length > 0) throw new Refused({ refused: 'overdrawn', rows });
}

/** The records a diff names, as they are now. */
function recordsTouched(handle: Handle, diff: Diff): RecordSet {
  const records = emptyRecordSet();
  const look = (type: RecordType, id: string) => {
    const found = readRecord(handle.db, type, id);
    if (found) (records[type] as Map<string, unknown>).set(id, found);
  };
  for (const { type, record } of [...diff.added, ...diff.removed]) look(type, record.id);
  for (const { type, from } of diff.changed) look(type, from.id);
  return records;
}

/** Accounts that a change of entries can leave with less: ends of movements that now take, or no longer give. */
function drawnFrom(entries: {
  added: Entry[];
  changed: { from: Entry; to: Entry }[];
  removed: Entry[];
}): string[] {
  const takes = [...entries.added, ...entries.changed.map((c) => c.to)].flatMap((e) =>
    e.movements.map((m) => m.from),
  );
  const gave = [...entries.removed, ...entries.changed.map((c) => c.from)].flatMap((e) =>
    e.movements.map((m) => m.to),
  );
  const real = [...takes, ...gave].filter((a) => !['shipped', 'outside'].includes(placeOf(a)));
  return [...new Set(real)];
}

/**
 * Two windows may number new entries or modifications alike. Numbers are the server's to give: a taken one becomes
 * the next that is free.
 */
function renumber(handle: Handle, diff: Diff): { diff: Diff; renumbered: boolean } {
  let renumbered = false;
  const next = new Map<string, number>();
  const free = (type: 'entry' | 'modification', build: string, wanted: number): number => {
    const key = `${type} ${build}`;
    const top = next.get(key) ?? highestNo(handle.db, type, build);
    const no = wanted > top ? wanted : top + 1;
    next.set(key, no);
    if (no !== wanted) renumbered = true;
    return no;
  };
  const added = diff.added.map((r) => {
    if (r.type === 'modification')
      return { ...r, record: { ...r.record, no: free(r.type, r.record.build, r.record.no) } };
    if (r.type === 'entry' && r.record.build && r.record.no > 0)
      return { ...r, record: { ...r.record, no: free(r.type, r.record.build, r.record.no) } };
    return r;
  });
  return { diff: { ...diff, added }, renumbered };
}
