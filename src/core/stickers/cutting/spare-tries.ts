import type { Area } from './cuts';

/** How many rectangles of one size, all laid one way, come out of a larger one. */
const oneWay = (rest: Area, w: number, h: number, kerf: number): number =>
  Math.max(0, Math.floor((rest.w + kerf + 1e-6) / (w + kerf))) *
  Math.max(0, Math.floor((rest.h + kerf + 1e-6) / (h + kerf)));

/**
 * How many more of a strip can at least be cut from what is left over, should a cut go wrong: all of them from it at once,
 * laid one way in each piece.
 *
 * spareTries([{ x: 0, y: 0, w: 64, h: 10 }], { w: 3.2, l: 64 }, 0.2) = 3
 */
export const spareTries = (
  rests: readonly Area[],
  { w, l }: { readonly w: number; readonly l: number },
  kerf: number,
): number => rests.reduce((n, r) => n + Math.max(oneWay(r, l, w, kerf), oneWay(r, w, l, kerf)), 0);
