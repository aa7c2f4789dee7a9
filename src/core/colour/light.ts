import type { LabD65 } from './colour';

/** CIE XYZ, Y = 1 for the white of its light. The white point stands in the name of whatever makes one. */
export type Xyz = readonly [x: number, y: number, z: number];
type Matrix = readonly [Xyz, Xyz, Xyz];

/** The white of D65 (CIE 15, 2° observer). */
export const WHITE_D65: Xyz = [0.95047, 1, 1.08883];

/** Linear sRGB to XYZ under D65 (IEC 61966-2-1). */
const TO_XYZ: Matrix = [
  [0.4124564, 0.3575761, 0.1804375],
  [0.2126729, 0.7151522, 0.072175],
  [0.0193339, 0.119192, 0.9503041],
];
const FROM_XYZ: Matrix = [
  [3.2404542, -1.5371385, -0.4985314],
  [-0.969266, 1.8760108, 0.041556],
  [0.0556434, -0.2040259, 1.0572252],
];
/** Cone responses after Lam (1985), the Bradford transform, as used by the ICC. */
const BRADFORD: Matrix = [
  [0.8951, 0.2664, -0.1614],
  [-0.7502, 1.7135, 0.0367],
  [0.0389, -0.0685, 1.0296],
];
const BRADFORD_BACK: Matrix = [
  [0.9869929, -0.1470543, 0.1599627],
  [0.4323053, 0.5183603, 0.0492912],
  [-0.0085287, 0.0400428, 0.9684867],
];

const times = (m: Matrix, v: Xyz): Xyz => [
  m[0][0] * v[0] + m[0][1] * v[1] + m[0][2] * v[2],
  m[1][0] * v[0] + m[1][1] * v[1] + m[1][2] * v[2],
  m[2][0] * v[0] + m[2][1] * v[1] + m[2][2] * v[2],
];

/** The XYZ of linear sRGB (channels 0 to 1). */
export const xyzOfLinear = (rgb: Xyz): Xyz => times(TO_XYZ, rgb);
/** Linear sRGB of an XYZ; channels outside 0 to 1 are out of its gamut. */
export const linearOfXyz = (xyz: Xyz): Xyz => times(FROM_XYZ, xyz);

/**
 * What a surface seen as `xyz` in a light of white `from` would look like in a light of white `to`: von Kries scaling of
 * Bradford cone responses. Both whites may have any Y; the result is scaled by their ratio.
 */
export function adaptXyz(xyz: Xyz, from: Xyz, to: Xyz): Xyz {
  const [seen, a, b] = [times(BRADFORD, xyz), times(BRADFORD, from), times(BRADFORD, to)];
  return times(BRADFORD_BACK, [(seen[0] * b[0]) / a[0], (seen[1] * b[1]) / a[1], (seen[2] * b[2]) / a[2]]);
}

const CUT = (6 / 29) ** 3;
const f = (t: number): number => (t > CUT ? Math.cbrt(t) : t / (3 * (6 / 29) ** 2) + 4 / 29);
const back = (t: number): number => (t > 6 / 29 ? t ** 3 : 3 * (6 / 29) ** 2 * (t - 4 / 29));

/** Lab under D65 of an XYZ under D65 (CIE 15). */
export function labOfXyzD65(xyz: Xyz): LabD65 {
  const [x, y, z] = [f(xyz[0] / WHITE_D65[0]), f(xyz[1]), f(xyz[2] / WHITE_D65[2])];
  return { l: 116 * y - 16, a: 500 * (x - y), b: 200 * (y - z), white: 'D65' };
}

/** XYZ under D65 of a Lab under D65: the inverse of `labOfXyzD65`. */
export function xyzD65OfLab(lab: LabD65): Xyz {
  const y = (lab.l + 16) / 116;
  return [back(y + lab.a / 500) * WHITE_D65[0], back(y), back(y - lab.b / 200) * WHITE_D65[2]];
}

/** sRGB's transfer: 0 to 255 to linear 0 to 1, as a table. */
export const LINEAR_OF_BYTE: Float64Array = Float64Array.from({ length: 256 }, (_, i) => {
  const v = i / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
});

/** Linear 0 to 1 to sRGB 0 to 255, clipped and rounded. */
export function byteOfLinear(v: number): number {
  const c = Math.min(1, Math.max(0, v));
  return Math.round(255 * (c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055));
}

/** sRGB #rrggbb of a Lab under D65, clipped to what a screen can show. */
export function hexOfLab(lab: LabD65): string {
  const bytes = linearOfXyz(xyzD65OfLab(lab)).map(byteOfLinear);
  return `#${bytes.map((b) => b.toString(16).padStart(2, '0')).join('')}`;
}

/**
 * XYZ (Y = 1) of a light of some colour temperature in kelvin: of a black body below 4000 K after Kim et al. (2002), of
 * daylight from 4000 K up after CIE 15. Clamped to 1667 K and 25000 K, where these hold.
 */
export function whiteOfTemperature(kelvin: number): Xyz {
  const t = Math.min(25000, Math.max(1667, kelvin));
  const [x, y] = t < 4000 ? blackBody(t) : daylight(t);
  return [x / y, 1, (1 - x - y) / y];
}

function blackBody(t: number): [number, number] {
  const x = -0.2661239e9 / t ** 3 - 0.234358e6 / t ** 2 + 0.8776956e3 / t + 0.17991;
  const y =
    t < 2222
      ? -1.1063814 * x ** 3 - 1.3481102 * x ** 2 + 2.18555832 * x - 0.20219683
      : -0.9549476 * x ** 3 - 1.37418593 * x ** 2 + 2.09137015 * x - 0.16748867;
  return [x, y];
}

function daylight(t: number): [number, number] {
  const x =
    t <= 7000
      ? -4.607e9 / t ** 3 + 2.9678e6 / t ** 2 + 0.09911e3 / t + 0.244063
      : -2.0064e9 / t ** 3 + 1.9018e6 / t ** 2 + 0.24748e3 / t + 0.23704;
  return [x, -3 * x * x + 2.87 * x - 0.275];
}

/** Correlated colour temperature of a white in kelvin, after McCamy (1992). Rough below 2000 K and far off the locus. */
export function temperatureOf(white: Xyz): number {
  const sum = white[0] + white[1] + white[2];
  const n = (white[0] / sum - 0.332) / (0.1858 - white[1] / sum);
  return 449 * n ** 3 + 3525 * n ** 2 + 6823.3 * n + 5520.33;
}
