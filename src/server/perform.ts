import { createHash } from 'node:crypto';
import {
  conflictWith,
  diffOf,
  emptyRecordSet,
  entryFault,
  isEndless,
  scopesOf,
  zoneOf,
  zoneTreeFault,
  type AccountKey,
  type Action,
  type BalanceRow,
  type Conflict,
  type Diff,
  type Entry,
  type EntryFault,
  type RecordSet,
  type RecordType,
  type ZoneTreeFault,
} from '@/core/ledger';
import { fail, ok, type Result } from '@/core/shared/result';
import { closesPlace, isKeptInPlaces, leftInPlaces, lostPlace } from '@/data/accounts';
import {
  carriedOut,
  keepAction,
  keepUndoStep,
  nextUndoStep,
  pruneActions,
  undoTargets,
} from '@/data/actions';
import type { UndoRedo } from '@/core/workbench';
import { overdrawn } from '@/data/balances';
import { inTransaction, type Handle } from '@/data/database';
import { dataFaultOf, type ConstraintKind } from '@/data/faults';
import { readRecord, readRecords, writeDiff } from '@/data/records';
import { announce } from './feed';
import { renumber } from './renumber';
import { settle } from './settings';

/** Why an action was refused. Nothing was written. */
export type Refusal =
  | { readonly refused: 'conflict'; readonly conflict: Conflict }
  | { readonly refused: 'fault'; readonly entry: string; readonly fault: EntryFault }
  | { readonly refused: 'overdrawn'; readonly rows: readonly BalanceRow[] }
  | { readonly refused: 'in use' }
  /** What it belongs to is not there any more. */
  | { readonly refused: 'belongs to nothing' }
  | { readonly refused: 'place gone'; readonly account: AccountKey }
  /** What is to be deleted still holds pieces, or something is planned there. */
  | { readonly refused: 'not empty'; readonly row: BalanceRow }
  | { readonly refused: 'zones'; readonly fault: ZoneTreeFault }
  | { readonly refused: 'another build'; readonly entry: string }
  | { readonly refused: 'constraint'; readonly kind: ConstraintKind; readonly of: string }
  | { readonly refused: 'id used' }
  /** Something else was done since what was to be undone, or undone since what was to be done again. */
  | { readonly refused: 'done since'; readonly label: string }
  | { readonly refused: 'nothing to undo'; readonly direction: 'undo' | 'redo' };

/** What was carried out: the difference as it was kept, with the numbers that the server gave, and at which revision. */
export interface Performed {
  readonly revision: number;
  readonly label: string;
  readonly diff: Diff;
  /** Where it was asked for: a build, or own parts. */
  readonly scope: string;
  /** What undo and redo turn there now. */
  readonly undoRedo: UndoRedo;
}

/** Undo reaches back so far at least: so many actions, and so many days. */
const UNDO = { actions: 1000, days: 90 };
/** How often, in steps, the history is looked at for what may be forgotten. */
const PRUNE_EVERY = 250;

class Refused extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.refused);
  }
}

/** A short name for what was asked: the same text for the same content. */
export const fingerprint = (content: unknown): string =>
  createHash('sha256')
    .update(content instanceof Uint8Array ? content : JSON.stringify(content))
    .digest('base64url');

/**
 * Carries out an action: checked by the core, written with its undo record in one transaction, once for each id.
 * `content` is the fingerprint of what was asked; an id that comes again with another content is refused.
 */
export function perform(
  handle: Handle,
  action: Action,
  now: Date,
  content: string = fingerprint([action.scope, action.label, action.diff]),
): Result<Performed, Refusal> {
  return guarded(action.diff, () =>
    inTransaction(handle, () => {
      const before = doneBefore(handle, action.id, content);
      if (before) return before;
      const diff = renumber(handle, action.diff);
      carryOut(handle, diff);
      const { scope, label } = action;
      const kept = { ...action, diff };
      const revision = keepAction(handle.db, kept, scopesOf(kept), { at: now.toISOString(), content });
      if (revision % PRUNE_EVERY === 0) forgetOld(handle, now);
      return { revision, label, diff, scope, undoRedo: undoTargets(handle.db, scope) };
    }),
  );
}

/** Forgets what undo need not reach any more. */
function forgetOld({ db }: Handle, now: Date): void {
  pruneActions(db, UNDO.actions, new Date(now.getTime() - UNDO.days * 86_400_000).toISOString());
}

/**
 * Undoes or redoes the last action of a scope. `request` makes a second sending of the same wish count once. `action` is
 * what the button named: when something else has come since, it is refused rather than turned instead.
 */
