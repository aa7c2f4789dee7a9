import type { SolidName } from '../families';
import type { Part } from '../part';
import { alongY, arc, box, PLATE, round, upright, type Point, type Shape } from './geometry';

/** A part's extent: `x` and `y` in studs, `z` in stud pitches. */
export interface Extent {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** Long parts run to the lower right; slopes and wedges fall towards it. */
export function extentOf(part: Part): Extent {
  const [a, b] = part.size;
  return part.family.directed
    ? { x: a, y: b, z: part.height * PLATE }
    : { x: b, y: a, z: part.height * PLATE };
}

/** Gives the shapes of a body in painter's order, back ones first. Studs are added afterwards. */
type Builder = (e: Extent, part: Part) => Shape[];

const block: Builder = ({ x, y, z }) => box([0, 0, 0], [x, y, z]);

const roundBody: Builder = ({ x, y, z }) => {
  const r = Math.min(x, y) / 2;
  return [round([x / 2, y / 2, 0], r, z)];
};

const slope: Builder = ({ x, y, z }, part) => {
  const ridge = part.family.name === 'ridge slope';
  const lip = z > PLATE * 2.5 ? 0.2 : 0.08;
  const flat = ridge || x <= 1 ? 0 : Math.min(1, x - 1);
  const profile: Point[] = ridge
    ? [
        [0, 0],
        [x, 0],
        [x, lip],
        [x / 2, z],
        [0, lip],
      ]
    : flat > 0
      ? [
          [0, 0],
          [x, 0],
          [x, lip],
          [flat, z],
          [0, z],
        ]
      : [
          [0, 0],
          [x, 0],
          [x, lip],
          [0, z],
        ];
  return alongY(profile, 0, y);
};

const invertedSlope: Builder = ({ x, y, z }) =>
  alongY(
    [
      [0, 0],
      [Math.max(0.4, x - 1), 0],
      [x, z - 0.25],
      [x, z],
      [0, z],
    ],
    0,
    y,
  );

const curve: Builder = ({ x, y, z }) =>
  alongY([[0, 0], [x, 0], [x, 0.1], ...arc(0, 0.1, x, z - 0.1, 0, Math.PI / 2, 8)], 0, y);

const arch: Builder = ({ x, y, z }) => {
  const half = Math.max(0.3, x / 2 - 1);
  const rise = Math.max(0.25, z - 0.45);
  const opening = arc(x / 2, 0, half, rise, Math.PI, 0, 12);
  return alongY([[0, 0], ...opening, [x, 0], [x, z], [0, z]], 0, y);
};

const frame: Builder = ({ x, y, z }) => {
  const t = 0.16;
  return [
    ...box([0, 0, 0], [x, y, t]),
    ...box([0, 0, t], [t, y, z - t]),
    ...box([x - t, 0, t], [x, y, z - t]),
    ...box([0, 0, z - t], [x, y, z]),
  ];
};

const leaf: Builder = ({ x, z }) => [
  ...box([0, 0, 0], [x, 0.25, z]),
  ...box([0.12, 0.25, z * 0.55], [x - 0.12, 0.3, z - 0.12]),
  ...box([0.12, 0.25, 0.12], [x - 0.12, 0.3, z * 0.48]),
];

const panel: Builder = ({ x, y, z }) => [
  ...box([0, 0, 0], [x, y, 0.12]),
  ...box([0, 0, 0.12], [x, 0.16, z]),
  ...(y > 1 ? box([0, 0.16, 0.12], [0.16, y, z]) : []),
];

const fence: Builder = ({ x, z }) => {
  const posts = Math.max(2, Math.round(x) + 1);
  return [
    ...box([0, 0.3, 0], [x, 0.5, 0.16]),
    ...Array.from({ length: posts }, (_, i) => {
      const at = (i * (x - 0.16)) / (posts - 1);
      return box([at, 0.32, 0.16], [at + 0.16, 0.48, z - 0.16]);
    }).flat(),
    ...box([0, 0.3, z - 0.16], [x, 0.5, z]),
  ];
};

const wedge: Builder = ({ x, y, z }, part) => {
  const outline: Point[] = [
    [0, 0],
    [x, part.family.height === 1 ? y * 0.5 : y * 0.25],
    [x, y],
    [0, y],
  ];
  return upright(outline, 0, z);
};

const corner: Builder = ({ x, y, z }) => {
  const arm = Math.min(1, x / 2, y / 2) || 0.5;
  return [...box([0, 0, 0], [x, arm, z]), ...box([0, arm, 0], [arm, y, z])];
};

const cone: Builder = ({ x, y, z }) => [round([x / 2, y / 2, 0], Math.min(x, y) / 2, z, Math.min(x, y) / 4)];

const dome: Builder = ({ x, y, z }) => {
  const r = Math.min(x, y) / 2;
  return [0, 1, 2, 3].map((i) => {
    const at = (k: number) => Math.cos((k / 4) * (Math.PI / 2)) * r;
    return round([x / 2, y / 2, (i * z) / 4], at(i), z / 4, Math.max(at(i + 1), r * 0.18));
  });
};

const dish: Builder = ({ x, y, z }) => {
  const r = Math.min(x, y) / 2;
  return [round([x / 2, y / 2, 0], r * 0.35, z * 0.5), round([x / 2, y / 2, z * 0.5], r * 0.5, z * 0.5, r)];
};

const grille: Builder = ({ x, y, z }) => [
  ...box([0, 0, 0], [x, y, z * 0.55]),
  ...Array.from({ length: 4 }, (_, i) =>
    box([0, (i * y) / 4 + 0.02, z * 0.55], [x, (i * y) / 4 + y / 8 + 0.02, z]),
  ).flat(),
];

const bracket: Builder = ({ x, y, z }) =>
  z > PLATE * 1.5
    ? block({ x, y, z }, {} as Part)
    : [...box([0, 0, 0.5], [x, y, 0.5 + z]), ...box([0, y, 0], [x, y + 0.18, 0.5 + z])];

const hinge: Builder = ({ x, y, z }) => [
  ...box([0, 0, 0], [x / 2 - 0.04, y, z]),
  ...box([x / 2 - 0.04, 0.2, 0.05], [x / 2 + 0.04, y - 0.2, z - 0.05]),
  ...box([x / 2 + 0.04, 0, 0], [x, y, z]),
];

const clip: Builder = ({ x, y, z }) => [
  ...box([0, 0, 0], [x, y, z]),
  ...box([x, y * 0.3, 0.05], [x + 0.25, y * 0.42, z]),
  ...box([x, y * 0.58, 0.05], [x + 0.25, y * 0.7, z]),
];

const bar: Builder = ({ x }) => alongY(arc(0.16, 0.16, 0.16, 0.16, 0, Math.PI * 2, 8).slice(0, -1), 0, x);

const ladder: Builder = ({ x, z }) => {
  const rungs = Math.max(3, Math.round(z / 0.5));
  return [
    ...box([0, 0.3, 0], [0.15, 0.45, z]),
    ...Array.from({ length: rungs }, (_, i) => {
      const at = ((i + 0.5) * z) / rungs;
      return box([0.15, 0.32, at], [x - 0.15, 0.43, at + 0.12]);
    }).flat(),
    ...box([x - 0.15, 0.3, 0], [x, 0.45, z]),
  ];
};

const wheel: Builder = ({ x, z }) => {
  const r = z / 2;
  const rim = (k: number, a: number, b: number) =>
    alongY(arc(r, r, r * k, r * k, 0, Math.PI * 2, 20).slice(0, -1), a, b);
  return [...rim(1, 0, Math.max(0.8, x / 2)), ...rim(0.5, 0, Math.max(0.8, x / 2) + 0.06)];
};

const rod: Builder = ({ x }) => [
  ...alongY(arc(0.3, 0.3, 0.3, 0.3, 0, Math.PI * 2, 10).slice(0, -1), 0, x * 0.55),
  ...alongY(arc(0.3, 0.3, 0.22, 0.22, 0, Math.PI * 2, 10).slice(0, -1), x * 0.55, x),
];

const beam: Builder = ({ x, y, z }) => {
  const r = z / 2;
  const end = [
    ...arc(x - r, r, r, r, -Math.PI / 2, Math.PI / 2, 8),
    ...arc(r, r, r, r, Math.PI / 2, Math.PI * 1.5, 8),
  ];
  const holes = Array.from({ length: Math.max(1, Math.round(x)) }, (_, i) =>
    alongY(arc(i + 0.5, r, 0.24, 0.24, 0, Math.PI * 2, 10).slice(0, -1), y, y + 0.01),
  );
  return [...alongY(end, 0, y), ...holes.flat()];
};

const gear: Builder = ({ x, z }) => {
  const r = x / 2;
  const teeth = Math.max(8, Math.round(x * 6));
  const outline = Array.from({ length: teeth * 2 }, (_, i): Point => {
    const t = (i / (teeth * 2)) * Math.PI * 2;
    const k = i % 2 ? r : r * 0.8;
    return [r + k * Math.cos(t), r + k * Math.sin(t)];
  });
  return [
    ...upright(outline, 0, Math.max(0.3, z * 0.6)),
    round([r, r, Math.max(0.3, z * 0.6)], r * 0.3, 0.2),
  ];
};

const flag: Builder = ({ x, z }) => [
  ...box([0, 0.4, 0], [0.15, 0.55, z]),
  ...box([0.15, 0.43, z * 0.45], [x + 0.4, 0.52, z]),
];

const plant: Builder = ({ x, y, z }) => {
  const r = Math.min(x, y) / 2;
  return [
    round([x / 2, y / 2, 0], r * 0.25, z * 0.5),
    ...[0.9, 0.65, 0.35].map((k, i) =>
      round([x / 2, y / 2, z * (0.3 + i * 0.23)], r * k, z * 0.24, r * k * 0.6),
    ),
  ];
};

const hull: Builder = ({ x, y, z }) => {
  const profile: Point[] = [
    [x * 0.12, 0],
    [x * 0.88, 0],
    [x, z],
    [0, z],
  ];
  return alongY(profile, 0, y);
};

const stairs: Builder = ({ x, y, z }) => {
  const steps = Math.max(3, Math.round(z / 0.4 / 1.5));
  return Array.from({ length: steps }, (_, i) =>
    box([(i * x) / steps, 0, 0], [((i + 1) * x) / steps, y, z - (i * z) / steps]),
  ).flat();
};

const figure: Builder = ({ x, y, z }) => [
  ...box([0.1, y * 0.25, 0], [x - 0.1, y * 0.75, z * 0.4]),
  ...box([0, y * 0.2, z * 0.4], [x, y * 0.8, z * 0.72]),
  round([x / 2, y / 2, z * 0.72], Math.min(x, y) * 0.3, z * 0.22),
];

const general: Builder = ({ x, y, z }) => [
  ...box([0, 0, 0], [x, y, z * 0.6]),
  ...box([0.4, 0.4, z * 0.6], [x - 0.4, y - 0.4, z]),
];

/** One builder for each solid that a family can name. */
export const BUILDERS: Readonly<Record<SolidName, Builder>> = {
  box: block,
  round: roundBody,
  slope,
  'inverted-slope': invertedSlope,
  curve,
  arch,
  frame,
  'leaf-door': leaf,
  panel,
  fence,
  wedge,
  corner,
  cone,
  dome,
  dish,
  grille,
  bracket,
  hinge,
  clip,
  bar,
  ladder,
  wheel,
  rod,
  beam,
  gear,
  flag,
  plant,
  hull,
  stairs,
  figure,
  general,
};
