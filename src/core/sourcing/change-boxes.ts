import { between, type Random } from '../shared/random';
import type { State } from './state';

/** Share of the changes in which another box changes the other way. */
const SWAPS = 0.5;
/** Share of the times a box is given up that all its copies are: a second may pay only together with the first. */
const ALL = 0.3;

/**
 * Buys one copy of a box more or fewer, and in half of the cases one of another fewer or more: of two boxes that serve about
 * the same lots neither the second pays while the first is there, nor is the first given up while the second is not. Frees the
 * lots that either can serve; how they are filled is left to the caller.
 *
 * @returns the lots to fill anew
 */
export function changeBoxes(state: State, random: Random): number[] {
  const { c } = state;
  const most = (box: number): number => c.donorMax[box]!;
  const held = (box: number): number => state.copies[box]!;
  const box = between(random, 0, c.donorPrice.length - 1);
  const isMore = held(box) === 0 || (held(box) < most(box) && random() < 0.5);
  if (isMore && held(box) >= most(box)) return [];
  const other = random() < SWAPS ? between(random, 0, c.donorPrice.length - 1) : box;
  const isSwap = other !== box && (isMore ? held(other) > 0 : held(other) < most(other));
  const lots = new Set<number>();
  for (const d of isSwap ? [box, other] : [box])
    for (const [element] of c.donorYields[d]!) for (const lot of c.acceptedBy[element]!) lots.add(lot);
  for (const lot of lots) state.freeLot(lot);
  if (isSwap) state.setCopies(other, isMore ? -1 : 1);
  state.setCopies(box, isMore ? 1 : random() < ALL ? -held(box) : -1);
  return [...lots];
}
