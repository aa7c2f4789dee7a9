import type { Diff } from './diff';
import type { IdSource } from '../shared/ids';

/** A command: what it is called in the undo list, and the diff that does it. */
export interface Command {
  readonly label: string;
  readonly diff: Diff;
}

/** Where ids and the time come from. */
export interface Source {
  readonly newId: IdSource;
  readonly now: string;
}
