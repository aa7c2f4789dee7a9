import type { Entry, Figure, Modification, Scope } from '@/core/ledger';
import type { PartState } from '@/core/need';
import type { ElementKey } from '@/core/parts';
import type { PickedFrom } from './tray-places';

/** Which sheet is open over the bench. */
export type OpenDialog =
  | { readonly dialog: 'act'; readonly element: ElementKey | null; readonly from?: PickedFrom }
  | { readonly dialog: 'figure'; readonly figure: Figure; readonly scope: Scope }
  | { readonly dialog: 'modification'; readonly modification: Modification | null }
  | { readonly dialog: 'order'; readonly modification: Modification | null }
  | { readonly dialog: 'part'; readonly entry: Entry }
  | { readonly dialog: 'state'; readonly state: PartState; readonly scope: Scope }
  | { readonly dialog: 'sources' }
  | { readonly dialog: 'ideal'; readonly entry: Entry }
  | { readonly dialog: 'again'; readonly entries: readonly Entry[] }
  | { readonly dialog: 'unpriced' }
  | { readonly dialog: 'countLeft' }
  | { readonly dialog: 'cameFrom' }
  | { readonly dialog: 'zones' }
  | { readonly dialog: 'whatIfs' }
  | { readonly dialog: 'build' };

/** What the parts of the bench can ask for. */
export interface BenchDialogs {
  readonly open: (dialog: OpenDialog) => void;
  readonly place: (entries: readonly Entry[], steps?: number) => void;
  readonly plan: (entries: readonly Entry[]) => void;
  readonly remove: (entries: readonly Entry[]) => void;
  readonly edit: (entry: Entry) => void;
  readonly moveTo: (entries: readonly Entry[], target: Modification) => void;
  readonly shift: (entry: Entry, by: -1 | 1) => void;
  readonly shiftModification: (modification: Modification, by: -1 | 1) => void;
}
