import type { ElementKey } from '../../parts';
import type { WallJob } from '../../records';
import type { ColourId } from '../../shared/ids';
import { ok, type Result } from '../../shared/result';
import type { Workbench } from '../../workbench';
import { courseParts, hangsOver, type CoursePart } from '../course-parts';
import { LAY } from '../lay/bounds';
import type { WallsProblem } from '../lay/problem';
import { inColours, PLENTY, suppliesFor, type Besides, type Supply } from '../supply';
import { faceStones } from './faces';
import { placeOpenings, type OpeningFault, type PlacedOpening } from './openings';

/** Firm: no joint over a joint, then least money. As it lies: only what is at hand. */
export const WAYS = ['firm', 'as it lies'] as const;
export type Way = (typeof WAYS)[number];

export type WallFault =
  | OpeningFault
  | { readonly fault: 'room of two' }
  | { readonly fault: 'thin'; readonly wall: string }
  | { readonly fault: 'panel'; readonly wall: string }
  | { readonly fault: 'not last'; readonly course: number; readonly family: string };

/** A part of the problem: what lies there. Three plates on one another lie as one brick. */
export interface WallPart {
  readonly element: ElementKey;
  /** Elements for one place: 1, or 3 plates. */
  readonly each: 1 | 3;
  readonly supply: Supply;
}

/** A job as the engine takes it, and what its parts and places mean. */
export interface StatedWalls {
  readonly problem: WallsProblem;
  readonly parts: ReadonlyMap<string, WallPart>;
  readonly openings: readonly PlacedOpening[];
  /** Studs that teeth add at the left end of each wall: places of the problem are so much further on. */
  readonly teeth: ReadonlyMap<string, number>;
}

/** A family in a colour: what a course, a panel or a corner is of. A colour of null is any that is at hand. */
interface Matter {
  readonly colour: ColourId | null;
  readonly family: string;
}

/** The name of a matter in the problem: pieces lie where the same name is asked for. */
const matterKey = (m: Matter): string => `${m.colour ?? 'any'} ${m.family}`;

/**
 * States a job for the engine. Courses of each family and colour are matters of their own; teeth are openings in every
 * other course; stones of a corner's colour are two studs long and one, in turn.
 *
 * @example wallsProblem(workbench, job, 'firm') // { ok: true, value: { problem: { kind: 'walls', ... }, parts, ... } }
 */
