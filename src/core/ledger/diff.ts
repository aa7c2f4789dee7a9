import { assert } from '../shared/assert';
import type { RecordType, RecordTypes, TypedRecord } from '../records';
import { RECORD_TYPES } from '../records';

/** One record as it was and as it is to be. */
export type Change = {
  [T in RecordType]: { readonly type: T; readonly from: RecordTypes[T]; readonly to: RecordTypes[T] };
}[RecordType];

/** A change to the books as a value. Undo is posting its inverse. */
export interface Diff {
  readonly added: readonly TypedRecord[];
  readonly changed: readonly Change[];
  readonly removed: readonly TypedRecord[];
}

export const EMPTY_DIFF: Diff = { added: [], changed: [], removed: [] };

/** The diff that takes this one back: invertDiff(invertDiff(d)) = d. */
export const invertDiff = (d: Diff): Diff => ({
  added: d.removed,
  changed: d.changed.map((c) => ({ ...c, from: c.to, to: c.from }) as Change),
  removed: d.added,
});

export const added = <T extends RecordType>(type: T, ...records: RecordTypes[T][]): Diff => ({
  ...EMPTY_DIFF,
  added: records.map((record) => ({ type, record }) as TypedRecord),
});

export const removed = <T extends RecordType>(type: T, ...records: RecordTypes[T][]): Diff => ({
  ...EMPTY_DIFF,
  removed: records.map((record) => ({ type, record }) as TypedRecord),
});

/** A change of some fields of one record. */
export const changed = <T extends RecordType>(
  type: T,
  from: RecordTypes[T],
  to: Partial<RecordTypes[T]>,
): Diff => ({
  ...EMPTY_DIFF,
  changed: [{ type, from, to: { ...from, ...to } } as Change],
});

/** A record as it is to be, whether it was there before or not. */
export const written = <T extends RecordType>(
  type: T,
  old: RecordTypes[T] | undefined,
  record: RecordTypes[T],
): Diff => (old ? changed(type, old, record) : added(type, record));

/** Several diffs that touch different records, as one. */
export const joinDiffs = (...diffs: readonly Diff[]): Diff => ({
  added: diffs.flatMap((d) => d.added),
  changed: diffs.flatMap((d) => d.changed),
  removed: diffs.flatMap((d) => d.removed),
});

/** All records of a workspace, or of the part of it that one screen holds: a map for each type, by id. */
export type RecordSet = { readonly [T in RecordType]: ReadonlyMap<string, RecordTypes[T]> };

export const emptyRecordSet = (): RecordSet =>
  Object.fromEntries(RECORD_TYPES.map((t) => [t, new Map()])) as unknown as RecordSet;

/** Which record stands in the way of a diff, and how. */
export interface Conflict {
  readonly type: RecordType;
  readonly id: string;
  readonly how: 'already there' | 'gone' | 'changed';
}

/**
 * The first reason a diff cannot be applied to these records: it adds what is there, or changes or removes what is
 * gone or no longer as the diff knows it. Undefined when it can. This is what keeps two windows from overwriting
 * each other.
 */
export function conflictWith(records: RecordSet, diff: Diff): Conflict | undefined {
  const lookUp = (type: RecordType, id: string): unknown => records[type].get(id);
  for (const { type, record } of diff.added)
    if (lookUp(type, record.id)) return { type, id: record.id, how: 'already there' };
  for (const { type, record } of [
    ...diff.removed,
    ...diff.changed.map((c) => ({ type: c.type, record: c.from })),
  ]) {
    const now = lookUp(type, record.id);
    if (!now) return { type, id: record.id, how: 'gone' };
    if (!sameRecord(now, record)) return { type, id: record.id, how: 'changed' };
  }
  return undefined;
}

/** Equal in every field, whatever the order of the fields. */
export function sameRecord(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || !a || !b) return false;
  const [x, y] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const keys = Object.keys(x);
  return keys.length === Object.keys(y).length && keys.every((k) => sameRecord(x[k], y[k]));
}

/** The records with a diff applied; only the maps it touches are copied. Asserts that there is no conflict. */
export function applyDiff(records: RecordSet, diff: Diff): RecordSet {
  const conflict = conflictWith(records, diff);
  assert(!conflict, 'a diff fits the records it is applied to', conflict);
  const copies = new Map<RecordType, Map<string, unknown>>();
  const writable = (type: RecordType): Map<string, unknown> => {
    const copy = copies.get(type) ?? new Map<string, unknown>(records[type]);
    copies.set(type, copy);
    return copy;
  };
  for (const { type, record } of diff.removed) writable(type).delete(record.id);
  for (const { type, to } of diff.changed) writable(type).set(to.id, to);
  for (const { type, record } of diff.added) writable(type).set(record.id, record);
  return { ...records, ...Object.fromEntries(copies) } as RecordSet;
}

/** What one record type of a diff adds, changes and removes. */
export function diffOf<T extends RecordType>(diff: Diff, type: T) {
  return {
    added: diff.added.filter((r) => r.type === type).map((r) => r.record as RecordTypes[T]),
    changed: diff.changed
      .filter((c) => c.type === type)
      .map((c) => ({ from: c.from as RecordTypes[T], to: c.to as RecordTypes[T] })),
    removed: diff.removed.filter((r) => r.type === type).map((r) => r.record as RecordTypes[T]),
  };
}
