import { shadeHex, type Colour } from '../colour';
import type { Drawing } from './solids/draw';

/** A face of a drawn part with the colour it is painted in. */
export interface PaintedFace {
  readonly d: string;
  readonly fill: string;
  readonly stud?: boolean | undefined;
}

/** A drawn part as it is painted: its faces in painter's order, the colour of its edges, how much one sees through it. */
export interface PaintedPart {
  readonly faces: readonly PaintedFace[];
  readonly edge: string;
  readonly opacity: number;
}

const UNKNOWN = '#9a9a9a';

/**
 * A drawn part in its true colour, on the screen, on paper and in files alike: lit faces, edges that stand out of light and dark
 * colours, clear parts that are seen through.
 *
 * @param colour  what the palette has for it; undefined = nobody knows it, and it is grey
 */
export function paintPart({ faces }: Pick<Drawing, 'faces'>, colour: Colour | undefined): PaintedPart {
  const hex = colour?.hex ?? UNKNOWN;
  const shines = colour?.finish === 'metal' || colour?.finish === 'pearl';
  return {
    faces: faces.map((f) => ({
      d: f.d,
      fill: shadeHex(hex, shines && f.light > 1 ? 1.28 : f.light),
      stud: f.stud,
    })),
    edge: (colour?.lab.l ?? 60) < 38 ? shadeHex(hex, 1.34) : shadeHex(hex, 0.5),
    opacity: colour?.finish === 'clear' ? 0.55 : 1,
  };
}
