import { deltaE00, type Colour } from '../colour';
import type { ColourRule } from '../ledger';
import { partOf } from '../parts';
import type { ColourId, PartId, ZoneId } from '../shared/ids';
import { ruleFor } from './colour-rules';
import { areKin } from './kin';
import { mirrorsOf } from './mirrors';
import {
  isAccent,
  suspicionOf,
  ZoneColours,
  type Evidence,
  type ShownLot,
  type Suspicion,
} from './suspicion';

/** A zone whose colours are judged: what is seen of it, and what a person said of it. */
export interface ZoneToJudge {
  readonly zone: ZoneId | null;
  readonly name: string;
  readonly lots: readonly ShownLot[];
  /** The scheme that a person set, or null where none did. */
  readonly set: readonly ColourId[] | null;
  /** The scheme that it seems to have, where none was set. */
  readonly proposed: readonly ColourId[];
}

/** What is said of a lot: where it belongs, why, and how sure that is. */
export interface Judgement {
  readonly lot: ShownLot;
  readonly to: ColourId;
  readonly kind: Suspicion['kind'] | 'off scheme';
  readonly sure: number;
  readonly evidence: Evidence | null;
}

/** At or above it a mismatch is shown, below it is folded away. */
export const SURE = 0.5;
/** Below it nothing is said at all. */
const WORTH_SAYING = 0.12;

/** Groups whose parts make up walls, floors and roofs: a stray colour among them is no door and no lamp. */
const FABRIC: readonly string[] = ['Bricks', 'Plates', 'Tiles', 'Slopes'];
/** Groups whose parts stand up: plates and tiles of a colour of their own are as often ground or water. */
const STANDING: readonly string[] = ['Bricks', 'Slopes'];
/** A colour apart from the scheme's by no more than this reads as the scheme's own, gone wrong. */
const HARDLY_APART = 8;
const NEAR = 16;
/** A colour that makes up no more of its zone than this is a stray one. */
const STRAY = 0.06;

/**
 * What reads as a mistake in each zone, by the rules that a person gave, by the scheme that a person set, and else by
 * what each lot looks like beside its like. Gives a list for each zone, in their order.
 *
 * @param palette  every colour by its id
 * @param rules  what a person said of colours once and for all
 */
export function judgeZones(
  zones: readonly ZoneToJudge[],
  palette: ReadonlyMap<string, Colour>,
  rules: readonly ColourRule[] = [],
): Judgement[][] {
  const colours = zones.map((z) => new ZoneColours(z.lots));
  const mirrors = mirrorsOf(zones.map((z, i) => ({ name: z.name, colours: colours[i]! })));
  return zones.map((zone, i) => {
    const mirror = mirrors[i];
    const world: World = {
      zone,
      palette,
      rules,
      here: colours[i]!,
      mirror: mirror === null || mirror === undefined ? null : colours[mirror]!,
    };
    return zone.lots.flatMap((lot) => {
      const said = judge(lot, world);
      return said && said.to !== lot.colour && said.sure >= WORTH_SAYING ? [{ ...said, lot }] : [];
    });
  });
}

interface World {
  readonly zone: ZoneToJudge;
  readonly palette: ReadonlyMap<string, Colour>;
  readonly rules: readonly ColourRule[];
  readonly here: ZoneColours;
  readonly mirror: ZoneColours | null;
}

type Said = Omit<Judgement, 'lot'>;

function judge(lot: ShownLot, world: World): Said | undefined {
  const { zone, palette, rules, here, mirror } = world;
  const rule = ruleFor(rules, zone.zone, lot.part, lot.colour);
  if (rule)
    return rule.to === null ? undefined : { to: rule.to, kind: 'off scheme', sure: 1, evidence: null };
  const suspicion = suspicionOf(lot, here, palette, mirror);
  return zone.set
    ? againstSet(lot, zone.set, suspicion, world)
    : (suspicion ?? alone(lot, zone.proposed, world));
}

