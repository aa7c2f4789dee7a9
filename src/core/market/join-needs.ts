import { byElementName } from '../parts';
import type { NeedLot } from '../need';
import { lotId } from './problem-ids';

/** The needs of several builds as one: a lot of each element, with the entries of all that call for it. */
export function joinNeeds(needs: readonly (readonly NeedLot[])[]): NeedLot[] {
  const joined = new Map<string, NeedLot>();
  for (const lot of needs.flat()) {
    const old = joined.get(lotId(lot));
    const both = old && { ...old, qty: old.qty + lot.qty, sources: [...old.sources, ...lot.sources] };
    joined.set(lotId(lot), both ?? lot);
  }
  return [...joined.values()].sort(
    (a, b) => byElementName(a.element, b.element) || Number(a.hidden) - Number(b.hidden),
  );
}
