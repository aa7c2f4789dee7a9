import { assert } from '../shared/assert';

/** How far a faded part is seen, least first. */
export const FADING_GRADES = [
  'cannot be seen',
  'seen side by side',
  'seen close up',
  'seen at arm’s length',
  'seen across the room',
] as const;
export type FadingGrade = (typeof FADING_GRADES)[number];

/** ΔE00 at which each grade but the first begins. A person may set others. */
export type FadingThresholds = readonly [number, number, number, number];
export const DEFAULT_THRESHOLDS: FadingThresholds = [1, 2.5, 5, 10];

/** Four rising numbers above zero, or undefined. */
export function asThresholds(values: readonly number[] | undefined): FadingThresholds | undefined {
  const [a, b, c, d, ...more] = values ?? [];
  if (a === undefined || b === undefined || c === undefined || d === undefined || more.length > 0)
    return undefined;
  return a > 0 && a < b && b < c && c < d ? [a, b, c, d] : undefined;
}

/** The grade of a difference in ΔE00: fadingGrade(0.4) = "cannot be seen". Asserts that it is not negative. */
export function fadingGrade(deltaE: number, thresholds: FadingThresholds = DEFAULT_THRESHOLDS): FadingGrade {
  assert(deltaE >= 0, 'a difference is not negative', deltaE);
  const above = thresholds.filter((t) => deltaE >= t).length;
  return FADING_GRADES[above] ?? 'seen across the room';
}
