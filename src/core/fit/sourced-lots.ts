import { Prices } from '../mismatch';
import { isBoundToBoxes } from '../pool';
import type { Pieces } from '../ledger';
import type { ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { withAtHand } from '../stock';
import type { Workbench } from '../workbench';

/** Pieces of one element, and where they would come from. */
export interface SourcedLot {
  readonly element: ElementKey;
  readonly qty: number;
  /** Out of the books: from spares, the build's boxes and own parts. */
  readonly counted: number;
  readonly from: { readonly spares: number; readonly boxes: number; readonly stock: number };
  /** Own and uncounted, on the strength of what was roughly said. */
  readonly roughly: number;
  readonly toBuy: number;
  /** Price of one bought; null where nobody knows one. `estimated` = of the shape in other colours. */
  readonly each: Minor | null;
  readonly estimated: boolean;
}

/**
 * Where the pieces of several steps come from, each step finding what those before it left: the build's sources in their
 * order, then what is roughly known, then bought. A build bound to its boxes buys nothing: what it lacks is left out.
 */
export function sourcedLots(
  workbench: Workbench,
  zone: ZoneId,
  steps: readonly (readonly Pieces[])[],
): SourcedLot[][] {
  const prices = new Prices(workbench);
  const bound = isBoundToBoxes(workbench.records, workbench.build);
  return withAtHand(workbench, (atHand) =>
    steps.map((lots) =>
      lots.map(({ element, qty }): SourcedLot => {
        const { fromSpares, fromBoxes, fromStock, roughly, short } = atHand.take(element, qty, zone);
        const toBuy = bound ? 0 : short;
        atHand.buy(element, toBuy, zone);
        const price = prices.of(element);
        return {
          element,
          qty,
          counted: fromSpares + fromBoxes + fromStock,
          from: { spares: fromSpares, boxes: fromBoxes, stock: fromStock },
          roughly,
          toBuy,
          each: price?.each ?? null,
          estimated: price?.estimated ?? false,
        };
      }),
    ),
  );
}
