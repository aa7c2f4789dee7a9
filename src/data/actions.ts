import { and, desc, eq, gt, inArray, max, sql } from 'drizzle-orm';
import { invertDiff, upgradeDiff, type Action, type Diff } from '@/core/ledger';
import type { Database } from './database';
import { actions, actionScopes, changes } from './schema';

export type Direction = 'do' | 'undo' | 'redo';

/** Something that was done, undone or redone, with the difference it made: what another window has to catch up with. */
export interface FeedItem {
  readonly revision: number;
  readonly request: string;
  readonly action: string;
  readonly label: string;
  readonly direction: Direction;
  readonly diff: Diff;
  /** The undo lists it stands in. */
  readonly scopes: readonly string[];
}

/** An action in an undo list: what undo or redo would turn next. */
export interface UndoTarget {
  readonly id: string;
  readonly label: string;
}

/** An action as kept. */
export interface KeptAction extends UndoTarget {
  readonly diff: Diff;
}

/** Steps that a window catches up with one by one; more, and it fetches the whole. */
const MOST_STEPS = 200;

/** The number of the last step. */
export const currentRevision = (db: Database): number =>
  db
    .select({ r: max(changes.revision) })
    .from(changes)
    .get()?.r ?? 0;

/** The number of the last step in some scopes; 0 when there was none. */
export const revisionOf = (db: Database, scopes: readonly string[]): number =>
  db
    .select({ r: max(actionScopes.position) })
    .from(actionScopes)
    .where(inArray(actionScopes.scope, [...scopes]))
    .get()?.r ?? 0;

/** What a request that was carried out came to: the same request sent twice counts once. */
export interface CarriedOut {
  readonly revision: number;
  readonly scope: string;
  readonly label: string;
  readonly diff: Diff;
  /** Fingerprint of what was asked; null for what was kept before fingerprints were. */
  readonly content: string | null;
}

export function carriedOut(db: Database, request: string): CarriedOut | undefined {
  const row = db
    .select({
      revision: changes.revision,
      scope: actions.scope,
      label: actions.label,
      content: changes.content,
      direction: changes.direction,
      diff: actions.diff,
    })
    .from(changes)
    .innerJoin(actions, eq(actions.id, changes.action))
    .where(eq(changes.request, request))
    .get();
  if (!row) return undefined;
  const { direction, diff, ...rest } = row;
  return { ...rest, diff: directed(diff as Diff, direction as Direction) };
}

/** The difference that a step made: the action's own, or turned round where it was taken back. */
const directed = (diff: Diff, direction: Direction): Diff =>
  direction === 'undo' ? invertDiff(upgradeDiff(diff)) : upgradeDiff(diff);

/** Writes down a new action. What was undone in its lists before can no longer be redone. */
export function keepAction(
  db: Database,
  action: Action,
  scopes: readonly string[],
  more: { at: string; content: string },
): number {
  const { id, scope, label, diff } = action;
  const undone = db
    .select({ id: actionScopes.action })
    .from(actionScopes)
    .where(and(inArray(actionScopes.scope, [...scopes]), eq(actionScopes.state, 'undone')))
    .all();
  for (const row of undone) setState(db, row.id, 'dropped');
  db.insert(actions).values({ id, scope, label, diff, state: 'done', position: 0, at: more.at }).run();
  db.insert(actionScopes)
    .values(scopes.map((s) => ({ scope: s, action: id, state: 'done', position: 0 })))
    .run();
  return keepStep(db, { request: id, action: id, direction: 'do', content: more.content });
}

function setState(db: Database, action: string, state: string): void {
  db.update(actions).set({ state }).where(eq(actions.id, action)).run();
  db.update(actionScopes).set({ state }).where(eq(actionScopes.action, action)).run();
}

/** Writes down that an action was undone or redone. */
export function keepUndoStep(
  db: Database,
  step: { request: string; action: string; direction: 'undo' | 'redo'; content: string },
): number {
  setState(db, step.action, step.direction === 'undo' ? 'undone' : 'done');
  return keepStep(db, step);
}

function keepStep(
  db: Database,
  step: { request: string; action: string; direction: Direction; content: string },
): number {
  const { revision } = db.insert(changes).values(step).returning().get();
  db.update(actions).set({ position: revision }).where(eq(actions.id, step.action)).run();
  db.update(actionScopes).set({ position: revision }).where(eq(actionScopes.action, step.action)).run();
  return revision;
}

/** The action that undo or redo would turn next in a scope. */
export function nextTarget(db: Database, scope: string, direction: 'undo' | 'redo'): UndoTarget | undefined {
  return db
    .select({ id: actions.id, label: actions.label })
    .from(actionScopes)
    .innerJoin(actions, eq(actions.id, actionScopes.action))
    .where(
      and(eq(actionScopes.scope, scope), eq(actionScopes.state, direction === 'undo' ? 'done' : 'undone')),
    )
    .orderBy(desc(actionScopes.position))
    .limit(1)
    .get();
}

/** The same, with the difference that turning it makes. */
export function nextUndoStep(
  db: Database,
  scope: string,
  direction: 'undo' | 'redo',
): KeptAction | undefined {
  const target = nextTarget(db, scope, direction);
  if (!target) return undefined;
  const row = db.select({ diff: actions.diff }).from(actions).where(eq(actions.id, target.id)).get();
  return row && { ...target, diff: directed(row.diff as Diff, direction) };
}

/** What undo and redo would turn in a scope, without reading the diffs. */
export const undoTargets = (
  db: Database,
  scope: string,
): { undo: UndoTarget | null; redo: UndoTarget | null } => ({
  undo: nextTarget(db, scope, 'undo') ?? null,
  redo: nextTarget(db, scope, 'redo') ?? null,
});

/**
 * Steps after a revision, oldest first; null where they are too many to be told one by one, or some of them are no longer
 * kept: then the whole has to be fetched.
 */
export function stepsSince(db: Database, revision: number): FeedItem[] | null {
  const rows = db
    .select({
      revision: changes.revision,
      request: changes.request,
      action: actions.id,
      label: actions.label,
      direction: changes.direction,
      diff: actions.diff,
      scopes: sql<string>`(select json_group_array(scope) from action_scopes where action = ${actions.id})`,
    })
    .from(changes)
    .innerJoin(actions, eq(actions.id, changes.action))
    .where(gt(changes.revision, revision))
    .orderBy(changes.revision)
    .limit(MOST_STEPS + 1)
    .all();
  const whole = rows.every((r, i) => r.revision === revision + 1 + i);
  if (rows.length > MOST_STEPS || !whole) return null;
  return rows.map((r) => ({
    ...r,
    direction: r.direction as Direction,
    diff: directed(r.diff as Diff, r.direction as Direction),
    scopes: JSON.parse(r.scopes) as string[],
  }));
}

/**
 * Forgets the oldest actions: those before the last `keep` and before `since` (ISO 8601). They go from the front of the
 * history without a gap, so that what is kept still tells how each record came to be as it is. Gives how many went.
 */
export function pruneActions(db: Database, keep: number, since: string): number {
  const last = db
    .select({ position: actions.position })
    .from(actions)
    .orderBy(desc(actions.position))
    .limit(1)
    .offset(keep)
    .get();
  if (!last) return 0;
  const young = db.get<{ p: number | null } | undefined>(
    sql`select min(position) as p from actions where at >= ${since}`,
  );
  const cut = Math.min(last.position, (young?.p ?? Infinity) - 1);
  db.run(sql`delete from changes where action in (select id from actions where position <= ${cut})`);
  return db.run(sql`delete from actions where position <= ${cut}`).changes;
}
