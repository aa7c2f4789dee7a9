import type { ElementKey } from '../parts';
import type { Elsewhere } from '../records';
import type { CopyId, OrderId, TrayId, WhatIfId, ZoneId } from '../shared/ids';
import type { Books } from './books';
import type { Kept } from './free-pieces';
import type { SourceChoice } from './intent';
import type { PriceOf } from './tally';
import type { Whereabouts } from './whereabouts';

/** What drafting an entry needs to know. */
export interface DraftContext {
  /** As built for what is done, as planned for what is planned. */
  readonly built: Books;
  readonly planned: Books;
  readonly rootZone: ZoneId;
  readonly trays: readonly TrayId[];
  /** The build's boxes to break up, in the order in which they are taken from. */
  readonly donors: readonly CopyId[];
  /** True where the build takes from its own boxes and spares, and from nowhere else unless that is said. */
  readonly boxesOnly: boolean;
  /** What a piece that is put in and is in no books counts as. */
  readonly elsewhere: Elsewhere;
  readonly orders: readonly OrderId[];
  readonly priceOf: PriceOf;
  /** What is kept together, and so is not there to be taken. */
  readonly kept: Kept;
  readonly whatIf: WhatIfId | null;
}

/** Why an intent cannot become an entry. */
export type DraftProblem =
  | {
      readonly reason: 'not on the model' | 'not at hand';
      readonly element: ElementKey;
      readonly wanted: number;
      readonly there: number;
      readonly elsewhere: readonly Whereabouts[];
      readonly zone: ZoneId;
      readonly source: SourceChoice | null;
      /** Pieces that are there and show their age or a flaw: they are taken where that is said, or where nobody sees them. */
      readonly worn: number;
      /** True where it was looked for in the build's boxes and spares, to which the build is bound. */
      readonly boxesOnly: boolean;
    }
  | { readonly reason: 'nothing to do' }
  | { readonly reason: 'same zone' }
  | { readonly reason: 'same colour'; readonly element: ElementKey }
  | { readonly reason: 'no own parts' }
  | { readonly reason: 'no such placeholder'; readonly element: ElementKey };
