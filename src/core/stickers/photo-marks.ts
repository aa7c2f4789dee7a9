import type { Disc } from '../photo';

/** A place on a photo, in its own pixels. */
export interface Mark {
  readonly x: number;
  readonly y: number;
}

/**
 * Where a field's colour is read on its photo: a disc in its middle that keeps off its edges, and one on the card that was marked
 * beside it, as wide. Null until the field is marked.
 *
 * @example discsOf([{ x: 0, y: 0 }, { x: 9, y: 0 }, { x: 10, y: 10 }, { x: 50, y: 30 }, { x: 80, y: 80 }])
 * // { field: { x: 30, y: 20, radius: 6 }, card: { x: 80, y: 80, radius: 6 } }
 */
export function discsOf(marks: readonly Mark[]): { readonly field: Disc; readonly card: Disc | null } | null {
  const [, , corner, across, card] = marks;
  if (!corner || !across) return null;
  const radius = 0.3 * Math.min(Math.abs(across.x - corner.x), Math.abs(across.y - corner.y));
  if (radius < 2) return null;
  const middle = { x: (corner.x + across.x) / 2, y: (corner.y + across.y) / 2 };
  return { field: { ...middle, radius }, card: card ? { ...card, radius } : null };
}

/**
 * What is marked on a photo in their order: the two ends of a length that is known, a row of studs or a ruler, and two opposite
 * corners of a field; and, for its colour, a card in the same light.
 */
export const MARK_NAMES = [
  'one end',
  'the other end',
  'a corner',
  'the corner across',
  'the card beside it',
] as const;

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
