import type { LayProblem } from '../fit/lay';
import { between, pick, seededRandom, type Random } from '../shared/random';

const COLOURS = ['ash', 'kelp', 'bark'];

/** Parts of some lengths in some colours: scarce or plenty, some not for sale. */
function supplies(random: Random, colours: readonly string[], lengths: readonly number[]) {
  return colours.flatMap((colour) =>
    lengths.map((length) => ({
      id: `brick 1x${length} ${colour}`,
      colour,
      length,
      stock: between(random, 0, 9),
      price: length > 1 && random() < 0.15 ? null : between(random, 2, 6) + length,
      limit: length === 1 ? 500 : between(random, 0, 60),
    })),
  );
}

/** Walls that may meet at corners, with openings, in stripes of colour. */
export function randomWalls(seed: number, size: { length: number; courses: number }): LayProblem {
  const random = seededRandom(seed);
  const walls = ['quay', 'slip', 'yard'].slice(0, between(random, 1, 3)).map((id) => ({
    id,
    length: between(random, Math.max(4, size.length >> 1), size.length),
  }));
  const corners = walls
    .slice(1)
    .flatMap((w, i) =>
      random() < 0.8 ? [{ a: walls[i]!.id, aEnd: 'right' as const, b: w.id, bEnd: 'left' as const }] : [],
    );
  const courses = Array.from({ length: size.courses }, () => ({ colour: pick(random, COLOURS) }));
  const openings = walls.flatMap((w) =>
    random() < 0.6 && w.length > 5
      ? [
          {
            wall: w.id,
            from: between(random, 1, w.length - 4),
            width: 2,
            bottom: between(random, 0, 1),
            courses: Math.min(2, size.courses - 1),
          },
        ]
      : [],
  );
  return {
    kind: 'walls',
    walls,
    corners,
    courses,
    openings,
    parts: supplies(random, COLOURS, [1, 2, 3, 4, 6]),
    ...(random() < 0.2 ? { prefer: 'money' as const } : {}),
  };
}

/** The same walls two studs thick, of parts one and two deep, with an area of another colour in the first of them. */
export function thickWalls(seed: number, size: { length: number; courses: number }): LayProblem {
  const problem = randomWalls(seed, size);
  if (problem.kind !== 'walls') throw new Error('walls were asked for');
  const [wall] = problem.walls;
  return {
    ...problem,
    thick: 2,
    walls: problem.walls.map((w) => ({ ...w, length: Math.max(4, w.length) })),
    parts: problem.parts.flatMap((p) => [
      { ...p, deep: 1 },
      { ...p, id: `${p.id} deep`, deep: 2, limit: p.length === 1 ? 500 : p.limit },
    ]),
    areas: seed % 2 ? [{ wall: wall!.id, from: 1, width: 2, bottom: 0, courses: 2, colour: 'bark' }] : [],
  };
}

/** A floor with places kept free and a border of its own colour. */
export function randomFloor(seed: number, width: number, depth: number): LayProblem {
  const random = seededRandom(seed);
  const sizes = [
    [1, 1],
    [1, 2],
    [1, 4],
    [2, 2],
    [2, 4],
  ] as const;
  return {
    kind: 'floor',
    width,
    depth,
    keepOut:
      random() < 0.6
        ? [{ x: between(random, 0, width - 2), y: between(random, 0, depth - 2), w: 2, d: 1 }]
        : [],
    areas: [
      { x: 0, y: 0, w: width, d: depth, colours: ['ash', 'kelp'] },
      ...(random() < 0.5 ? [{ x: 0, y: 0, w: width, d: 1, colours: ['bark'] }] : []),
    ],
    avoidCrosses: random() < 0.8,
    parts: COLOURS.flatMap((colour) =>
      sizes.map(([w, d]) => ({
        id: `tile ${w}x${d} ${colour}`,
        colour,
        w,
        d,
        stock: between(random, 0, 8),
        price: w * d > 1 && random() < 0.15 ? null : between(random, 2, 5) + w * d,
        limit: w * d === 1 ? 500 : between(random, 0, 40),
      })),
    ),
    ...(random() < 0.2 ? { prefer: 'money' as const } : {}),
  };
}

/** A second layer over a floor of plates of four by two, whose seams are to be crossed. */
export function layerOver(seed: number, width: number, depth: number): LayProblem {
  const floor = randomFloor(seed, width, depth);
  if (floor.kind !== 'floor') throw new Error('a floor was asked for');
  const under = Array.from({ length: depth >> 1 }, (_, j) =>
    Array.from({ length: width >> 2 }, (_, i) => ({ x: 4 * i, y: 2 * j, w: 4, d: 2 })),
  ).flat();
  return { ...floor, avoidCrosses: seed % 2 === 0, under };
}
