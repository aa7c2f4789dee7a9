/** A place on a photo, in shares of its width and height. */
export interface PhotoMark {
  readonly x: number;
  readonly y: number;
}

/** A CSS matrix(a, b, c, d, e, f): turns, scales and shifts. */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const AS_IT_IS: Matrix = [1, 0, 0, 1, 0, 0];

/**
 * How a photo is laid over another so that two places on it lie over the same two on the other: by turning, scaling and shifting
 * alone, which two points decide. Both are `width` by `height` on the screen; the origin is the upper left corner. Photos with fewer
 * than two marks, or with both in one place, stay as they are.
 *
 * @param over   marks on the photo that is laid over
 * @param under  the same places on the other
 */
export function laidOver(
  over: readonly PhotoMark[],
  under: readonly PhotoMark[],
  width: number,
  height: number,
): Matrix {
  const [p, q, r, s] = [over[0], over[1], under[0], under[1]];
  if (!p || !q || !r || !s) return AS_IT_IS;
  const [vx, vy] = [(q.x - p.x) * width, (q.y - p.y) * height];
  const [wx, wy] = [(s.x - r.x) * width, (s.y - r.y) * height];
  const length = vx * vx + vy * vy;
  if (length < 1e-9 || wx * wx + wy * wy < 1e-9) return AS_IT_IS;
  // The ratio of the two vectors as complex numbers: their scale and turn at once.
  const [a, b] = [(wx * vx + wy * vy) / length, (wy * vx - wx * vy) / length];
  const [px, py] = [p.x * width, p.y * height];
  return [a, b, -b, a, r.x * width - (a * px - b * py), r.y * height - (b * px + a * py)];
}
