import * as z from '../shared/zod';
import { COLOUR_FAMILIES, FINISHES } from '../colour';
import { elementSchema } from '../formats/record-schemas';
import { splitElementKey, type ElementKey } from '../parts';
import { LIMITS } from '../shared/bounds';
import { cutText } from '../shared/text';

/** The name and version that a patch says it keeps to. */
export const PATCH_SCHEMA = 'evarn-patch/1';

/** Bounds of a patch: more than the longest log that is known of. */
export const PATCH = {
  steps: 5000,
  lines: 60_000,
  zones: 2000,
  depth: 30,
  lots: 2000,
  elements: 20_000,
} as const;

const name = z.string().trim().min(1).max(LIMITS.name);
const lot = z.strictObject({ element: elementSchema, qty: z.int().min(1).max(LIMITS.qty) });
const lots = z.array(lot).max(PATCH.lots);
/** A place in the list of zones. */
const zone = z.int().min(0).max(PATCH.zones);

const line = z.strictObject({
  /** Where its pieces go, and where those that leave lie. */
  zone,
  from: zone,
  off: lots,
  on: lots,
  /** True = the same pieces, from one zone to another. */
  moves: z.boolean(),
  hidden: z.boolean(),
});

/**
 * What one build did to its set, by element and zone and free of ids, so that it can be done to another copy, or undone. Zones are
 * paths of names below the whole model, whose own path is empty and which stands first.
 */
export const patchSchema = z.strictObject({
  schema: z.literal(PATCH_SCHEMA),
  name,
  author: z.string().max(LIMITS.name),
  /** True = it takes a mod back. */
  reversed: z.boolean(),
  /** The boxes that the build began from. */
  sets: z.array(z.strictObject({ name, code: z.string().max(LIMITS.name) })).max(500),
  /** Colours that it uses and that are nobody's but the author's. */
  colours: z
    .array(
      z.strictObject({
        id: z.string().min(1).max(LIMITS.id),
        name,
        family: z.enum(COLOUR_FAMILIES),
        finish: z.enum(FINISHES),
        hex: z.string().regex(/^#[0-9a-f]{6}$/i),
      }),
    )
    .max(1000),
  zones: z.array(z.array(name).max(PATCH.depth)).min(1).max(PATCH.zones),
  /** What the model was made of before, by zone. */
  before: z
    .array(z.strictObject({ zone, element: elementSchema, qty: z.int().min(1).max(LIMITS.qty) }))
    .max(PATCH.elements * 3),
  steps: z
    .array(
      z.strictObject({
        title: name,
        why: z.string().max(LIMITS.note),
        lines: z.array(line).max(PATCH.lines),
      }),
    )
    .max(PATCH.steps),
});

export type Patch = z.infer<typeof patchSchema>;
export type PatchLine = Patch['steps'][number]['lines'][number];
export type PatchLot = PatchLine['on'][number];

/** Pieces that a patch adds to a zone, below zero takes from it, by zone and element; what comes to nothing is left out. */
export type Net = ReadonlyMap<number, ReadonlyMap<ElementKey, number>>;

/**
 * What a patch comes to, whatever the order of its lines.
 *
 * @example netOf(patch).get(1)?.get('brick 1x2|ash') // -4
 */
export function netOf(patch: Pick<Patch, 'steps'>): Net {
  const net = new Map<number, Map<ElementKey, number>>();
  const add = (at: number, element: ElementKey, n: number) => {
    const sums = net.get(at) ?? new Map<ElementKey, number>();
    net.set(at, sums);
    const sum = (sums.get(element) ?? 0) + n;
    if (sum === 0) sums.delete(element);
    else sums.set(element, sum);
  };
  for (const { lines } of patch.steps)
    for (const l of lines) {
      for (const { element, qty } of l.off) add(l.from, element, -qty);
      for (const { element, qty } of joinsOf(l)) add(l.zone, element, qty);
    }
  return net;
}

/** What a line puts in its zone: of a move what leaves the other. */
export const joinsOf = (l: PatchLine): readonly PatchLot[] => (l.moves ? l.off : l.on);

/** Pieces off and on, in all. */
export function sizeOfPatch(patch: Pick<Patch, 'steps'>): {
  readonly off: number;
  readonly on: number;
  readonly lines: number;
} {
  const lines = patch.steps.flatMap((s) => s.lines);
  const sum = (of: (l: PatchLine) => readonly PatchLot[]) =>
    lines.reduce((n, l) => n + of(l).reduce((m, p) => m + p.qty, 0), 0);
  return { off: sum((l) => (l.moves ? [] : l.off)), on: sum((l) => l.on), lines: lines.length };
}

/**
 * The patch that brings a mod back: its lines the other way round, last first. What it expects to find is what the patch
 * leaves. Reversing twice gives the patch again.
 */
export function reversePatch(patch: Patch): Patch {
  const after = new Map<string, Patch['before'][number]>();
  const add = (at: number, element: ElementKey, n: number) => {
    const key = `${at} ${element}`;
    after.set(key, { zone: at, element, qty: (after.get(key)?.qty ?? 0) + n });
  };
  for (const b of patch.before) add(b.zone, b.element, b.qty);
  for (const [at, sums] of netOf(patch)) for (const [element, n] of sums) add(at, element, n);
  return {
    ...patch,
    name: patch.reversed
      ? patch.name.replace(/^Back: /, '') || patch.name
      : cutText(`Back: ${patch.name}`, LIMITS.name),
    reversed: !patch.reversed,
    before: [...after.values()].filter((b) => b.qty > 0),
    steps: patch.steps.map((s) => ({ ...s, lines: s.lines.map(reverseLine).reverse() })).reverse(),
  };
}

const reverseLine = (l: PatchLine): PatchLine =>
  l.moves ? { ...l, zone: l.from, from: l.zone } : { ...l, zone: l.from, from: l.zone, off: l.on, on: l.off };

/** Colours that the lines of a patch use. */
export const coloursOf = (patch: Pick<Patch, 'steps'>): Set<string> =>
  new Set(
    patch.steps.flatMap((s) =>
      s.lines.flatMap((l) => [...l.off, ...l.on].map((p) => splitElementKey(p.element).colour)),
    ),
  );
