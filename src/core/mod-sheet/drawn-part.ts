import { shadeHex, type Colour } from '../colour';
import { drawPart, partOf, splitElementKey, type ElementKey } from '../parts';

/** A face of a drawn part with the colours it is painted in. */
export interface PaintedFace {
  readonly d: string;
  readonly fill: string;
}

/** A part as it is painted on paper: its faces in painter's order, the box they lie in, the colour of its edges. */
export interface DrawnPart {
  readonly faces: readonly PaintedFace[];
  readonly box: readonly [x: number, y: number, w: number, h: number];
  readonly edge: string;
  readonly opacity: number;
}

const UNKNOWN = '#9a9a9a';

/**
 * A part as a small solid in its true colour, for paper and files: the same faces, light and edges as on the screen.
 *
 * @param colour  what the palette has for it; undefined = nobody knows it, and it is grey
 */
export function drawnPart(element: ElementKey, colour: Colour | undefined): DrawnPart {
  const { part } = splitElementKey(element);
  const { faces, box } = drawPart(partOf(part));
  const hex = colour?.hex ?? UNKNOWN;
  const shines = colour?.finish === 'metal' || colour?.finish === 'pearl';
  return {
    faces: faces.map((f) => ({ d: f.d, fill: shadeHex(hex, shines && f.light > 1 ? 1.28 : f.light) })),
    box,
    edge: (colour?.lab.l ?? 60) < 38 ? shadeHex(hex, 1.34) : shadeHex(hex, 0.5),
    opacity: colour?.finish === 'clear' ? 0.55 : 1,
  };
}
