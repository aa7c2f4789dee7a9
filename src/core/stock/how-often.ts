import type { Pieces } from '../ledger';
import type { ElementKey } from '../parts';
import type { Workbench } from '../workbench';
import { withAtHand } from './at-hand';

/** How often something can be built from what is at hand. */
export interface HowOften {
  readonly times: number;
  /** What ends first; null where nothing is needed. */
  readonly first: { readonly element: ElementKey; readonly there: number; readonly each: number } | null;
}

/**
 * How often what is at hand will do for some parts, and which of them ends first: of those that end at the same time the one
 * of which the least is then left.
 *
 * 4 window and 2 tile each, of 9 and 3 at hand: { times: 1, first: tile }
 */
export function howOften(workbench: Workbench, lots: readonly Pieces[]): HowOften {
  const each = new Map<ElementKey, number>();
  for (const l of lots) each.set(l.element, (each.get(l.element) ?? 0) + l.qty);
  return withAtHand(workbench, (atHand) => {
    const all = [...each].map(([element, n]) => {
      const there = atHand.count(element);
      return { element, there, each: n, times: Math.floor(there / n) };
    });
    const [first] = all.sort(
      (a, b) => a.times - b.times || a.there - a.times * a.each - (b.there - b.times * b.each),
    );
    if (!first) return { times: 0, first: null };
    const { element, there, each: n } = first;
    return { times: first.times, first: { element, there, each: n } };
  });
}
