/** Millimetres of the grid: a stud's pitch, a brick, a plate, and the half plate of a bracket. */
export const STUD = 8;
export const BRICK = 9.6;
export const PLATE = 3.2;
export const HALF_PLATE = 1.6;

/** A length in millimetres as bricks and plates of height: the whole plates below it, and what is over, mm. */
export function asBricksAndPlates(mm: number): { bricks: number; plates: number; over: number } {
  const all = Math.floor(mm / PLATE + 1e-9);
  return { bricks: Math.floor(all / 3), plates: all % 3, over: tenth(mm - all * PLATE) };
}

/** To a tenth of a millimetre: finer is not built. */
export const tenth = (mm: number): number => Math.round(mm * 10) / 10 + 0;
