import { placeOf, type Books, type Place } from '../ledger';
import type { ElementKey } from '../parts';

/** Which elements there are at all on the model, as built or as planned, and at hand as planned. */
export interface Reach {
  readonly onModel: ReadonlySet<ElementKey>;
  readonly atHand: ReadonlySet<ElementKey>;
}

const AT_HAND: ReadonlySet<Place> = new Set(['spares', 'stock', 'donor', 'order']);

/**
 * Goes through both books once for what is there at all, in pieces above nothing: a line being typed asks this of
 * thousands of elements at every key.
 *
 * @example reachOf(bench.built, bench.planned).atHand.has(element)
 */
export function reachOf(built: Books, planned: Books): Reach {
  const onModel = new Set<ElementKey>();
  for (const books of [built, planned]) addHeld(onModel, books, (place) => place === 'model');
  const atHand = new Set<ElementKey>();
  addHeld(atHand, planned, (place) => AT_HAND.has(place));
  return { onModel, atHand };
}

function addHeld(held: Set<ElementKey>, { balances }: Books, wanted: (place: Place) => boolean): void {
  for (const account of balances.accountKeys())
    if (wanted(placeOf(account)))
      for (const [element, qty] of balances.elements(account)) if (qty > 0) held.add(element);
}
