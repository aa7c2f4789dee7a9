import type { FloorJob, Plot, WallJob } from '../records';
import { asId, type ColourId } from '../shared/ids';
import { between, pick, seededRandom } from '../shared/random';
import { makeWorkbench, TEST_BUILD, zoneId } from './workbench';
import type { Workbench } from '../workbench';

const colour = (name: string): ColourId => asId<ColourId>(name);
const wall = (id: string, length: number): WallJob['walls'][number] => ({
  id,
  name: id,
  length,
  left: 'free',
  right: 'free',
});

/** A wall of 12 studs and four courses of bricks in ash, with what a test says of it otherwise. */
export const wallJobOf = (more: Partial<WallJob> = {}): WallJob => ({
  id: asId('job'),
  build: TEST_BUILD,
  zone: zoneId('Wall'),
  name: 'Garden wall',
  walls: [wall('north', 12)],
  meet: 'apart',
  thick: 1,
  anyInside: false,
  courses: Array.from({ length: 4 }, () => ({ colour: colour('ash'), family: 'brick' })),
  corners: null,
  openings: [],
  panels: [],
  faces: [],
  plates: false,
  planned: null,
  ...more,
});

export const wallsOf = (...lengths: number[]): WallJob['walls'] =>
  lengths.map((l, i) => wall(['north', 'east', 'south', 'west'][i] ?? `wall ${i}`, l));

/** Courses by their colours from the bottom, of bricks where nothing else is said: "ash", "kelp plate", "any brick". */
export const coursesOf = (...texts: string[]): WallJob['courses'] =>
  texts.map((t) => {
    const [name = '', ...family] = t.split(' ');
    return { colour: name === 'any' ? null : colour(name), family: family.join(' ') || 'brick' };
  });

/** A workspace with bricks and plates of some sizes in trays, and prices for them. */
export const fitWorkbench = (stock: readonly string[], prices: readonly string[] = PRICES): Workbench =>
  makeWorkbench({ zones: { Wall: ['1 brick 1x2 chalk'] }, stock, prices });

const PRICES = ['ash', 'kelp', 'bark'].flatMap((c) =>
  [1, 2, 3, 4, 6, 8].flatMap((n) => [`brick 1x${n} ${c} ${4 + n}`, `tile 1x${n} ${c} ${3 + n}`]),
);

/** A job of any kind that makes sense: walls that meet or not, thick or thin, with openings, panels, stones and teeth. */
export function randomWallJob(seed: number): WallJob {
  const random = seededRandom(seed);
  const meet = pick(random, ['apart', 'row', 'room'] as const);
  const walls = wallsOf(
    ...Array.from({ length: meet === 'room' ? 4 : between(random, 1, 3) }, () => between(random, 8, 14)),
  ).map((w) => ({
    ...w,
    left: pick(random, ['free', 'toothed in'] as const),
    right: pick(random, ['free', 'toothed in'] as const),
  }));
  const courses = coursesOf(
    ...Array.from({ length: between(random, 3, 6) }, () =>
      pick(random, ['ash', 'kelp', 'any', 'ash plate', 'bark tile']),
    ),
  );
  const first = walls[0]!;
  return wallJobOf({
    walls,
    meet,
    thick: between(random, 1, 2),
    anyInside: random() < 0.5,
    courses,
    corners: random() < 0.4 ? colour('chalk') : null,
    openings:
      random() < 0.7
        ? [
            {
              wall: first.id,
              name: 'window',
              width: 2,
              bottom: 1,
              courses: 2,
              from: random() < 0.5 ? null : 3,
              count: 1,
            },
          ]
        : [],
    panels:
      random() < 0.3
        ? [
            {
              wall: walls.at(-1)!.id,
              from: 4,
              width: 3,
              bottom: 0,
              courses: 1,
              colour: colour('bark'),
              family: 'brick',
            },
          ]
        : [],
    faces: random() < 0.3 ? [{ family: 'masonry brick', share: between(random, 5, 40) }] : [],
    plates: random() < 0.5,
  });
}

/** A floor of 12 x 8 tiles in ash, with what a test says of it otherwise. */
export const floorJobOf = (more: Partial<FloorJob> = {}): FloorJob => ({
  id: asId('floor'),
  build: TEST_BUILD,
  zone: zoneId('Wall'),
  name: 'Terrace',
  width: 12,
  depth: 8,
  family: 'tile',
  layers: 1,
  colours: [{ colour: colour('ash'), share: 1 }],
  pattern: 'no crosses',
  slab: { w: 2, d: 1 },
  kerb: null,
  keepOut: [],
  planned: null,
  ...more,
});

/** A bakery of 16 x 32 studs beside a build, with what a test says of it otherwise. */
export const neighbourOf = (more: Partial<Plot['neighbours'][number]> = {}): Plot['neighbours'][number] => ({
  name: 'Bakery',
  width: 16,
  depth: 32,
  storeys: [],
  kerb: null,
  cornices: [],
  doors: [],
  shares: false,
  ...more,
});
