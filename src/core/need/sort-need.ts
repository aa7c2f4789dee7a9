import { byElementName, elementName, saysWords, splitElementKey } from '../parts';
import type { NeedLot } from './need';

/** How what is missing can be ordered to be looked at: by its name first. */
export const NEED_ORDERS = ['by name', 'by colour', 'most pieces first', 'most entries first'] as const;
export type NeedOrder = (typeof NEED_ORDERS)[number];

/**
 * The lots of a need that have all words of a search in their name or in where they are for (`placesOf`: zones and
 * modifications), in an order; where two are alike, by name.
 *
 * sortNeed(need.lots, 'bark', 'most pieces first', () => '') = the kinds in bark, the greatest lot first
 */
export function sortNeed(
  lots: readonly NeedLot[],
  text: string,
  order: NeedOrder,
  placesOf: (lot: NeedLot) => string,
): readonly NeedLot[] {
  const has = saysWords(text);
  const compare: Readonly<Record<NeedOrder, (a: NeedLot, b: NeedLot) => number>> = {
    'by name': () => 0,
    'by colour': (a, b) => colourOf(a).localeCompare(colourOf(b), 'en'),
    'most pieces first': (a, b) => b.qty - a.qty,
    'most entries first': (a, b) => b.sources.length - a.sources.length,
  };
  return lots
    .filter((l) => has(`${elementName(l.element)} ${l.hidden ? 'hidden' : ''} ${placesOf(l)}`))
    .sort((a, b) => compare[order](a, b) || byElementName(a.element, b.element));
}

const colourOf = (lot: NeedLot): string => splitElementKey(lot.element).colour;
