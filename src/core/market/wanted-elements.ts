import type { Colour } from '../colour';
import type { NeedLot } from '../need';
import { inColour, splitElementKey, type ElementKey } from '../parts';
import { shapesFor } from './substitute-lots';

/** The elements to ask a market for: the need's, other shapes where they may do, and of hidden parts every colour. */
export function wantedElements(
  lots: readonly NeedLot[],
  palette: readonly Colour[],
  shapes: boolean,
): ElementKey[] {
  const wanted = new Set<ElementKey>();
  for (const l of lots) {
    wanted.add(l.element);
    if (shapes) for (const s of shapesFor(l.element)) wanted.add(s.element);
    if (l.hidden && !splitElementKey(l.element).print)
      for (const c of palette) wanted.add(inColour(l.element, c.id));
  }
  return [...wanted];
}