export function wallsProblem(
  workbench: Workbench,
  job: WallJob,
  way: Way,
  besides: Besides = new Map(),
): Result<StatedWalls, WallFault> {
  const placed = placeOpenings(job);
  if (!placed.ok) return placed;
  if (job.meet === 'room' && job.walls.length < 3) return { ok: false, reason: { fault: 'room of two' } };
  const corners = cornersOf(job);
  const met = (wall: string, end: 'left' | 'right') =>
    corners.some((k) => (k.a === wall && k.aEnd === end) || (k.b === wall && k.bEnd === end));
  const tooth = (w: WallJob['walls'][number], end: 'left' | 'right') =>
    w[end] === 'toothed in' && !met(w.id, end) ? 1 : 0;
  const teeth = new Map(job.walls.map((w) => [w.id, tooth(w, 'left')]));
  const walls = job.walls.map((w) => ({ id: w.id, length: w.length + tooth(w, 'left') + tooth(w, 'right') }));
  const lengthOf = new Map(walls.map((w) => [w.id, w.length]));
  const thin = job.walls.find((w) => w.length < 2 * job.thick && job.meet !== 'apart');
  if (thin) return { ok: false, reason: { fault: 'thin', wall: thin.name } };
  const outside = job.panels.find(
    (p) =>
      p.from + p.width > (job.walls.find((w) => w.id === p.wall)?.length ?? 0) ||
      p.bottom + p.courses > job.courses.length,
  );
  if (outside)
    return {
      ok: false,
      reason: { fault: 'panel', wall: job.walls.find((w) => w.id === outside.wall)?.name ?? outside.wall },
    };
  const under = job.courses.slice(0, -1).findIndex((c) => hangsOver(c.family));
  if (under >= 0)
    return {
      ok: false,
      reason: { fault: 'not last', course: under + 1, family: job.courses[under]!.family },
    };
  const shift = (wall: string) => teeth.get(wall) ?? 0;
  const gaps = job.walls.flatMap((w) =>
    (['left', 'right'] as const).flatMap((end) =>
      tooth(w, end) ? toothGaps(w.id, end === 'left' ? 0 : lengthOf.get(w.id)! - 1, job.courses.length) : [],
    ),
  );
  const panels = job.panels.map((p) => ({
    wall: p.wall,
    from: p.from + shift(p.wall),
    width: p.width,
    bottom: p.bottom,
    courses: p.courses,
    colour: matterKey(p),
  }));
  const faces = faceStones(job, placed.value).map((f) => ({
    wall: f.wall,
    from: f.at + shift(f.wall),
    width: f.along,
    bottom: f.course,
    courses: 1,
    colour: matterKey({ colour: job.courses[f.course]!.colour, family: f.family }),
  }));
  const stones = job.corners === null ? [] : stonesOf(job, corners, lengthOf, job.corners);
  const parts = partsOf(workbench, job, way, besides);
  return ok({
    problem: {
      kind: 'walls',
      walls,
      corners,
      courses: job.courses.map((c) => ({
        colour: matterKey(c),
        ...(hasInside(job) && c.colour !== null ? { inside: matterKey({ ...c, colour: null }) } : {}),
      })),
      openings: [
        ...placed.value.map(({ wall, from, width, bottom, courses }) => ({
          wall,
          from: from + shift(wall),
          width,
          bottom,
          courses,
        })),
        ...gaps,
      ],
      areas: [...faces, ...panels, ...stones],
      thick: job.thick,
      parts: parts.map(([part]) => part),
    },
    parts: new Map(parts.map(([part, means]) => [part.id, means])),
    openings: placed.value,
    teeth,
  });
}

/** Where the walls of a job meet. */
function cornersOf(job: WallJob): WallsProblem['corners'] {
  if (job.meet === 'apart') return [];
  const pairs = job.walls.slice(1).map((w, i) => [job.walls[i]!.id, w.id] as const);
  const [first, last] = [job.walls[0]!, job.walls.at(-1)!];
  const all = job.meet === 'room' ? [...pairs, [last.id, first.id] as const] : pairs;
  return all.map(([a, b]) => ({ a, aEnd: 'right', b, bEnd: 'left' }));
}

/** In every other course, from the second, the standing wall keeps the place of the tooth. */
const toothGaps = (wall: string, from: number, courses: number): WallsProblem['openings'] =>
  Array.from({ length: courses >> 1 }, (_, i) => ({ wall, from, width: 1, bottom: 2 * i + 1, courses: 1 }));

/** Stones of a colour of their own at the corners: long on one wall and short on the other, course by course in turn. */
function stonesOf(
  job: WallJob,
  corners: WallsProblem['corners'],
  lengthOf: ReadonlyMap<string, number>,
  colour: ColourId,
): NonNullable<WallsProblem['areas']> {
  return corners.flatMap((k) =>
    job.courses.flatMap(({ family }, course) =>
      (
        [
          [k.a, k.aEnd, course % 2 === 0],
          [k.b, k.bEnd, course % 2 === 1],
        ] as const
      ).map(([wall, end, long]) => {
        const width = job.thick + (long ? 1 : 0);
        const from = end === 'left' ? 0 : lengthOf.get(wall)! - width;
        return { wall, from, width, bottom: course, courses: 1, colour: matterKey({ colour, family }) };
      }),
    ),
  );
}

/** Whether something of a job may be of any colour behind what is seen. */
const hasInside = (job: Pick<WallJob, 'thick' | 'anyInside'>): boolean => job.thick === 2 && job.anyInside;

type StatedPart = readonly [WallsProblem['parts'][number], WallPart];

/**
 * The parts of all matters of a job, with what is at hand of each. What several of them could take is stated once, for the
 * first: what is seen before what is hidden, a plate as a plate before three of them as a brick.
 */
