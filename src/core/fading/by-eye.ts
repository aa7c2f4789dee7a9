import { deltaE00, type LabD65 } from '../colour';

/** How far a piece has aged as a person sees it. */
export const EYE_DEGREES = ['slightly', 'clearly', 'badly'] as const;
export type EyeDegree = (typeof EYE_DEGREES)[number];
export const EYE_WAYS = ['yellowed', 'faded'] as const;
export type EyeWay = (typeof EYE_WAYS)[number];

/**
 * What each word stands for: the ΔE00 from fresh in the middle of what people call so, and how far off that may be. They lie
 * in the usual grades of fading (seen close up from 2.5, at arm's length from 5, across the room from 10).
 */
export const BY_EYE: Readonly<Record<EyeDegree, { readonly deltaE: number; readonly doubt: number }>> = {
  slightly: { deltaE: 3.5, doubt: 1.5 },
  clearly: { deltaE: 7, doubt: 2.5 },
  badly: { deltaE: 13, doubt: 4 },
};

/** How far off it may be that a piece of which nobody noted anything looks like new. ΔE00. */
export const UNNOTED_DOUBT = 1.5;

/** The way that aged plastic goes: towards yellow and a little darker, or paler with less of its colour. */
function towards(fresh: LabD65, way: EyeWay, step: number): LabD65 {
  if (way === 'yellowed')
    return { l: fresh.l - 0.25 * step, a: fresh.a + 0.06 * step, b: fresh.b + step, white: 'D65' };
  const chroma = Math.hypot(fresh.a, fresh.b);
  // What has no colour to lose gets paler, or where it is white already, greyer.
  const keep = chroma > 0 ? Math.max(0, 1 - step / Math.max(20, chroma)) : 1;
  const paler = fresh.l > 85 ? -0.6 * step : 0.6 * step;
  return { l: fresh.l + paler, a: fresh.a * keep, b: fresh.b * keep, white: 'D65' };
}

/**
 * The colour that a piece noted by eye is taken to have: as far from fresh as the word stands for, found by bisection along
 * the way in which plastic ages.
 *
 * @example eyeLab(chalk.lab, 'yellowed', 'clearly') // ΔE00 7.0 from chalk, at a larger b*
 */
export function eyeLab(fresh: LabD65, way: EyeWay, degree: EyeDegree): LabD65 {
  const wanted = BY_EYE[degree].deltaE;
  let [low, high] = [0, 1];
  while (high < 200 && deltaE00(fresh, towards(fresh, way, high)) < wanted) high *= 2;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (deltaE00(fresh, towards(fresh, way, middle)) < wanted) low = middle;
    else high = middle;
  }
  return towards(fresh, way, high);
}