/** Beside a scheme that a person set: its colours are meant, what is in another stands out. */
function againstSet(
  lot: ShownLot,
  set: readonly ColourId[],
  suspicion: Suspicion | undefined,
  world: World,
): Said | undefined {
  if (set.length === 0) return undefined;
  if (set.includes(lot.colour)) {
    // Both colours are meant in the zone: this one stands where the other belongs only if much speaks for it.
    const breaks = suspicion && set.includes(suspicion.to) && suspicion.sure > 0.8;
    return breaks ? suspicion : undefined;
  }
  if (suspicion && set.includes(suspicion.to)) return { ...suspicion, sure: Math.max(0.7, suspicion.sure) };
  const to = likeIn(lot, set, world) ?? nearestOf(lot, set, world.palette)?.id;
  if (!to) return undefined;
  const near = nearestOf(lot, set, world.palette);
  if (near && near.deltaE < NEAR) return { to: near.id, kind: 'near miss', sure: 0.75, evidence: null };
  const kin = areKin(world.palette.get(to), world.palette.get(lot.colour));
  const kind = kin && to !== set[0] ? 'broken stripe' : 'off scheme';
  return { to, kind, sure: isFabric(lot.part) ? 0.7 : 0.3, evidence: null };
}

/** A part that is there in one colour has no like to break with: it is held against the colours of its zone. */
function alone(lot: ShownLot, scheme: readonly ColourId[], world: World): Said | undefined {
  if (scheme.includes(lot.colour) || !isFabric(lot.part)) return undefined;
  const sign = isAccent(lot.part);
  const near = nearestOf(lot, scheme, world.palette);
  if (!near) return undefined;
  const stray = world.here.piecesIn(lot.colour) <= STRAY * world.here.pieces;
  const one = world.here.partsIn(lot.colour).size === 1;
  const kin =
    one &&
    STANDING.includes(partOf(lot.part).family.group) &&
    areKin(world.palette.get(near.id), world.palette.get(lot.colour));
  if (near.deltaE < HARDLY_APART)
    return { to: near.id, kind: 'near miss', sure: stray && !sign ? 0.6 : 0.3, evidence: null };
  if (kin && stray && !sign)
    return {
      to: near.id,
      kind: near.id === scheme[0] ? 'near miss' : 'broken stripe',
      sure: 0.55,
      evidence: null,
    };
  if (near.deltaE < NEAR) return { to: near.id, kind: 'near miss', sure: stray ? 0.35 : 0.2, evidence: null };
  return stray ? { to: near.id, kind: 'off scheme', sure: 0.15, evidence: null } : undefined;
}

const isFabric = (part: PartId): boolean => FABRIC.includes(partOf(part).family.group);

/** The colour of a scheme that most parts of a lot's shape have in the zone, or else of its family. */
function likeIn(lot: ShownLot, scheme: readonly ColourId[], { here }: World): ColourId | undefined {
  const same = here.coloursOf(lot.part).find(([c]) => scheme.includes(c));
  if (same) return same[0];
  const { name } = partOf(lot.part).family;
  const kin = new Map<ColourId, number>();
  for (const l of here.lots)
    if (scheme.includes(l.colour) && partOf(l.part).family.name === name)
      kin.set(l.colour, (kin.get(l.colour) ?? 0) + l.qty);
  return [...kin].sort((a, b) => b[1] - a[1])[0]?.[0];
}

/** The colour of a scheme that is nearest to a lot's, with how far it is off. */
function nearestOf(
  lot: ShownLot,
  scheme: readonly ColourId[],
  palette: ReadonlyMap<string, Colour>,
): { id: ColourId; deltaE: number } | undefined {
  const lab = palette.get(lot.colour)?.lab;
  if (!lab) return undefined;
  return scheme
    .flatMap((id) => {
      const c = palette.get(id);
      return c ? [{ id, deltaE: deltaE00(c.lab, lab) }] : [];
    })
    .sort((a, b) => a.deltaE - b.deltaE)[0];
}
