import type { ActionId } from '../shared/ids';
import type { Diff } from './diff';

/** What a person did, as a value that can be sent, undone and done again. */
export interface Action {
  readonly id: ActionId;
  /** Whose undo list it joins: a build's id, or "stores". */
  readonly scope: string;
  /** What it did, for the undo button and the other window: "log −2 plate 2x3 chalk". */
  readonly label: string;
  readonly diff: Diff;
}

/** The scope of what belongs to no build: stores, prices, colours. */
export const STORES_SCOPE = 'stores';