export function undoOrRedo(
  handle: Handle,
  request: string,
  scope: string,
  direction: 'undo' | 'redo',
  action?: string,
): Result<Performed, Refusal> {
  const content = fingerprint([scope, direction, action ?? null]);
  return guarded(null, () =>
    inTransaction(handle, () => {
      const before = doneBefore(handle, request, content);
      if (before) return before;
      const next = nextUndoStep(handle.db, scope, direction);
      if (!next) throw new Refused({ refused: 'nothing to undo', direction });
      if (action !== undefined && action !== next.id)
        throw new Refused({ refused: 'done since', label: next.label });
      carryOut(handle, next.diff);
      const revision = keepUndoStep(handle.db, { request, action: next.id, direction, content });
      const { label, diff } = next;
      return { revision, label, diff, scope, undoRedo: undoTargets(handle.db, scope) };
    }),
  );
}

function doneBefore(handle: Handle, request: string, content: string): Performed | undefined {
  const before = carriedOut(handle.db, request);
  if (!before) return undefined;
  if (before.content !== null && before.content !== content) throw new Refused({ refused: 'id used' });
  const { revision, label, scope, diff } = before;
  return { revision, label, diff, scope, undoRedo: undoTargets(handle.db, scope) };
}

/**
 * Every constraint of the database that can fail is a refusal; what is left is a failure of the program. A reference that
 * fails is one to what `diff` deletes while it is used, or one from what it brings to what is gone.
 */
function guarded(diff: Diff | null, work: () => Performed): Result<Performed, Refusal> {
  try {
    const done = work();
    announce();
    return ok(done);
  } catch (error) {
    if (error instanceof Refused) return fail(error.refusal);
    const fault = dataFaultOf(error);
    if (fault?.fault !== 'constraint') throw error;
    return fail(
      fault.kind === 'foreign key'
        ? { refused: diff?.removed.length === 0 ? 'belongs to nothing' : 'in use' }
        : { refused: 'constraint', kind: fault.kind, of: fault.of },
    );
  }
}

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
  checkPlaces(handle, diff);
  const rows = overdrawn(db, drawnFrom(entries));
  if (rows.length > 0) throw new Refused({ refused: 'overdrawn', rows });
  const left = leftInPlaces(db, diff);
  if (left)
    throw new Refused(
      closesPlace(diff, left.account)
        ? { refused: 'not empty', row: left }
        : { refused: 'place gone', account: left.account },
    );
  if (isKeptInPlaces(db, diff)) throw new Refused({ refused: 'in use' });
  if (CALLED.some((type) => touches(diff, type))) settle(db);
}

/** What decides how money, days and colours are written. */
const CALLED = ['settings', 'colourAlias', 'customColour'] as const;
const touches = (diff: Diff, type: RecordType): boolean =>
  [...diff.added, ...diff.changed, ...diff.removed].some((r) => r.type === type);

/** What no single constraint of the database says: zones are a tree, and pieces go to places of the entry's own build. */
function checkPlaces(handle: Handle, diff: Diff): void {
  const { db } = handle;
  const lost = lostPlace(db, diff);
  if (lost) throw new Refused({ refused: 'place gone', account: lost });
  const zones = diffOf(diff, 'zone');
  const touched = [...zones.added, ...zones.removed, ...zones.changed.flatMap((c) => [c.from, c.to])];
  for (const build of new Set(touched.map((z) => z.build))) {
    const fault = zoneTreeFault(readRecords(db, 'zone', build));
    if (fault) throw new Refused({ refused: 'zones', fault });
  }
  const entries = diffOf(diff, 'entry');
  const owner = new Map<string, string | undefined>();
  const buildOf = (type: 'zone' | 'modification', id: string): string | undefined => {
    if (!owner.has(id)) owner.set(id, readRecord(db, type, id)?.build);
    return owner.get(id);
  };
  for (const e of [...entries.added, ...entries.changed.map((c) => c.to)]) {
    const there = new Set(e.movements.flatMap((m) => [zoneOf(m.from), zoneOf(m.to)]));
    // What is not there has no build: a place that is closed is asked for elsewhere, a modification here.
    const strange = (type: 'zone' | 'modification', id: string): boolean => {
      const of = buildOf(type, id);
      return of !== undefined && of !== e.build;
    };
    if (
      [...there].some((z) => z && strange('zone', z)) ||
      (e.modification && strange('modification', e.modification))
    )
      throw new Refused({ refused: 'another build', entry: e.id });
    if (e.modification && buildOf('modification', e.modification) === undefined)
      throw new Refused({ refused: 'belongs to nothing' });
  }
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
  const real = [...takes, ...gave].filter((a) => !isEndless(a));
  return [...new Set(real)];
}
