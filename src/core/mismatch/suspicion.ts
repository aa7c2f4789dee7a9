import { deltaE00, type Colour } from '../colour';
import { partOf } from '../parts';
import type { ColourId, PartId } from '../shared/ids';
import { areKin } from './kin';

/** Pieces of one part in one colour that are seen in a zone. */
export interface ShownLot {
  readonly part: PartId;
  readonly colour: ColourId;
  readonly qty: number;
}

/** What speaks for a lot being a mistake, in the figures that a person can check. */
export interface Evidence {
  /** Pieces of the same part in the colour that belongs there. */
  readonly like: number;
  /** Pieces of the colour in other parts of the zone. */
  readonly elsewhere: number;
  /** Parts of the zone that are mostly of the colour. */
  readonly leads: number;
  readonly deltaE: number;
  /** What the mirrored side has in its place: the colour that belongs there, the same colour, or there is no such side. */
  readonly mirror: 'differs' | 'the same' | null;
}

/** That a lot may be a mistake: the colour that belongs there, and how sure it is. */
export interface Suspicion {
  readonly to: ColourId;
  readonly kind: 'near miss' | 'broken stripe' | 'odd one' | 'mirror differs';
  /** From 0 to 1: how sure it is that a person would call it a mistake. */
  readonly sure: number;
  readonly evidence: Evidence;
}

/** Two colours this near are taken for one another: in a drawer, in the light of an evening, out of a mixed bag. */
const NEAR = 16;
/** Two colours as near as this are told apart only side by side: nobody builds a pattern of them. */
const VERY_NEAR = 8;

/** Parts that are put in as accents: they come in many colours on purpose. */
const ACCENTS: readonly string[] = [
  'Rounds',
  'Plants and figures',
  'Joints',
  'Machine parts',
  'Windows and doors',
];

/** Flat parts of so many studs are signs, lamps and flowers as often as they are wall. */
const FLAT: readonly string[] = ['Plates', 'Tiles'];
const TINY = 2;

/**
 * The colours of one zone, or of one side: by part and by colour, so that a lot can be held against its like. Lots of
 * the same part and colour are one.
 */
export class ZoneColours {
  private readonly byPart = new Map<PartId, Map<ColourId, number>>();
  private readonly byColour = new Map<ColourId, Map<PartId, number>>();
  readonly pieces: number;

  constructor(readonly lots: readonly ShownLot[]) {
    for (const { part, colour, qty } of lots) {
      bump(this.byPart, part, colour, qty);
      bump(this.byColour, colour, part, qty);
    }
    this.pieces = lots.reduce((s, l) => s + l.qty, 0);
  }

  qty(part: PartId, colour: ColourId): number {
    return this.byPart.get(part)?.get(colour) ?? 0;
  }

  total(part: PartId): number {
    return sum(this.byPart.get(part));
  }

  /** The colours of a part with their pieces, most first. */
  coloursOf(part: PartId): (readonly [ColourId, number])[] {
    return [...(this.byPart.get(part) ?? [])].sort((a, b) => b[1] - a[1]);
  }

  /** The parts that a colour is found in, with its pieces. */
  partsIn(colour: ColourId): ReadonlyMap<PartId, number> {
    return this.byColour.get(colour) ?? new Map();
  }

  piecesIn(colour: ColourId): number {
    return sum(this.byColour.get(colour));
  }

  /** The parts that are mostly of a colour. */
  ledBy(colour: ColourId): PartId[] {
    return [...this.partsIn(colour)].filter(([part, n]) => 2 * n > this.total(part)).map(([part]) => part);
  }
}

function bump<A, B>(sums: Map<A, Map<B, number>>, a: A, b: B, qty: number): void {
  const inner = sums.get(a) ?? new Map<B, number>();
  inner.set(b, (inner.get(b) ?? 0) + qty);
  sums.set(a, inner);
}

const sum = (of: ReadonlyMap<unknown, number> | undefined): number =>
  [...(of?.values() ?? [])].reduce((a, b) => a + b, 0);

/**
 * How far a lot of a zone looks like a mistake beside its like, without anybody having said what the zone's colours are.
 * A few pieces of a part that comes mostly in another colour are suspect: the more, the fewer they are, the rarer their
 * colour is in the zone, and the nearer it is to the one that belongs there. Colours that lead parts of their own, parts
 * that come in many colours, and what the mirrored side has as well, speak for a purpose. Undefined where a lot has no
 * like to break with: a part that is there in one colour is its own.
 *
 * The weights are log-odds, round numbers set by hand and held to made-up models with known faults.
 *
 * @param mirror  the colours of the zone that mirrors this one, if one does
 * @example suspicionOf({ part, colour: 'dove', qty: 2 }, new ZoneColours(lots), palette)
 */
export function suspicionOf(
  lot: ShownLot,
  zone: ZoneColours,
  palette: ReadonlyMap<string, Colour>,
  mirror: ZoneColours | null = null,
): Suspicion | undefined {
  let best: { odds: number; to: ColourId; evidence: Evidence } | undefined;
  for (const [to, like] of zone.coloursOf(lot.part)) {
    if (like <= lot.qty || to === lot.colour) break;
    const weighed = weigh(lot, to, like, zone, palette, mirror);
    if (weighed && (!best || weighed.odds > best.odds)) best = { ...weighed, to };
  }
  if (!best) return undefined;
  const { to, odds, evidence } = best;
  return { to, kind: kindOf(to, evidence, zone), sure: 1 / (1 + Math.exp(-odds)), evidence };
}

