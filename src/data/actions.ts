import { and, desc, eq, gt, inArray, max } from 'drizzle-orm';
import { upgradeRecord } from '@/core/formats/upgrade';
import { invertDiff, type Action, type Diff } from '@/core/ledger';
import type { Database } from './database';
import { actions, changes } from './schema';

export type Direction = 'do' | 'undo' | 'redo';

/** A step that another window has to catch up with. */
export interface FeedItem {
  readonly revision: number;
  readonly request: string;
  readonly scope: string;
  readonly label: string;
  readonly direction: Direction;
}

/** An action as kept, with its place in the undo list. */
export interface KeptAction {
  readonly id: string;
  readonly label: string;
  readonly diff: Diff;
}

/** The number of the last step. */
export const currentRevision = (db: Database): number =>
  db
    .select({ r: max(changes.revision) })
    .from(changes)
    .get()?.r ?? 0;

/** The number of the last step in some scopes; 0 when there was none. */
export const revisionOf = (db: Database, scopes: readonly string[]): number =>
  db
    .select({ r: max(actions.position) })
    .from(actions)
    .where(inArray(actions.scope, [...scopes]))
    .get()?.r ?? 0;

/** What a request that was carried out came to: the same request sent twice counts once. */
export interface CarriedOut {
  readonly revision: number;
  readonly scope: string;
  readonly label: string;
  /** Fingerprint of what was asked; null for what was kept before fingerprints were. */
  readonly content: string | null;
}

export const carriedOut = (db: Database, request: string): CarriedOut | undefined =>
  db
    .select({
      revision: changes.revision,
      scope: actions.scope,
      label: actions.label,
      content: changes.content,
    })
    .from(changes)
    .innerJoin(actions, eq(actions.id, changes.action))
    .where(eq(changes.request, request))
    .get();

/** Writes down a new action. What was undone in its scope before can no longer be redone. */
export function keepAction(db: Database, action: Action, at: string, content: string): number {
  db.update(actions)
    .set({ state: 'dropped' })
    .where(and(eq(actions.scope, action.scope), eq(actions.state, 'undone')))
    .run();
  const { id, scope, label, diff } = action;
  db.insert(actions).values({ id, scope, label, diff, state: 'done', position: 0, at }).run();
  return keepStep(db, { request: action.id, action: action.id, direction: 'do', content });
}

/** Writes down that an action was undone or redone. */
export function keepTurn(
  db: Database,
  step: { request: string; action: string; direction: 'undo' | 'redo'; content: string },
): number {
  const { action, direction } = step;
  db.update(actions)
    .set({ state: direction === 'undo' ? 'undone' : 'done' })
    .where(eq(actions.id, action))
    .run();
  return keepStep(db, step);
}

function keepStep(
  db: Database,
  step: { request: string; action: string; direction: Direction; content: string },
): number {
  const { revision } = db.insert(changes).values(step).returning().get();
  db.update(actions).set({ position: revision }).where(eq(actions.id, step.action)).run();
  return revision;
}

/** The action that undo or redo would turn next in a scope, with the diff that it would apply. */
export function nextTurn(db: Database, scope: string, direction: 'undo' | 'redo'): KeptAction | undefined {
  const state = direction === 'undo' ? 'done' : 'undone';
  const row = db
    .select()
    .from(actions)
    .where(and(eq(actions.scope, scope), eq(actions.state, state)))
    .orderBy(desc(actions.position))
    .limit(1)
    .get();
  if (!row) return undefined;
  const diff = upgradeDiff(row.diff as Diff);
  return { id: row.id, label: row.label, diff: direction === 'undo' ? invertDiff(diff) : diff };
}

/** A diff as an earlier program kept it, with its records in today's shape. */
export const upgradeDiff = (diff: Diff): Diff => ({
  added: diff.added.map((r) => ({ ...r, record: upgradeRecord(r.type, r.record) }) as typeof r),
  removed: diff.removed.map((r) => ({ ...r, record: upgradeRecord(r.type, r.record) }) as typeof r),
  changed: diff.changed.map(
    (c) => ({ ...c, from: upgradeRecord(c.type, c.from), to: upgradeRecord(c.type, c.to) }) as typeof c,
  ),
});

/** What undo and redo would do, in words, without reading the diffs. */
export function turnLabels(db: Database, scope: string): { undo: string | null; redo: string | null } {
  const label = (state: string) =>
    db
      .select({ label: actions.label })
      .from(actions)
      .where(and(eq(actions.scope, scope), eq(actions.state, state)))
      .orderBy(desc(actions.position))
      .limit(1)
      .get()?.label ?? null;
  return { undo: label('done'), redo: label('undone') };
}

/** Steps after a revision, oldest first. */
export function stepsSince(db: Database, revision: number): FeedItem[] {
  return db
    .select({
      revision: changes.revision,
      request: changes.request,
      scope: actions.scope,
      label: actions.label,
      direction: changes.direction,
    })
    .from(changes)
    .innerJoin(actions, eq(actions.id, changes.action))
    .where(gt(changes.revision, revision))
    .orderBy(changes.revision)
    .limit(200)
    .all() as FeedItem[];
}
