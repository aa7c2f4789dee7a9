import { isOfBuild, RECORD_TYPES, STOCK_SCOPE, type TypedRecord } from '@/core/ledger';
import { asId, type ActionId, type BuildId, type IdSource } from '@/core/shared/ids';
import { fail, type Result } from '@/core/shared/result';
import { deleteBuild, trayEffect } from '@/core/stock';
import { carriedOut } from '@/data/actions';
import type { Handle } from '@/data/database';
import { readRecord, readRecords } from '@/data/records';
import { fingerprint, perform, type Performed, type Refusal } from './perform';

/** What a build's deletion would come to, before it is asked for. */
export interface DeletionAsked {
  readonly entries: number;
  /** Pieces in trays that the build put there, and pieces that it took out of them. */
  readonly put: number;
  readonly taken: number;
}

const ofBuild = ({ db }: Handle, build: BuildId): TypedRecord[] =>
  RECORD_TYPES.filter(isOfBuild).flatMap((type) =>
    readRecords(db, type, build).map((record) => ({ type, record }) as TypedRecord),
  );

export function deletionOf(handle: Handle, build: BuildId): DeletionAsked | undefined {
  if (!readRecord(handle.db, 'build', build)) return undefined;
  const entries = readRecords(handle.db, 'entry', build);
  const { put, taken } = trayEffect(entries);
  const pieces = (list: typeof put) => list.reduce((s, m) => s + m.qty, 0);
  return { entries: entries.length, put: pieces(put), taken: pieces(taken) };
}

export interface DeletionWish {
  readonly build: BuildId;
  readonly traysStay: boolean;
  /** Names the request, so that a second arrival deletes nothing twice. */
  readonly request: string;
}

/**
 * Deletes a build with all that is its own: one action of the own parts, so that it is undone from the list of builds.
 * Refused where other builds stand on it.
 */
export function deleteBuildOf(
  handle: Handle,
  { build, traysStay, request }: DeletionWish,
  newId: IdSource,
  now: Date,
): Result<Performed, Refusal | { readonly refused: 'no such build' }> {
  const content = fingerprint(['delete', build, traysStay]);
  const before = carriedOut(handle.db, request);
  const found = readRecord(handle.db, 'build', build);
  if (!found && !before) return fail({ refused: 'no such build' });
  const { label, diff } = found
    ? deleteBuild(found, ofBuild(handle, build), traysStay, { newId, now: now.toISOString() })
    : { label: '', diff: { added: [], changed: [], removed: [] } };
  return perform(handle, { id: asId<ActionId>(request), scope: STOCK_SCOPE, label, diff }, now, content);
}
