import type { Random } from '../../shared/random';
import type { Group } from './groups';
import type { Rect } from './lay-out';
import { areaOf, type FieldCut, type Laid, type SharedOut } from './shared-out';

interface Open {
  laid: Laid[];
  free: Rect[];
}

interface Spot {
  readonly f: number;
  readonly at: number;
  readonly along: boolean;
}

/** Where a strip may go of what is free in a field, either way round. */
function* spotsIn(free: readonly Rect[], f: number, w: number, h: number): Generator<Spot> {
  for (const [at, r] of free.entries()) {
    if (w <= r.w && h <= r.h) yield { f, at, along: true };
    if (h <= r.w && w <= r.h) yield { f, at, along: false };
  }
}

/** What stays of a free rectangle: cut through along the strip's longer side, or so that the larger rest is largest. */
function rests(r: Rect, w: number, h: number, kerf: number): Rect[] {
  const beside = { x: r.x + w + kerf, y: r.y, w: r.w - w - kerf };
  const over = { x: r.x, y: r.y + h + kerf, h: r.h - h - kerf };
  const ways = [
    [
      { ...beside, h },
      { ...over, w: r.w },
    ],
    [
      { ...beside, h: r.h },
      { ...over, w },
    ],
  ];
  const largest = (rects: readonly Rect[]) =>
    Math.max(...rects.map((x) => (x.w > 0 && x.h > 0 ? areaOf(x) : 0)));
  const chosen = largest(ways[0]!) >= largest(ways[1]!) ? ways[0]! : ways[1]!;
  return chosen.filter((x) => x.w > 0 && x.h > 0);
}

/**
 * One strip after another into the first free rectangle that takes it, opened fields first: in order of size as a person
 * would, or, given a source of chance, in an order near it and with what lies nearest in colour before what is first.
 */
export function firstFit(group: Group, random?: Random): SharedOut {
  const { kinds, fields, kerf } = group;
  const order = kinds.flatMap((k, kind) =>
    Array.from({ length: k.count }, () => ({
      kind,
      size: areaOf(k) * (random ? 0.6 + 0.8 * random() : 1),
    })),
  );
  order.sort((a, b) => b.size - a.size || a.kind - b.kind);
  const open: Open[] = fields.map((f) => ({
    laid: [],
    free: f.w > 0 && f.h > 0 ? [{ x: 0, y: 0, w: f.w, h: f.h }] : [],
  }));
  for (const { kind } of order) {
    const k = kinds[kind]!;
    const begun = k.oneField ? open.findIndex((o) => o.laid.some((l) => l.kind === kind)) : -1;
    const usable = fields
      .map((_, f) => f)
      .filter((f) => k.deltas[f]! < Infinity && (begun < 0 || begun === f));
    const byColour = (a: number, b: number) => (random ? k.deltas[a]! - k.deltas[b]! : a - b);
    const opened = usable.filter((f) => open[f]!.laid.length > 0).sort(byColour);
    const closed = usable.filter((f) => open[f]!.laid.length === 0).sort(byColour);
    const spot = firstSpot([...opened, ...closed], open, k);
    if (spot) put(open[spot.f]!, kind, spot, k, kerf);
  }
  return open.map(({ laid, free }): FieldCut => ({ laid, kept: laid.length > 0 ? largestOf(free) : null }));
}

function firstSpot(
  fields: readonly number[],
  open: readonly Open[],
  size: { w: number; h: number },
): Spot | null {
  for (const f of fields) {
    const spots = [...spotsIn(open[f]!.free, f, size.w, size.h)];
    const tight = (s: Spot) => areaOf(open[f]!.free[s.at]!);
    if (spots.length > 0) return spots.reduce((a, b) => (tight(b) < tight(a) ? b : a));
  }
  return null;
}

function put(
  open: Open,
  kind: number,
  { at, along }: Spot,
  size: { w: number; h: number },
  kerf: number,
): void {
  const [r] = open.free.splice(at, 1);
  const [w, h] = along ? [size.w, size.h] : [size.h, size.w];
  open.laid.push({ kind, x: r!.x, y: r!.y, along });
  open.free.push(...rests(r!, w, h, kerf));
}

const largestOf = (free: readonly Rect[]): Rect | null =>
  free.reduce<Rect | null>((best, r) => (areaOf(r) > areaOf(best) ? r : best), null);
