/**
 * The little geometry that parts are drawn from. x runs to the lower right, y to the lower left, z up; the unit is one
 * stud pitch (8.0 mm), so a plate is 0.4 high. Seen from (1, 1, 1), isometric.
 */
export type Vec = readonly [x: number, y: number, z: number];
export type Point = readonly [x: number, y: number];

/** A flat face or a standing round, ready to be projected. Rounds are drawn with true ellipses. */
export type Shape =
  | { readonly kind: 'face'; readonly points: readonly Vec[] }
  | {
      readonly kind: 'round';
      readonly at: Vec;
      readonly bottom: number;
      readonly top: number;
      readonly height: number;
      readonly open?: boolean;
    };

export const PLATE = 0.4;
const COS30 = Math.sqrt(3) / 2;

export const project = ([x, y, z]: Vec): Point => [(x - y) * COS30, (x + y) / 2 - z];

const sub = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** The outward unit normal of a face whose points run anticlockwise seen from outside (Newell's method). */
export function normalOf(points: readonly Vec[]): Vec {
  let n: Vec = [0, 0, 0];
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length] ?? p;
    const c = cross(sub(p, points[0] ?? p), sub(q, points[0] ?? p));
    n = [n[0] + c[0], n[1] + c[1], n[2] + c[2]];
  });
  const size = Math.hypot(...n) || 1;
  return [n[0] / size, n[1] / size, n[2] / size];
}

/** True when a face with this normal is turned to the eye. */
export const isSeen = (n: Vec): boolean => n[0] + n[1] + n[2] > 1e-6;

/** How bright a face is under the light from above left: 1 is the colour itself. */
export function lightOf(n: Vec): number {
  const part = (v: number, lit: number) => v * v * (v > 0 ? lit : 0.58);
  return part(n[0], 0.68) + part(n[1], 0.86) + part(n[2], 1.05);
}

/** A block from one corner to the opposite one. */
export function box(from: Vec, to: Vec): Shape[] {
  const outline: Point[] = [
    [from[0], from[1]],
    [to[0], from[1]],
    [to[0], to[1]],
    [from[0], to[1]],
  ];
  return upright(outline, from[2], to[2]);
}

/** An outline in the ground plane (anticlockwise seen from above, x to the right and y up the page) raised to a prism. */
export function upright(outline: readonly Point[], low: number, high: number): Shape[] {
  const at = (p: Point, z: number): Vec => [p[0], p[1], z];
  const faces: Shape[] = outline.map((p, i) => {
    const q = outline[(i + 1) % outline.length] ?? p;
    return { kind: 'face', points: [at(p, low), at(q, low), at(q, high), at(p, high)] };
  });
  return [...faces, { kind: 'face', points: outline.map((p) => at(p, high)) }];
}

/** A profile in the x-z plane (anticlockwise, x right, z up) drawn out along y. */
export function alongY(profile: readonly Point[], from: number, to: number): Shape[] {
  const at = (p: Point, y: number): Vec => [p[0], y, p[1]];
  const sides: Shape[] = profile.map((p, i) => {
    const q = profile[(i + 1) % profile.length] ?? p;
    return { kind: 'face', points: [at(p, from), at(p, to), at(q, to), at(q, from)] };
  });
  return [...sides, { kind: 'face', points: [...profile].reverse().map((p) => at(p, to)) }];
}

/** Points of an arc from angle `a` to `b` (radians), both ends included. */
export function arc(
  cx: number,
  cy: number,
  rx: number,
  ry: number,
  a: number,
  b: number,
  steps = 12,
): Point[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const t = a + ((b - a) * i) / steps;
    return [cx + rx * Math.cos(t), cy + ry * Math.sin(t)] as const;
  });
}

export const round = (at: Vec, radius: number, height: number, top = radius): Shape => ({
  kind: 'round',
  at,
  bottom: radius,
  top,
  height,
});
