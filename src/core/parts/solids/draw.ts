import type { PartId } from '../../shared/ids';
import type { Part } from '../part';
import { BUILDERS, extentOf, type Extent } from './builders';
import { isSeen, lightOf, normalOf, project, round, type Point, type Shape, type Vec } from './geometry';

/** One face of a drawing: an SVG path and how bright it is (1 = the colour itself). */
export interface DrawnFace {
  readonly d: string;
  readonly light: number;
  /** True for studs: where they are many their edges are drawn fainter. */
  readonly stud?: boolean;
}

/** A part drawn as a small solid. Coordinates are stud pitches on the page; `box` is [x, y, width, height]. */
export interface Drawing {
  readonly faces: readonly DrawnFace[];
  readonly box: readonly [number, number, number, number];
  /** A path on the face turned to the eye where a print is marked. */
  readonly printMark: string;
  readonly studs: number;
}

const MAX_STUDS = 400;
const STUD = { radius: 0.3, height: 0.2 };
const cache = new Map<PartId, Drawing>();

/** Draws a part from its geometry: body first, studs on top, faces in painter's order. Remembered per part. */
export function drawPart(part: Part): Drawing {
  const known = cache.get(part.id);
  if (known) return known;
  const fresh = drawUncached(part);
  cache.set(part.id, fresh);
  return fresh;
}

function drawUncached(part: Part): Drawing {
  const extent = clampExtent(extentOf(part));
  const body = BUILDERS[part.family.solid](extent, part);
  const faces = body.flatMap(drawShape);
  const studs = studsOf(part, extent);
  const all = [...faces, ...mergeByLight(studs.flatMap(drawShape))];
  return { faces: all, box: boundsOf([...body, ...studs]), printMark: markOn(extent), studs: studs.length };
}

/** Keeps a mistyped "plate 1x4000" drawable. */
const clampExtent = ({ x, y, z }: Extent): Extent => ({
  x: Math.min(48, Math.max(0.5, x)),
  y: Math.min(48, Math.max(0.5, y)),
  z: Math.min(24, Math.max(0.2, z)),
});

function studsOf(part: Part, { x, y, z }: Extent): Shape[] {
  const at = (i: number, j: number, high = z): Shape =>
    round([i + 0.5, j + 0.5, high], STUD.radius, STUD.height);
  const columns = Math.floor(x);
  const rows = Math.floor(y);
  switch (part.family.studs) {
    case 'none':
      return [];
    case 'middle':
      return [round([x / 2, y / 2, z], STUD.radius, STUD.height)];
    case 'top-row':
      return part.angle !== undefined || x > 1 ? range(x > 1 ? rows : 0).map((j) => at(0, j)) : [];
    case 'all': {
      if (columns * rows > MAX_STUDS) return [];
      const high = part.family.solid === 'bracket' && part.family.height === 1 ? z + 0.5 : z;
      return range(columns).flatMap((i) =>
        range(rows).flatMap((j) =>
          part.family.solid === 'corner' && i >= 1 && j >= 1 ? [] : [at(i, j, high)],
        ),
      );
    }
  }
}

const range = (n: number): number[] => Array.from({ length: n }, (_, i) => i);
/** A length in studs as it is drawn: finer than a thousandth is seen by nobody, and weighs. */
export const drawn = (studs: number): number => Math.round(studs * 1000) / 1000;

const fix = (n: number): string => String(drawn(n));
const pathOf = (points: readonly Point[]): string =>
  `M${points.map(([x, y]) => `${fix(x)} ${fix(y)}`).join('L')}Z`;

/** A circle in a level plane is seen as an ellipse with these half-axes for radius 1 (isometric). */
const WIDE = Math.sqrt(3 / 2);
const HIGH = Math.SQRT1_2;

function drawShape(shape: Shape): DrawnFace[] {
  if (shape.kind === 'face') {
    const n = normalOf(shape.points);
    return isSeen(n) ? [{ d: pathOf(shape.points.map(project)), light: lightOf(n) }] : [];
  }
  const [cx, base] = project(shape.at);
  const top = base - shape.height;
  const [b, t] = [shape.bottom, shape.top];
  const half = (side: -1 | 1): string =>
    `M${fix(cx)} ${fix(base + b * HIGH)}A${fix(b * WIDE)} ${fix(b * HIGH)} 0 0 ${side < 0 ? 1 : 0} ${fix(cx + side * b * WIDE)} ${fix(base)}` +
    `L${fix(cx + side * t * WIDE)} ${fix(top)}A${fix(t * WIDE)} ${fix(t * HIGH)} 0 0 ${side < 0 ? 0 : 1} ${fix(cx)} ${fix(top + t * HIGH)}Z`;
  const [rx, ry] = [fix(t * WIDE), fix(t * HIGH)];
  const cap = `M${fix(cx - t * WIDE)} ${fix(top)}a${rx} ${ry} 0 1 0 ${fix(2 * t * WIDE)} 0a${rx} ${ry} 0 1 0 ${fix(-2 * t * WIDE)} 0Z`;
  return [
    { d: half(-1), light: 0.84 },
    { d: half(1), light: 0.7 },
    { d: cap, light: 1.06 },
  ];
}

/** Studs share three lights; one path for each keeps a large plate light to draw. */
function mergeByLight(faces: readonly DrawnFace[]): DrawnFace[] {
  const byLight = new Map<number, string>();
  for (const f of faces) byLight.set(f.light, (byLight.get(f.light) ?? '') + f.d);
  return [...byLight].map(([light, d]) => ({ light, d, stud: true }));
}

function boundsOf(shapes: readonly Shape[]): [number, number, number, number] {
  const points = shapes.flatMap((s): Point[] => {
    if (s.kind === 'face') return s.points.map(project);
    const [cx, base] = project(s.at);
    const r = Math.max(s.bottom, s.top);
    return [
      [cx - r * WIDE, base - s.height - s.top * HIGH],
      [cx + r * WIDE, base + s.bottom * HIGH],
    ];
  });
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return [x, y, Math.max(...xs) - x, Math.max(...ys) - y];
}

/** Three short strokes: on the top of flat parts, on the side of tall ones. */
function markOn({ x, y, z }: Extent): string {
  const line = (a: Vec, b: Vec) => {
    const [p, q] = [project(a), project(b)];
    return `M${fix(p[0])} ${fix(p[1])}L${fix(q[0])} ${fix(q[1])}`;
  };
  const flat = z <= 0.5;
  return [0.3, 0.5, 0.7]
    .map((k, i) => {
      const end = i === 2 ? 0.55 : 0.8;
      return flat
        ? line([x * 0.2, y * k, z], [x * end, y * k, z])
        : line([x * 0.2, y, z * (1 - k)], [x * end, y, z * (1 - k)]);
    })
    .join('');
}
