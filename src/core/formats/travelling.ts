import { RECORDS, type InModFile, type RecordSpec, type RecordType, type RecordTypes } from '../ledger';
import type { ElementKey } from '../parts';
import type { Grade } from '../places';

/** The name and version that a mod file says it keeps to. */
export const MOD_FILE_SCHEMA = 'evarn-mod/2';

/** A kind of record that travels, and how. */
export interface Travelling {
  readonly type: RecordType;
  readonly spec: RecordSpec;
  readonly inModFile: InModFile;
}

/** Kinds of records that travel in a mod file, parents first. */
export const TRAVELLING: readonly Travelling[] = RECORDS.flatMap((s) => {
  const spec = s as unknown as RecordSpec;
  return spec.inModFile ? [{ type: s.type, spec, inModFile: spec.inModFile }] : [];
});

export interface ModFile {
  readonly schema: typeof MOD_FILE_SCHEMA;
  readonly build: RecordTypes['build'];
  readonly stock: readonly {
    readonly tray: string;
    readonly trayName: string;
    readonly element: ElementKey;
    readonly grade: Grade;
    readonly qty: number;
  }[];
  /** The lists of the records that travel, by their names. */
  readonly [list: string]: unknown;
}

/** The records of one kind in a mod file; none where it has no such list. */
export function listOf<T extends RecordType>(file: ModFile, type: T): readonly RecordTypes[T][] {
  const key = TRAVELLING.find((t) => t.type === type)?.inModFile.key;
  return key === undefined ? [] : ((file[key] ?? []) as RecordTypes[T][]);
}
