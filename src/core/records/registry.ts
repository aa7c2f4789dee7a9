import { RECORDS } from './all';
import type { RecordOf, RecordSpec } from './define';

type Spec = (typeof RECORDS)[number];

/** The record of each type. */
export type RecordTypes = { readonly [S in Spec as S['type']]: RecordOf<S> };
export type RecordType = keyof RecordTypes;

/** A record with the name of its type. */
export type TypedRecord = {
  readonly [T in RecordType]: { readonly type: T; readonly record: RecordTypes[T] };
}[RecordType];

/** What is referred to stands before what refers to it. */
export const RECORD_TYPES: readonly RecordType[] = RECORDS.map((s) => s.type);

const byType = new Map<string, RecordSpec>(RECORDS.map((s) => [s.type, s as unknown as RecordSpec]));

/** The definition of a kind of record. */
export function recordSpec(type: RecordType): RecordSpec {
  const spec = byType.get(type);
  if (!spec) throw new Error(`no record type ${type}`);
  return spec;
}

/** True of a kind of record that belongs to one build. */
export function isOfBuild(type: RecordType): boolean {
  const shape = recordSpec(type).fields.build?.shape;
  return shape?.kind === 'reference' && shape.to === 'build';
}
