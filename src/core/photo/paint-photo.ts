import {
  adaptXyz,
  byteOfLinear,
  linearOfXyz,
  WHITE_D65,
  whiteOfTemperature,
  xyzD65OfLab,
  type LabD65,
  type Xyz,
} from '../colour';
import type { Random } from '../shared/random';
import type { Pixels } from './sample';

/** A plain rectangle in a painted photo. */
export interface PaintedPatch {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Its true colour. */
  readonly lab: LabD65;
  /** A streak of glare and a shaded edge over it. */
  readonly glare?: boolean;
}

export interface PhotoScene {
  readonly width: number;
  readonly height: number;
  readonly background: LabD65;
  readonly patches: readonly PaintedPatch[];
  /** Colour temperature of the light. */
  readonly kelvin: number;
  /** White balance that the camera was set to, kelvin; daylight when left out. */
  readonly balance?: number;
  /** Brightness of a perfect white, linear, 1 = the top of the scale. */
  readonly exposure: number;
  /** Light lost from the left edge to the right, as a share. */
  readonly falloff?: number;
  /** Standard deviation of the noise, linear, at white. */
  readonly noise: number;
}

/**
 * Paints a photo of plain patches whose true colours are known, in a light of some colour: the demo's photographs and
 * the truth that the tests hold the reader against. Noise grows with the root of the light, as a sensor's does.
 */
export function paintPhoto(scene: PhotoScene, random: Random): Pixels {
  const { width, height } = scene;
  const data = new Uint8ClampedArray(width * height * 4);
  const seenAs = (white: Xyz) => adaptXyz(white, whiteOfTemperature(scene.balance ?? 6504), WHITE_D65);
  const light = seenAs(whiteOfTemperature(scene.kelvin));
  const top = Math.max(...linearOfXyz(light));
  const inLight = (lab: LabD65) =>
    linearOfXyz(adaptXyz(xyzD65OfLab(lab), WHITE_D65, light)).map((v) => (v / top) * scene.exposure);
  const ground = inLight(scene.background);
  const colours = scene.patches.map((p) => inLight(p.lab));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = scene.patches.findLastIndex(
        (p) => x >= p.x && y >= p.y && x < p.x + p.width && y < p.y + p.height,
      );
      const patch = scene.patches[i];
      const colour = colours[i] ?? ground;
      const dim = (1 - ((scene.falloff ?? 0) * x) / width) * (patch ? shadeAt(patch, x, y) : 1);
      const shine = patch?.glare && isGlare(patch, x, y) ? 0.6 * scene.exposure : 0;
      for (let c = 0; c < 3; c++) {
        const v = (colour[c] ?? 0) * dim + shine;
        const grain = (random() + random() + random() + random() - 2) * Math.sqrt(3) * scene.noise;
        data[(y * width + x) * 4 + c] = byteOfLinear(v + grain * Math.sqrt(Math.max(0.01, v)));
      }
      data[(y * width + x) * 4 + 3] = 255;
    }
  return { width, height, data };
}

/** A diagonal streak over a seventh of the patch. */
const isGlare = (p: PaintedPatch, x: number, y: number): boolean =>
  (x - p.x + y - p.y) % (p.width + p.height) > 0.75 * p.width &&
  (x - p.x + y - p.y) % (p.width + p.height) < 0.95 * p.width;

/** The lowest eighth of a patch with glare lies in shadow too. */
const shadeAt = (p: PaintedPatch, _x: number, y: number): number =>
  p.glare && y - p.y > p.height * 0.88 ? 0.45 : 1;
