import type { Fields, ValueOf } from './fields';

/** An index of a record's table. */
export interface TableIndex {
  readonly name: string;
  readonly on: readonly string[];
  readonly unique?: boolean;
}

/** How a record travels in a mod file. */
export interface InModFile {
  /** The list it stands in. */
  readonly key: string;
  readonly most: number;
  /** True where a file of an earlier program may lack the list. */
  readonly optional?: boolean;
  /** Keeps its id: it means the same in every workspace, and what is there by that id stands. */
  readonly shared?: boolean;
}

/** All that a kind of record is: from it follow its table, its schema, its references and its way through mod files. */
export interface RecordSpec<T extends string = string, F extends Fields = Fields> {
  readonly type: T;
  readonly table: string;
  readonly fields: F;
  /** Fields that are kept in a table of their own. */
  readonly apart?: readonly string[];
  readonly indexes?: readonly TableIndex[];
  /** The id, where it follows from the other fields: two windows that write the same thing mean the same record. */
  readonly idOf?: (record: ValueOf<F>) => string;
  /** What holds between its fields. */
  readonly holds?: { readonly says: string; readonly test: (record: ValueOf<F>) => boolean };
  readonly inModFile?: InModFile;
  /** The record as it leaves in a mod file, and as it arrives: what is a matter of one workspace is left out. */
  readonly leaves?: (record: ValueOf<F>) => ValueOf<F>;
  readonly arrives?: (record: ValueOf<F>, now: string) => ValueOf<F>;
  /** What it was called before, and its earlier shapes brought to today's. */
  readonly earlier?: {
    readonly types?: readonly string[];
    readonly keys?: readonly string[];
    readonly upgrade?: (old: Readonly<Record<string, unknown>>) => Readonly<Record<string, unknown>>;
  };
}

/**
 * Defines a kind of record. Its file is its definition; add it to `all.ts`, and it is stored, undone, carried in mod files
 * and checked.
 */
export const defineRecord = <const T extends string, F extends Fields>(
  spec: RecordSpec<T, F>,
): RecordSpec<T, F> => spec;

/** The type of the records that a definition describes. */
export type RecordOf<S> = S extends RecordSpec<string, infer F> ? ValueOf<F> : never;
