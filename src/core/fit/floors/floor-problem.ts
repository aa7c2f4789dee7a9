import { elementKey, type ElementKey } from '../../parts';
import type { FloorJob } from '../../records';
import type { ColourId, PartId } from '../../shared/ids';
import type { Workbench } from '../../workbench';
import { fail, ok, type Result } from '../../shared/result';
import { courseParts } from '../course-parts';
import type { FloorProblem } from '../lay/problem';
import { PLENTY, suppliesFor } from '../supply';
import type { Way } from '../walls/wall-problem';
import { patternSlabs, type Slab } from './patterns';

export type FloorFault =
  | { readonly fault: 'keep out' | 'keep out twice'; readonly name: string }
  | { readonly fault: 'kerb' }
  | { readonly fault: 'slab'; readonly w: number; readonly d: number }
  | { readonly fault: 'family' };

/** Where a part may lie: in the field, in any of its colours, or in the kerb. A kerb of the field's only colour is field. */
export type Ground = 'field' | 'kerb';

/** A shape of the problem, and what there is of it in each colour: which piece gets which is settled when all lie. */
export interface FloorPart {
  readonly ground: Ground;
  readonly part: PartId;
  readonly w: number;
  readonly d: number;
}

/** A layer of a floor as the engine takes it: slabs of a pattern lie already, and the rest is filled. */
export interface StatedFloor {
  readonly problem: FloorProblem;
  readonly parts: ReadonlyMap<string, FloorPart>;
  readonly slabs: readonly (Slab & { readonly part: PartId })[];
  /** Pieces of each element that are at hand. */
  readonly atHand: ReadonlyMap<ElementKey, number>;
  readonly way: Way;
}

/**
 * States one layer of a floor. Shapes are counted over all colours of the field, since which tile has which colour does
 * not matter to how they lie; the kerb has what there is of its colour.
 *
 * @param under the pieces of the layer below, whose seams are to be crossed: what they took is no longer at hand
 */
export function floorProblem(
  workbench: Workbench,
  job: FloorJob,
  way: Way,
  under: readonly (Slab & { readonly element: ElementKey })[] = [],
): Result<StatedFloor, FloorFault> {
  const fault = floorFault(job);
  if (fault) return fail(fault);
  const shapes = ([1, 2] as const).flatMap((deep) => courseParts(job.family, deep, workbench.elements));
  if (shapes.length === 0) return fail({ fault: 'family' });
  // Where the kerb's colour is one of the field's too, the kerb has what there is of it.
  const kerb = kerbColour(job);
  const field = job.colours.map((c) => c.colour).filter((c) => c !== kerb);
  const elements = shapes.flatMap((s) =>
    [...new Set([...job.colours.map((c) => c.colour), ...(kerb ? [kerb] : [])])].map((c) =>
      elementKey(s.part.id, c),
    ),
  );
  const supplies = suppliesFor(workbench, elements);
  const atHand = new Map(elements.map((e) => [e, supplies(e).atHand]));
  for (const { element } of under) atHand.set(element, Math.max(0, (atHand.get(element) ?? 0) - 1));
  const stated = (ground: Ground, colours: readonly ColourId[]) =>
    shapes.flatMap((s): [FloorProblem['parts'][number], FloorPart][] => {
      const mine = colours.map((c) => elementKey(s.part.id, c));
      const had = mine.reduce((n, e) => n + (atHand.get(e) ?? 0), 0);
      const prices = mine.flatMap((e) => supplies(e).price ?? []);
      const price = way === 'as it lies' || prices.length === 0 ? null : Math.min(...prices);
      if (had === 0 && price === null) return [];
      const id = `${ground}: ${s.part.id}`;
      const part = { ground, part: s.part.id, w: s.deep, d: s.length };
      const limit = price === null ? 0 : PLENTY;
      return [[{ id, colour: ground, w: s.deep, d: s.length, stock: had, price, limit }, part]];
    });
  const parts = [...stated('field', field), ...(kerb ? stated('kerb', [kerb]) : [])];
  const slabs = slabsOf(job, parts);
  if (!slabs) return fail({ fault: 'slab', ...job.slab });
  return ok({
    problem: {
      kind: 'floor',
      width: job.width,
      depth: job.depth,
      keepOut: [...job.keepOut.map(({ x, y, w, d }) => ({ x, y, w, d })), ...slabs.map(rectOf)],
      areas: areasOf(job),
      avoidCrosses: job.pattern === 'no crosses',
      parts: parts.map(([p]) => p),
      ...(under.length > 0 ? { under: under.map(rectOf) } : {}),
    },
    parts: new Map(parts.map(([p, means]) => [p.id, means])),
    slabs,
    atHand,
    way,
  });
}

/** The colour of a kerb that is another ground than the field; null where there is none, or the field has no other. */
const kerbColour = (job: FloorJob): ColourId | null =>
  job.kerb && job.colours.some((c) => c.colour !== job.kerb!.colour) ? job.kerb.colour : null;

const rectOf = ({ x, y, w, d }: Slab): Slab => ({ x, y, w, d });

function floorFault(job: FloorJob): FloorFault | null {
  for (const [i, k] of job.keepOut.entries()) {
    if (k.x + k.w > job.width || k.y + k.d > job.depth) return { fault: 'keep out', name: k.name };
    const twice = job.keepOut
      .slice(0, i)
      .some((o) => k.x < o.x + o.w && o.x < k.x + k.w && k.y < o.y + o.d && o.y < k.y + k.d);
    if (twice) return { fault: 'keep out twice', name: k.name };
  }
  const kerb = job.kerb?.width ?? 0;
  return 2 * kerb >= Math.min(job.width, job.depth) && kerb > 0 ? { fault: 'kerb' } : null;
}

/** The whole for the kerb, and what lies inside of it for the field. */
function areasOf(job: FloorJob): FloorProblem['areas'] {
  const { width: w, depth: d } = job;
  const all = { x: 0, y: 0, w, d };
  if (!job.kerb) return [{ ...all, colours: ['field'] }];
  const k = job.kerb.width;
  return [
    { ...all, colours: [kerbColour(job) ? 'kerb' : 'field'] },
    { x: k, y: k, w: w - 2 * k, d: d - 2 * k, colours: ['field'] },
  ];
}

/** The slabs of a pattern in the field; null where no part has their size. None without a pattern. */
function slabsOf(
  job: FloorJob,
  parts: readonly (readonly [unknown, FloorPart])[],
): (Slab & { part: PartId })[] | null {
  if (job.pattern === 'free' || job.pattern === 'no crosses') return [];
  const [least, most] = [Math.min(job.slab.w, job.slab.d), Math.max(job.slab.w, job.slab.d)];
  const part = parts.find(([, p]) => p.ground === 'field' && p.w === least && p.d === most)?.[1].part;
  if (!part) return null;
  const k = job.kerb?.width ?? 0;
  const field = { x: k, y: k, w: job.width - 2 * k, d: job.depth - 2 * k };
  return patternSlabs(job.pattern, field, job.slab, job.keepOut).map((s) => ({ ...s, part }));
}
