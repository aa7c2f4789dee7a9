import { placeOf, type Books } from '../ledger';
import type { ElementKey } from '../parts';

/** Which elements there are at all on the model, as built or as planned, and at hand as planned. */
export interface Reach {
  readonly onModel: ReadonlySet<ElementKey>;
  readonly atHand: ReadonlySet<ElementKey>;
}

const AT_HAND: readonly string[] = ['spares', 'stock', 'donor', 'order'];

/**
 * Goes through both books once for what is there at all, in pieces above nothing: a line being typed asks this of
 * thousands of elements at every key.
 *
 * @example reachOf(bench.built, bench.planned).atHand.has(element)
 */
export function reachOf(built: Books, planned: Books): Reach {
  const [onModel, atHand] = [new Set<ElementKey>(), new Set<ElementKey>()];
  const onIt = (books: Books) => {
    for (const { element, account } of modelTotals(books))
      if (books.balances.at(account, element) > 0) onModel.add(element);
  };
  onIt(built);
  onIt(planned);
  for (const r of planned.balances.rows((a) => AT_HAND.includes(placeOf(a))))
    if (!atHand.has(r.element) && planned.balances.at(r.account, r.element) > 0) atHand.add(r.element);
  return { onModel, atHand };
}

const modelTotals = (books: Books) => books.balances.rows((a) => placeOf(a) === 'model');
