import { elementKey, type ElementKey } from '../../parts';
import type { FloorJob } from '../../records';
import type { ColourId } from '../../shared/ids';
import { seededRandom, type Random } from '../../shared/random';
import { weakPlaces, type LaidPiece } from '../lay';
import type { Slab } from './patterns';
import type { StatedFloor } from './floor-problem';

/** A piece of a floor as it is drawn. */
export interface FloorPiece extends Slab {
  readonly element: ElementKey;
  readonly layer: number;
  /** True where it is bought: what is at hand has ended. */
  readonly bought: boolean;
}

/** A layer as it is laid. */
export interface LaidFloor {
  readonly pieces: readonly FloorPiece[];
  /** Where four corners meet, or a seam lies over a seam of the layer below. */
  readonly joints: readonly { readonly x: number; readonly y: number }[];
  readonly empty: readonly { readonly layer: number; readonly x: number; readonly y: number }[];
  /** Studs of each colour of the field as it came out. */
  readonly shares: ReadonlyMap<ColourId, number>;
}

/**
 * A layer of a floor with its colours. Each kind of shape is shared out by the shares that were asked for, what is at hand
 * first; pieces of one colour are kept apart where they can be. The same plan has the same colours every time.
 */
export function laidFloor(
  job: FloorJob,
  stated: StatedFloor,
  plan: readonly LaidPiece[],
  layer = 0,
): LaidFloor {
  const shapes = [
    ...stated.slabs.map((s) => ({ ...s, ground: 'field' as const })),
    ...plan.flatMap((p) => {
      const means = stated.parts.get(p.part);
      if (!('turned' in p) || !means) return [];
      const [w, d] = p.turned ? [means.d, means.w] : [means.w, means.d];
      return [{ x: p.x, y: p.y, w, d, part: means.part, ground: means.ground }];
    }),
  ];
  const random = seededRandom(job.width * 131 + job.depth);
  const left = new Map(stated.atHand);
  const field = shapes.filter((s) => s.ground === 'field');
  for (const s of shapes) if (s.ground === 'kerb') takeOne(left, elementKey(s.part, job.kerb!.colour));
  const colours = shareOut(job, field, left, random, stated.way === 'firm');
  const there = new Map(stated.atHand);
  const pieces = shapes.map((s): FloorPiece => {
    const colour = s.ground === 'kerb' ? job.kerb!.colour : colours.get(s)!;
    const element = elementKey(s.part, colour);
    const bought = takeOne(there, element) < 0;
    return { element, layer, x: s.x, y: s.y, w: s.w, d: s.d, bought };
  });
  const shares = new Map<ColourId, number>();
  for (const s of field) shares.set(colours.get(s)!, (shares.get(colours.get(s)!) ?? 0) + s.w * s.d);
  const weak = weakPlaces(stated.problem, plan);
  return {
    pieces,
    joints: weak.joints.flatMap((j) => ('x' in j ? [j] : [])),
    empty: weak.empty.flatMap((e) => ('x' in e ? [{ layer, ...e }] : [])),
    shares,
  };
}

interface Shape extends Slab {
  readonly part: Parameters<typeof elementKey>[0];
}

/** The colour of each piece of the field. */
function shareOut(
  job: FloorJob,
  field: readonly Shape[],
  atHand: ReadonlyMap<ElementKey, number>,
  random: Random,
  buys: boolean,
): Map<Shape, ColourId> {
  const parts = job.colours.reduce((s, c) => s + c.share, 0);
  const studs = field.reduce((s, f) => s + f.w * f.d, 0);
  /** Studs that a colour still lacks of its share. */
  const lacks = new Map(job.colours.map((c) => [c.colour, (studs * c.share) / parts]));
  const left = new Map(atHand);
  const colours = new Map<Shape, ColourId>();
  const near = new Map<string, ColourId>();
  // Large pieces first: small ones even out what they left.
  const order = field
    .map((shape) => ({ shape, by: random() }))
    .sort((a, b) => b.shape.w * b.shape.d - a.shape.w * a.shape.d || a.by - b.by);
  for (const { shape } of order) {
    const size = shape.w * shape.d;
    const worth = (colour: ColourId): number => {
      const lacking = lacks.get(colour)!;
      const has = (left.get(elementKey(shape.part, colour)) ?? 0) > 0;
      const beside = around(shape).some((k) => near.get(k) === colour);
      // What is at hand may go over its share by a few pieces; beside its like only where there is nothing else.
      if (!has && !buys) return -Infinity;
      return Math.min(lacking, size * 4) + (has ? size * 1.5 : 0) - (beside ? size * 0.75 : 0);
    };
    const [best] = job.colours.map((c) => c.colour).sort((a, b) => worth(b) - worth(a));
    colours.set(shape, best!);
    lacks.set(best!, lacks.get(best!)! - size);
    takeOne(left, elementKey(shape.part, best!));
    for (const k of inside(shape)) near.set(k, best!);
  }
  return colours;
}

/** Takes one of an element, and says how many are left: below zero it was not there. */
function takeOne(left: Map<ElementKey, number>, element: ElementKey): number {
  const now = (left.get(element) ?? 0) - 1;
  left.set(element, now);
  return now;
}

function* inside({ x, y, w, d }: Slab): Generator<string> {
  for (let j = y; j < y + d; j++) for (let i = x; i < x + w; i++) yield `${i} ${j}`;
}

function around({ x, y, w, d }: Slab): string[] {
  const keys: string[] = [];
  for (let i = x; i < x + w; i++) keys.push(`${i} ${y - 1}`, `${i} ${y + d}`);
  for (let j = y; j < y + d; j++) keys.push(`${x - 1} ${j}`, `${x + w} ${j}`);
  return keys;
}

/** A floor as it was planned; null while it is only stated. */
export const plannedFloor = (job: FloorJob): Omit<LaidFloor, 'shares'> | null => job.planned;
