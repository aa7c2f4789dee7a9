import type { ElementKey } from '../parts';
import type { AccountKey, Grade } from '../places';
import type { BuildId } from '../shared/ids';

/** Pieces in own parts that a build's plans take. */
export interface Claim {
  readonly build: BuildId;
  readonly account: AccountKey;
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
}
