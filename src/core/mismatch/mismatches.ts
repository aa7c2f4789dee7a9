import { deltaE00, type Colour } from '../colour';
import type { Workbench } from '../workbench';
import { lotKey, zoneOf, type LeftMismatch, type Seen } from '../ledger';
import { inColour, splitElementKey, type ElementKey } from '../parts';
import type { ColourId, ZoneId } from '../shared/ids';
import { hiddenByEntries } from '../fading';
import { SEEN_SHARE } from './exposure';
import { isJudged, schemesOf } from './scheme';
import { seenLots, type SeenLot } from './seen-lots';
import { placeholdersByZone } from './placeholders-by-zone';

export const MISMATCH_KINDS = [
  'odd one',
  'near miss',
  'broken stripe',
  'mirror differs',
  'off scheme',
  'exposed filler',
  'placeholder',
] as const;
export type MismatchKind = (typeof MISMATCH_KINDS)[number];

/** Some pieces of a lot whose colour reads as a mistake. */
export interface Mismatch {
  /** `zone|element`. */
  readonly id: string;
  readonly zone: ZoneId;
  readonly element: ElementKey;
  /** The element that belongs there. */
  readonly to: ElementKey;
  readonly kind: MismatchKind;
  /** Seen pieces. */
  readonly qty: number;
  readonly seen: Seen;
  readonly deltaE: number;
  /** How much it shows: pieces × share seen × ΔE00. */
  readonly shows: number;
  /** A person looked and let it be. */
  readonly left: LeftMismatch | null;
}

/**
 * How much a mismatch shows: how many there are, how much of each is seen, how far the colour is off. The whole weighing.
 */
export const showing = (qty: number, seen: Seen, deltaE: number): number => qty * SEEN_SHARE[seen] * deltaE;

const NEAR_MISS = 15;
const STRIPE = 30;

interface ZoneWorld {
  readonly lots: readonly SeenLot[];
  readonly scheme: readonly ColourId[];
  readonly palette: ReadonlyMap<string, Colour>;
}

/**
 * Everything on the model whose colour reads as a mistake, what shows most first. Held against each zone's scheme: the
 * odd one among its like, near misses, broken stripes, other colours off the scheme; besides, mirrored zones that
 * differ, filler that is seen, and placeholders still waiting.
 */
export function findMismatches(workbench: Workbench, lots = seenLots(workbench)): Mismatch[] {
  const palette = new Map<string, Colour>(workbench.palette.map((c) => [c.id, c]));
  const schemes = schemesOf(workbench, lots);
  const found = new Map<string, Mismatch>();
  const planned = plannedTargets(workbench);
  const note = (s: Omit<Mismatch, 'id' | 'shows' | 'left' | 'deltaE'>): void => {
    const id = lotKey(s.zone, s.element);
    const to = planned.get(id) ?? s.to;
    const [is, wanted] = [s.element, to].map((e) => palette.get(splitElementKey(e).colour)?.lab);
    const deltaE = is && wanted ? deltaE00(wanted, is) : 0;
    if (found.has(id) || s.qty <= 0 || deltaE === 0) return;
    const left = workbench.records.leftMismatch.get(id) ?? null;
    found.set(id, { ...s, id, to, deltaE, shows: showing(s.qty, s.seen, deltaE), left });
  };
  for (const s of placeholdersByZone(workbench)) {
    const lot = lots.find((l) => l.zone === s.zone && l.element === s.element);
    if (lot)
      note({ ...s, to: s.standsFor, kind: 'placeholder', qty: Math.min(s.qty, lot.seenQty), seen: lot.seen });
  }
  const byZone = new Map<ZoneId, SeenLot[]>();
  for (const l of lots) byZone.set(l.zone, [...(byZone.get(l.zone) ?? []), l]);
  for (const s of mirrored(workbench, byZone, palette)) note(s);
  const filler = hiddenByEntries(workbench);
  for (const [zone, here] of byZone) {
    const world: ZoneWorld = { lots: here, scheme: schemes.get(zone)?.colours ?? [], palette };
    for (const lot of here) {
      if (!isJudged(lot, palette)) continue;
      const wrong = judge(lot, world);
      if (!wrong) continue;
      const exposed = (filler.get(lotKey(zone, lot.element)) ?? 0) > lot.qty - lot.seenQty;
      note({
        zone,
        element: lot.element,
        to: inColour(lot.element, wrong.to),
        kind: exposed ? 'exposed filler' : wrong.kind,
        qty: lot.seenQty,
        seen: lot.seen,
      });
    }
  }
  return [...found.values()].sort((a, b) => b.shows - a.shows);
}

/** What planned recolourings make of a lot: a person's plan says what belongs there. By `zone|element`. */
function plannedTargets(workbench: Workbench): Map<string, ElementKey> {
  const targets = new Map<string, ElementKey>();
  for (const e of workbench.planned.entries) {
    if (e.state !== 'planned' || e.kind !== 'recolour') continue;
    const off = e.movements.find((m) => zoneOf(m.from));
    const on = e.movements.find((m) => zoneOf(m.to));
    const zone = off && zoneOf(off.from);
    if (off && on && zone) targets.set(lotKey(zone, off.element), on.element);
  }
  return targets;
}

