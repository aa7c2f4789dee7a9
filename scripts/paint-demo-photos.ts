import { mkdirSync } from 'node:fs';
import sharp from 'sharp';
import { PALETTE, type LabD65 } from '../src/core/colour';
import { paintPhoto, type PaintedPatch } from '../src/core/photo';
import { seededRandom } from '../src/core/shared/random';
import { agedChalk } from '../src/demo/ferry-ages';

/** Paints the demo's photographs: the ferry's hull beside a grey card, by the light of a lamp. */
const GREY: LabD65 = { l: 49.5, a: 0, b: 0, white: 'D65' };
const HARBOUR = PALETTE.find((c) => c.name === 'harbour')?.lab ?? GREY;

/** Courses of the hull: a little yellow, very yellow in the sun, and three bricks that somebody put in new. */
function hull(width: number, height: number): PaintedPatch[] {
  const [w, h, gap] = [width / 8.4, height / 7.6, 4];
  const patches: PaintedPatch[] = [];
  for (let row = 0; row < 6; row++)
    for (let column = 0; column < 8; column++) {
      const x = width * 0.02 + column * w + (row % 2 ? -w / 2 : 0);
      const fresh = row === 3 && column >= 2 && column <= 4;
      const lab = row === 5 ? HARBOUR : agedChalk(fresh ? 0.4 : row < 2 ? 15 : 8);
      patches.push({
        x,
        y: height * 0.06 + row * h,
        width: w - gap,
        height: h - gap,
        lab,
        glare: row === 2 && column === 6,
      });
    }
  patches.push({
    x: width * 0.72,
    y: height * 0.7,
    width: width * 0.2,
    height: height * 0.24,
    lab: GREY,
  });
  return patches;
}

async function paint(
  file: string,
  width: number,
  height: number,
  kelvin: number,
  seed: number,
): Promise<void> {
  const scene = {
    width,
    height,
    background: { l: 26, a: 1, b: 4, white: 'D65' as const },
    patches: hull(width, height),
    kelvin,
    balance: 3900,
    exposure: 0.82,
    noise: 0.006,
    falloff: 0.04,
  };
  const { data } = paintPhoto(scene, seededRandom(seed));
  const image = sharp(Buffer.from(data.buffer), { raw: { width, height, channels: 4 } }).removeAlpha();
  await (file.endsWith('.jpg') ? image.jpeg({ quality: 90 }) : image.webp({ quality: 80 })).toFile(file);
}

mkdirSync('public/demo', { recursive: true });
await paint('public/demo/hull.jpg', 1500, 1000, 3100, 1);
await paint('public/demo/finding-hull.webp', 640, 480, 3400, 2);