/** The log-odds that a lot is a slip for the colour `to`, and what they rest on. */
function weigh(
  lot: ShownLot,
  to: ColourId,
  like: number,
  zone: ZoneColours,
  palette: ReadonlyMap<string, Colour>,
  mirror: ZoneColours | null,
): { odds: number; evidence: Evidence } | undefined {
  const [is, belongs] = [palette.get(lot.colour), palette.get(to)];
  if (!is || !belongs) return undefined;
  const deltaE = deltaE00(belongs.lab, is.lab);
  const side = mirror && mirrorSays(lot, to, zone, mirror);
  const leads = zone.ledBy(lot.colour).filter((p) => p !== lot.part);
  const odds =
    1.4 +
    ofShare(lot.qty / like) +
    ofDifference(deltaE, areKin(is, belongs)) +
    ofPurpose(lot, zone, leads, deltaE) +
    ofVariety(lot, zone.coloursOf(lot.part)) +
    (side === 'differs' ? 2.5 : side === 'the same' ? -4 : 0);
  const elsewhere = zone.piecesIn(lot.colour) - lot.qty;
  return { odds, evidence: { like, elsewhere, leads: leads.length, deltaE, mirror: side } };
}

/** What sort of mistake it is, in the words of the screen. */
function kindOf(to: ColourId, { deltaE, mirror }: Evidence, zone: ZoneColours): Suspicion['kind'] {
  if (deltaE < NEAR) return 'near miss';
  if (mirror === 'differs') return 'mirror differs';
  return zone.ledBy(to).length > 1 && to !== mainOf(zone) ? 'broken stripe' : 'odd one';
}

/** Few among many are a slip; half as many as the others may be a pattern. */
const ofShare = (share: number): number =>
  share <= 0.1
    ? 1.2
    : share <= 0.25
      ? 0.8
      : share <= 0.4
        ? 0.2
        : share <= 0.6
          ? -0.4
          : share <= 0.8
            ? -1.6
            : -3;

/** Colours that are taken for one another. */
const ofDifference = (deltaE: number, kin: boolean): number =>
  deltaE < VERY_NEAR ? 1.6 : deltaE < NEAR ? 1 : kin ? 0.8 : 0;

/** What the colour does elsewhere in the zone: where it has parts of its own, it is meant. */
function ofPurpose(lot: ShownLot, zone: ZoneColours, leads: readonly PartId[], deltaE: number): number {
  if (leads.length > 0) {
    const { name } = partOf(lot.part).family;
    const kin = leads.some((p) => partOf(p).family.name === name);
    const led = leads.reduce((s, p) => s + zone.qty(p, lot.colour), 0);
    const small = led < 0.06 * zone.pieces && leads.length < 2;
    if (small && deltaE < NEAR) return -0.4;
    // An accent of the colour says little of a wall or a trim that has a few of it.
    if (small && leads.every(isAccent) && !isAccent(lot.part)) return -0.6;
    return small ? -2 : kin ? -3.4 : -2.6;
  }
  const parts = [...zone.partsIn(lot.colour).keys()];
  const others = parts.length - 1;
  if (others === 0) return 0.8;
  if (deltaE >= NEAR && parts.every(isAccent)) return -2;
  if (zone.piecesIn(lot.colour) > 0.06 * zone.pieces) return deltaE < VERY_NEAR ? -1 : -2.2;
  return deltaE < VERY_NEAR ? 0.4 : others === 1 ? -0.2 : -1.2;
}

/** Parts that are put here and there as an accent, by their family or because they are tiny. */
export function isAccent(part: PartId): boolean {
  const { family, size } = partOf(part);
  const studs = size[0] * size[1];
  return ACCENTS.includes(family.group) || studs === 1 || (FLAT.includes(family.group) && studs <= TINY);
}

/** A part that comes in many colours, and parts that are accents, are mixed on purpose. */
function ofVariety(lot: ShownLot, ranked: readonly (readonly [ColourId, number])[]): number {
  const accents = ACCENTS.includes(partOf(lot.part).family.group) ? -0.8 : isAccent(lot.part) ? -0.4 : 0;
  return accents - 0.7 * Math.max(0, ranked.length - 2);
}

/** What the other side has of the part: as many, with what belongs there in place of these; the same of these; else nothing. */
function mirrorSays(lot: ShownLot, to: ColourId, here: ZoneColours, there: ZoneColours): Evidence['mirror'] {
  if (here.total(lot.part) !== there.total(lot.part)) return null;
  const other = there.qty(lot.part, lot.colour);
  if (other >= lot.qty) return 'the same';
  return other === 0 && there.qty(lot.part, to) > here.qty(lot.part, to) ? 'differs' : null;
}

/** The colour with most pieces. */
function mainOf(zone: ZoneColours): ColourId | undefined {
  return zone.lots.toSorted((a, b) => zone.piecesIn(b.colour) - zone.piecesIn(a.colour))[0]?.colour;
}