/** What is wrong with a lot's colour in its zone, and the colour that belongs there; undefined when nothing is. */
function judge(lot: SeenLot, world: ZoneWorld): { kind: MismatchKind; to: ColourId } | undefined {
  const { scheme, palette } = world;
  if (scheme.length === 0) return undefined;
  const like = oddAmongLike(lot, world);
  if (like) return { kind: 'odd one', to: like };
  if (scheme.includes(lot.colour)) return undefined;
  const lab = palette.get(lot.colour)?.lab;
  if (!lab) return undefined;
  const ranked = scheme
    .flatMap((id) => {
      const c = palette.get(id);
      return c ? [{ id, d: deltaE00(c.lab, lab), same: c.family === palette.get(lot.colour)?.family }] : [];
    })
    .sort((a, b) => a.d - b.d);
  const [nearest] = ranked;
  if (!nearest) return undefined;
  const isMain = nearest.id === scheme[0];
  if (nearest.d < NEAR_MISS) return { kind: 'near miss', to: nearest.id };
  if (!isMain && nearest.d < STRIPE) return { kind: 'broken stripe', to: nearest.id };
  return { kind: 'off scheme', to: commonest(lot, world) ?? nearest.id };
}

/** The colour of most parts of a shape in the zone, when there are three or more of it to each one of this lot's. */
function oddAmongLike(lot: SeenLot, world: ZoneWorld): ColourId | undefined {
  const to = commonest(lot, world);
  if (!to || to === lot.colour) return undefined;
  const like = world.lots.find((l) => l.colour === to && sameShape(l, lot));
  const [is, was] = [world.palette.get(to)?.lab, world.palette.get(lot.colour)?.lab];
  if (!like || !is || !was || like.seenQty < 3 * lot.seenQty) return undefined;
  // A colour of the scheme, well apart from the others, is a pattern: unless it stands in this shape alone, and rarely.
  const elsewhere = world.lots.some((l) => l.colour === lot.colour && !sameShape(l, lot) && l.seenQty > 0);
  const pattern =
    world.scheme.includes(lot.colour) &&
    deltaE00(is, was) >= NEAR_MISS &&
    (elsewhere || like.seenQty < 6 * lot.seenQty);
  return pattern ? undefined : to;
}

const sameShape = (a: SeenLot, b: SeenLot): boolean =>
  splitElementKey(a.element).part === splitElementKey(b.element).part;

/** The scheme's colour that most parts of a lot's shape have in the zone. */
function commonest(lot: SeenLot, { lots, scheme }: ZoneWorld): ColourId | undefined {
  return lots
    .filter((l) => sameShape(l, lot) && scheme.includes(l.colour) && l.seenQty > 0)
    .sort((a, b) => b.seenQty - a.seenQty)[0]?.colour;
}

const OPPOSITES: readonly (readonly [RegExp, string])[] = [
  [/\bport\b/i, 'starboard'],
  [/\bleft\b/i, 'right'],
];

/** Zones that mirror one another by name: "Hull, port" and "Hull, starboard". */
function mirrored(
  workbench: Workbench,
  byZone: ReadonlyMap<ZoneId, readonly SeenLot[]>,
  palette: ReadonlyMap<string, Colour>,
): Omit<Mismatch, 'id' | 'shows' | 'left' | 'deltaE'>[] {
  return workbench.zones.flatMap((zone) => {
    const rule = OPPOSITES.find(([pattern]) => pattern.test(zone.name));
    const name = rule && zone.name.replace(rule[0], rule[1]).toLowerCase();
    const other = name ? workbench.zones.find((z) => z.name.toLowerCase() === name) : undefined;
    if (!other) return [];
    return differing(byZone.get(zone.id) ?? [], byZone.get(other.id) ?? [], palette);
  });
}

/** Where two sides have as many of a shape, and one of them a few in another colour: those few. */
function differing(
  one: readonly SeenLot[],
  two: readonly SeenLot[],
  palette: ReadonlyMap<string, Colour>,
): Omit<Mismatch, 'id' | 'shows' | 'left' | 'deltaE'>[] {
  const shapes = new Set(one.map((l) => splitElementKey(l.element).part));
  return [...shapes].flatMap((shape) => {
    const of = (lots: readonly SeenLot[]) =>
      lots.filter((l) => splitElementKey(l.element).part === shape && isJudged(l, palette));
    const [a, b] = [of(one), of(two)];
    const total = (lots: readonly SeenLot[]) => lots.reduce((s, l) => s + l.seenQty, 0);
    if (total(a) !== total(b) || total(a) === 0) return [];
    const surplus = (x: readonly SeenLot[], y: readonly SeenLot[]) =>
      x.flatMap((l) => {
        const n = l.seenQty - (y.find((m) => m.colour === l.colour)?.seenQty ?? 0);
        return n > 0 ? [{ lot: l, n }] : [];
      });
    const [more, less] = [surplus(a, b), surplus(b, a)];
    const [x, y] = [more[0], less[0]];
    if (more.length !== 1 || less.length !== 1 || !x || !y || x.n * 2 > total(a)) return [];
    // The side that is less of one colour is the one that slipped.
    const isMismatch = a.length >= b.length ? x : y;
    const right = isMismatch === x ? y : x;
    const { zone, element, seen } = isMismatch.lot;
    return [
      {
        zone,
        element,
        to: inColour(element, right.lot.colour),
        kind: 'mirror differs',
        qty: isMismatch.n,
        seen,
      },
    ];
  });
}
