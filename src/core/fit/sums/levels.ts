import { BRICK, HALF_PLATE, PLATE, STUD, tenth } from './measures';

/** One way to fill a height: so many of each on one another. */
export interface Filling {
  readonly bricks: number;
  readonly plates: number;
  /** Half plates: the thickness of a bracket. */
  readonly halves: number;
  /** Parts on their side, in studs of their width: two of them are as tall as five plates. */
  readonly sideways: number;
  readonly mm: number;
  /** How much it is too tall, mm; below zero it leaves a gap. */
  readonly error: number;
}

export interface FillingOptions {
  /** How far off a filling may be, mm. */
  readonly tolerance: number;
  readonly halves: boolean;
  readonly sideways: boolean;
}

/** Beyond it a model is no model any more: ten metres. */
const MOST_MM = 10_000;

/**
 * All that fills a height within a tolerance, the nearest first; of equals what is plainest, then of fewest parts. Bricks
 * take what they can, so that no filling is told twice as plates. Nothing for a height of nothing, or beyond ten metres.
 *
 * fillings(16, { tolerance: 0.1, halves: false, sideways: true })[0] = 2 studs sideways = 5 plates
 */
export function fillings(height: number, options: FillingOptions): Filling[] {
  if (!(height > 0) || height > MOST_MM) return [];
  const found: Filling[] = [];
  for (let sideways = 0; sideways <= (options.sideways ? 4 : 0); sideways++)
    for (let halves = 0; halves <= (options.halves ? 1 : 0); halves++) {
      const rest = height - sideways * STUD - halves * HALF_PLATE;
      const near = Math.max(0, Math.round(rest / PLATE));
      for (const n of [near - 1, near, near + 1]) {
        if (n < 0 || n + sideways + halves === 0) continue;
        const mm = n * PLATE + sideways * STUD + halves * HALF_PLATE;
        if (Math.abs(mm - height) > options.tolerance + 1e-9) continue;
        const bricks = Math.floor(n / 3);
        const [plates, error] = [n % 3, tenth(mm - height)];
        found.push({ bricks, plates, halves, sideways, mm: tenth(mm), error });
      }
    }
  const parts = (f: Filling) => f.bricks + f.plates + f.halves + f.sideways;
  const odd = (f: Filling) => f.sideways + f.halves;
  return found.sort(
    (a, b) => Math.abs(a.error) - Math.abs(b.error) || odd(a) - odd(b) || parts(a) - parts(b),
  );
}

/** Bricks, plates and millimetres as one height, mm: heightOf(2, 1) = 22.4 */
export const heightOf = (bricks: number, plates: number, mm = 0): number =>
  tenth(bricks * BRICK + plates * PLATE + mm);
