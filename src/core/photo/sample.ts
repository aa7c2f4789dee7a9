import { LINEAR_OF_BYTE, type Xyz } from '../colour';

/** A picture as a canvas gives it: RGBA bytes, row by row, sRGB. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray | Uint8Array;
}

/** A round place in a picture, in pixels. */
export interface Disc {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

/** What the pixels of a disc come to. Linear sRGB, 0 to 1. */
export interface Sample {
  readonly mean: Xyz;
  /** Standard error of each channel. */
  readonly error: Xyz;
  readonly used: number;
  /** Shares of the disc that were left out. */
  readonly clipped: number;
  /** Share of what was used with a channel at the floor of the scale: what it was is lost. */
  readonly floored: number;
  readonly glare: number;
  readonly shadow: number;
  /** Spread of the brightness of what was used, over its mean. */
  readonly relativeSpread: number;
  /** How much the brightness changes across the disc, as a share: uneven light on a plain card. */
  readonly slope: number;
}

/** A channel this near to an end of the scale says nothing of what lies beyond it. */
const CLIP_HIGH = 252;
/** No more pixels than this are looked at: a wide disc is read in steps. */
const MOST = 40_000;

/**
 * Samples a disc: clipped pixels are left out first, then glare and shadow, told by a brightness farther from the
 * median than three times the usual distance (median absolute deviation) and than a twentieth of the median. Undefined
 * when the disc's centre is outside of the picture.
 */
export function sampleDisc(pixels: Pixels, disc: Disc): Sample | undefined {
  const { width, height } = pixels;
  if (!(disc.x >= 0 && disc.y >= 0 && disc.x < width && disc.y < height && disc.radius > 0)) return undefined;
  const found = gather(pixels, disc);
  const kept = withoutGlare(found.good);
  const n = kept.used.length;
  const [mean, error] = meanAndError(kept.used);
  const lumas = kept.used.map((p) => p.luma);
  const average = lumas.reduce((a, b) => a + b, 0) / Math.max(1, n);
  const spread = Math.sqrt(lumas.reduce((s, v) => s + (v - average) ** 2, 0) / Math.max(1, n));
  const all = Math.max(1, found.all);
  return {
    mean,
    error,
    used: n,
    clipped: found.clipped / all,
    floored: kept.used.filter((p) => p.floored).length / Math.max(1, n),
    glare: kept.glare / all,
    shadow: kept.shadow / all,
    relativeSpread: average > 0 ? spread / average : 0,
    slope: average > 0 ? slopeOf(kept.used, disc) / average : 0,
  };
}

interface Pixel {
  readonly rgb: Xyz;
  readonly luma: number;
  readonly floored: boolean;
  readonly dx: number;
  readonly dy: number;
}

function gather({ width, height, data }: Pixels, { x, y, radius }: Disc) {
  const step = Math.max(1, Math.ceil(Math.sqrt((Math.PI * radius * radius) / MOST)));
  const good: Pixel[] = [];
  let [all, clipped] = [0, 0];
  for (let py = Math.max(0, Math.ceil(y - radius)); py <= Math.min(height - 1, y + radius); py += step)
    for (let px = Math.max(0, Math.ceil(x - radius)); px <= Math.min(width - 1, x + radius); px += step) {
      const [dx, dy] = [px - x, py - y];
      if (dx * dx + dy * dy > radius * radius) continue;
      all++;
      const at = (py * width + px) * 4;
      const [r, g, b] = [data[at]!, data[at + 1]!, data[at + 2]!];
      const high = Math.max(r, g, b) >= CLIP_HIGH;
      // One dark channel is a colour; all three at the floor are no reading at all.
      const low = Math.max(r, g, b) <= 2;
      if (high || low) {
        clipped++;
        continue;
      }
      const rgb: Xyz = [LINEAR_OF_BYTE[r]!, LINEAR_OF_BYTE[g]!, LINEAR_OF_BYTE[b]!];
      const floored = Math.min(r, g, b) === 0;
      good.push({ rgb, floored, luma: 0.2126729 * rgb[0] + 0.7151522 * rgb[1] + 0.072175 * rgb[2], dx, dy });
    }
  return { good, all, clipped };
}

function withoutGlare(pixels: readonly Pixel[]) {
  if (pixels.length === 0) return { used: [] as Pixel[], glare: 0, shadow: 0 };
  const median = medianOf(Float64Array.from(pixels, (p) => p.luma));
  const usual = medianOf(Float64Array.from(pixels, (p) => Math.abs(p.luma - median)));
  const limit = Math.max(3 * 1.4826 * usual, 0.05 * median);
  const used = pixels.filter((p) => Math.abs(p.luma - median) <= limit);
  const glare = pixels.reduce((s, p) => s + (p.luma - median > limit ? 1 : 0), 0);
  return { used, glare, shadow: pixels.length - used.length - glare };
}

function medianOf(values: Float64Array): number {
  const sorted = values.sort();
  return sorted[sorted.length >> 1] ?? 0;
}

function meanAndError(pixels: readonly Pixel[]): [Xyz, Xyz] {
  const n = Math.max(1, pixels.length);
  const channel = (c: 0 | 1 | 2): [number, number] => {
    let [sum, square] = [0, 0];
    for (const p of pixels) {
      sum += p.rgb[c];
      square += p.rgb[c] * p.rgb[c];
    }
    const mean = sum / n;
    return [mean, Math.sqrt(Math.max(0, square / n - mean * mean) / n)];
  };
  const [r, g, b] = [channel(0), channel(1), channel(2)];
  return [
    [r[0], g[0], b[0]],
    [r[1], g[1], b[1]],
  ];
}

/** Change of brightness from one edge of the disc to the other along its steepest way, by least squares. */
function slopeOf(pixels: readonly Pixel[], { radius }: Disc): number {
  let [xx, yy, xl, yl] = [1e-9, 1e-9, 0, 0];
  for (const p of pixels) {
    xx += p.dx * p.dx;
    yy += p.dy * p.dy;
    xl += p.dx * p.luma;
    yl += p.dy * p.luma;
  }
  return 2 * radius * Math.hypot(xl / xx, yl / yy);
}
