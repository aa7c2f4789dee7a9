/** A place on a photo, in its own pixels. */
export interface Mark {
  readonly x: number;
  readonly y: number;
}

/**
 * What is marked on a photo in their order: the two ends of a length that is known, a row of studs or a ruler, and two opposite
 * corners of a field.
 */
export const MARK_NAMES = ['one end', 'the other end', 'a corner', 'the corner across'] as const;

/** Millimetres to a pixel, from two marks that lie so far apart; null where they are one place, or no length is said. */
export function scaleOf(one: Mark, other: Mark, mm: number): number | null {
  const pixels = Math.hypot(other.x - one.x, other.y - one.y);
  return pixels >= 1 && mm > 0 ? mm / pixels : null;
}

/**
 * The field between two opposite corners, in millimetres to the tenth: the photo must be taken straight from above, and the field
 * lie along its edges. Null until all is marked, or where it would be nothing.
 *
 * @example fieldOf([{ x: 0, y: 0 }, { x: 100, y: 0 }, { x: 10, y: 10 }, { x: 210, y: 60 }], 32) // { w: 64, h: 16 }
 */
export function fieldOf(
  marks: readonly Mark[],
  mm: number,
): { readonly w: number; readonly h: number } | null {
  const [one, other, corner, across] = marks;
  if (!one || !other || !corner || !across) return null;
  const scale = scaleOf(one, other, mm);
  if (scale === null) return null;
  const tenth = (n: number) => Math.round(Math.abs(n) * scale * 10) / 10;
  const field = { w: tenth(across.x - corner.x), h: tenth(across.y - corner.y) };
  return field.w > 0 && field.h > 0 ? field : null;
}
