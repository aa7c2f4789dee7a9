import type { Size } from '../ledger';

/** One stud pitch and one brick's height, millimetres. */
export const STUD_MM = 8;
export const BRICK_MM = 9.6;

/** Length, width and height in millimetres: studs × 8.0 and bricks × 9.6, to a tenth. */
export function inMillimetres(size: Size): Size {
  const tenth = (v: number) => Math.round(v * 10) / 10;
  return {
    length: tenth(size.length * STUD_MM),
    width: tenth(size.width * STUD_MM),
    height: tenth(size.height * BRICK_MM),
  };
}

/** What a size grew by in each direction, in its own units; below zero it shrank. */
export const growth = (found: Size, built: Size): Size => ({
  length: built.length - found.length,
  width: built.width - found.width,
  height: built.height - found.height,
});
