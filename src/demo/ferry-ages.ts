import { PALETTE, type LabD65 } from '../core/colour';

/** Chalk that has stood in the sun: yellower by so much b*, darker and a little redder with it. */
export function agedChalk(by: number): LabD65 {
  const fresh = PALETTE.find((c) => c.name === 'chalk');
  if (!fresh) throw new Error('the palette has chalk');
  const { l, a, b } = fresh.lab;
  return { l: l - by * 0.28, a: a + by * 0.09, b: b + by, white: 'D65' };
}

/**
 * The hidden truth of the ferry's hull: how far each piece of a lot has yellowed, in Δb*. Most have aged alike, a few
 * stood in the window, and three were put in new. Only the meter and the photographs know.
 */
export const HULL_AGES: readonly (readonly [part: string, ages: readonly number[]])[] = [
  ['brick 2x4', [...rep(8, 9), ...rep(15.5, 4), ...rep(0.6, 3)]],
  ['brick 1x4', [...rep(8.4, 14), ...rep(16, 5)]],
  ['slope 45 2x2', [...rep(7.6, 8), ...rep(14.8, 4)]],
];

/** Chalk bricks in own parts that have aged like the hull. */
export const STOCK_AGES: readonly (readonly [tray: string, part: string, ages: readonly number[]])[] = [
  ['A2', 'brick 2x4', rep(8.3, 9)],
  ['A1', 'brick 1x4', rep(8.1, 8)],
];

/** So many ages around one, each a little off. */
function rep(age: number, n: number): number[] {
  return Array.from({ length: n }, (_, i) => age + ((i * 7) % 5) * 0.12 - 0.24);
}
