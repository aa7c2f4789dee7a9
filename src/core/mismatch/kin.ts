import { deltaE00, type Colour } from '../colour';

/** Two reds, two blues: a person sees one for the other's stripe gone wrong up to here. */
const OF_ONE_FAMILY = 28;
/** Degrees of hue within which two colours read as shades of one, and the chroma below which there is no hue. */
const ONE_HUE = 20;
const LEAST_CHROMA = 15;

/**
 * True where two colours read as shades of one: of one family or of one hue, and not too far apart. Greys, whites and
 * blacks have no hue.
 *
 * @example areKin(coral, brickRed) // true: a slope of the one in a band of the other is a slip
 */
export function areKin(a: Colour | undefined, b: Colour | undefined): boolean {
  if (!a || !b) return false;
  if (deltaE00(a.lab, b.lab) > OF_ONE_FAMILY) return false;
  if (a.family === b.family) return true;
  const [x, y] = [a, b].map(({ lab }) => ({
    hue: (Math.atan2(lab.b, lab.a) * 180) / Math.PI,
    chroma: Math.hypot(lab.a, lab.b),
  }));
  const apart = Math.abs(x!.hue - y!.hue) % 360;
  return Math.min(x!.chroma, y!.chroma) > LEAST_CHROMA && Math.min(apart, 360 - apart) < ONE_HUE;
}