function partsOf(workbench: Workbench, job: WallJob, way: Way, besides: Besides): StatedPart[] {
  const matters = new Map<string, Matter>();
  const add = (m: Matter) => matters.set(matterKey(m), m);
  job.courses.forEach(add);
  job.panels.forEach(add);
  if (hasInside(job)) for (const { family } of job.courses) add({ colour: null, family });
  for (const { family } of job.faces)
    for (const c of job.courses)
      if (c.colour !== null && c.family === 'brick') add({ colour: c.colour, family });
  if (job.corners !== null) for (const { family } of job.courses) add({ colour: job.corners, family });
  const rank = (c: Choice) => (c.matter.colour === null ? 2 : 0) + (c.each === 3 ? 1 : 0);
  const wanted = [...matters.values()]
    .flatMap((m) => choicesOf(workbench, job, m))
    .sort((a, b) => rank(a) - rank(b));
  const supplies = suppliesFor(workbench, new Set(wanted.map((w) => w.element)), besides);
  const claimed = new Set<ElementKey>();
  const stated = wanted.flatMap(({ matter, shape, element, each }): StatedPart[] => {
    const supply = supplies(element);
    const stock = claimed.has(element) ? 0 : Math.floor(supply.atHand / each);
    if (stock > 0) claimed.add(element);
    const price = way === 'as it lies' || supply.price === null ? null : supply.price * each;
    // Of any colour at hand only what is at hand is stated, and what is cheapest to buy below.
    if (stock === 0 && (price === null || (matter.colour === null && each === 3))) return [];
    return [
      [
        {
          id: `${matterKey(matter)}: ${each === 3 ? '3 ' : ''}${element}`,
          colour: matterKey(matter),
          length: shape.length,
          deep: shape.deep,
          ...(shape.part.family.directed ? { onlyAlong: true } : {}),
          ...(matter.family === 'arch' ? { feet: true } : {}),
          stock,
          price,
          limit: price === null ? 0 : PLENTY,
        },
        { element, each, supply },
      ],
    ];
  });
  // What is at hand in least number is left out first, where there are more kinds than the engine takes.
  return cheapestHidden(stated)
    .sort((a, b) => Number(b[0].price !== null) - Number(a[0].price !== null) || b[0].stock - a[0].stock)
    .slice(0, LAY.parts);
}

interface Choice {
  readonly matter: Matter;
  readonly shape: CoursePart;
  readonly element: ElementKey;
  readonly each: 1 | 3;
}

function choicesOf(workbench: Workbench, job: WallJob, matter: Matter): Choice[] {
  const deeps = job.thick === 2 ? ([1, 2] as const) : ([1] as const);
  // What stands out over a thin wall lies on it with its one row.
  const hangs = job.thick === 1 && hangsOver(matter.family);
  const shapes = (hangs ? ([2] as const) : deeps)
    .flatMap((d) => courseParts(matter.family, d, workbench.elements))
    .map((shape) => ({ shape: hangs ? { ...shape, deep: 1 } : shape, each: 1 as const }));
  const plates = deeps.flatMap((d) =>
    courseParts('plate', d, []).map((shape) => ({ shape, each: 3 as const })),
  );
  const all = [...shapes, ...(job.plates && matter.family === 'brick' ? plates : [])];
  return all.flatMap(({ shape, each }) =>
    inColours(shape.part.id, matter.colour, workbench).map((element) => ({ matter, shape, element, each })),
  );
}

/** Of a hidden course only the cheapest colour of each shape is offered to buy: which one it is does not matter. */
function cheapestHidden(stated: readonly StatedPart[]): StatedPart[] {
  const least = new Map<string, number>();
  const shapeOf = ([part]: StatedPart) => `${part.colour} ${part.length} ${part.deep ?? 1}`;
  for (const s of stated)
    least.set(shapeOf(s), Math.min(least.get(shapeOf(s)) ?? Infinity, s[0].price ?? Infinity));
  const sold = new Set<string>();
  return stated.flatMap((s): StatedPart[] => {
    const [part, means] = s;
    if (!part.colour.startsWith('any ')) return [s];
    const first = part.price === least.get(shapeOf(s)) && !sold.has(shapeOf(s));
    if (first) sold.add(shapeOf(s));
    if (first) return [s];
    return part.stock > 0 ? [[{ ...part, price: null, limit: 0 }, means]] : [];
  });
}
