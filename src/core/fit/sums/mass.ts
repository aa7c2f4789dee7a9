import { partOf, splitElementKey, type ElementKey, type Part } from '../../parts';
import { modelAccount } from '../../places';
import type { ZoneId } from '../../shared/ids';
import type { Workbench } from '../../workbench';
import { PLATE, STUD } from './measures';

/** Density of ABS, g/mm³. */
const ABS = 1.05e-3;
/** Walls and roofs of parts, mm; a stud's radius and height; a tube below, outside and inside. */
const WALL = 1.25;
const STUD_VOLUME = Math.PI * 2.4 ** 2 * 1.7;
const TUBE_AREA = Math.PI * (3.25 ** 2 - 2.4 ** 2);
/** A baseplate is a sheet. */
const SHEET = 1.3;

/** How far off a part's mass may be: of a plain hollow box, and of any other shape. */
const BOX_DOUBT = 0.1;
const SHAPE_DOUBT = 0.3;

/** A family's share of the hollow box around it, where it is another shape. Rough: what is weighed is better. */
const SHARES: Readonly<Record<string, number>> = {
  slope: 0.75,
  'inverted slope': 0.75,
  'curved slope': 0.75,
  wedge: 0.7,
  'ridge slope': 0.75,
  arch: 0.7,
  window: 0.35,
  'door frame': 0.25,
  door: 0.3,
  pane: 0.25,
  fence: 0.35,
  panel: 0.45,
  ladder: 0.3,
  cone: 0.6,
  dome: 0.6,
  dish: 0.5,
  plant: 0.2,
  flower: 0.3,
  bar: 0.3,
  axle: 0.4,
  wheel: 0.6,
  tyre: 0.7,
  figure: 0.25,
  hull: 0.5,
};

/** Mass with how far off it may be, g. */
export interface Mass {
  readonly grams: number;
  readonly doubt: number;
}

/**
 * A part's mass from its size: a hollow box of walls 1.25 mm thick, with its studs and the tubes below them, times the
 * share of that box its shape has. ABS, 1.05 g/cm³; ±10 % for boxes, ±30 % for other shapes.
 *
 * massOfPart(partOf('brick 2x4')).grams = 2.3
 */
export function massOfPart(part: Part): Mass {
  const [w, d] = [part.size[0] * STUD - 0.2, part.size[1] * STUD - 0.2];
  const h = part.height * PLATE;
  const round = part.family.solid === 'round' ? Math.PI / 4 : 1;
  const name = part.family.name;
  const studs = part.family.studs === 'all' ? part.size[0] * part.size[1] : 0;
  if (name === 'baseplate') {
    const grams = (w * d * SHEET + studs * STUD_VOLUME * 0.4) * ABS;
    return { grams, doubt: grams * BOX_DOUBT };
  }
  const hollow = Math.max(0, w - 2 * WALL) * Math.max(0, d - 2 * WALL) * Math.max(0, h - WALL);
  const tubes =
    Math.max(0, part.size[0] - 1) * Math.max(0, part.size[1] - 1) * TUBE_AREA * Math.max(0, h - WALL);
  const share = SHARES[name] ?? 1;
  const volume = (w * d * h - hollow + tubes) * round * share + studs * STUD_VOLUME;
  const grams = volume * ABS;
  const plain = part.family.solid === 'box' && part.read;
  return { grams, doubt: grams * (plain ? BOX_DOUBT : SHAPE_DOUBT) };
}

const known = new Map<string, Mass>();

/**
 * The mass of one piece of an element: its colour weighs nothing. What was weighed goes before what its size says, with half
 * of what the scale reads, shared by the pieces, as its doubt.
 */
export function massOf(workbench: Workbench, element: ElementKey): Mass {
  const { part } = splitElementKey(element);
  const weighed = workbench.records.weighed.get(part);
  if (weighed) return { grams: weighed.grams / weighed.pieces, doubt: weighed.reads / 2 / weighed.pieces };
  let mass = known.get(part);
  if (!mass) known.set(part, (mass = massOfPart(partOf(part))));
  return mass;
}

/** What stands of a build, zone by zone. Errors of many different parts even out in part only: doubts are added. */
export interface BuildMass extends Mass {
  readonly pieces: number;
  readonly zones: readonly (Mass & {
    readonly zone: ZoneId;
    readonly name: string;
    readonly pieces: number;
  })[];
}

/** The mass of a build as built or as planned, with its zones, the heaviest first; zones without pieces are left out. */
export function massOfBuild(workbench: Workbench, view: 'built' | 'planned' = 'built'): BuildMass {
  const zones = workbench.zones.map((z) => {
    let [grams, doubt, pieces] = [0, 0, 0];
    for (const r of workbench[view].balances.rows((a) => a === modelAccount(z.id))) {
      if (r.qty <= 0) continue;
      const one = massOf(workbench, r.element);
      grams += one.grams * r.qty;
      doubt += one.doubt * r.qty;
      pieces += r.qty;
    }
    return { zone: z.id, name: z.name, grams, doubt, pieces };
  });
  const sum = (k: 'grams' | 'doubt' | 'pieces') => zones.reduce((s, z) => s + z[k], 0);
  return {
    grams: sum('grams'),
    doubt: sum('doubt'),
    pieces: sum('pieces'),
    zones: zones.filter((z) => z.pieces > 0).sort((a, b) => b.grams - a.grams),
  };
}

/** What each hook must bear, g: the whole with its doubt, times a factor of safety, shared by all but one of the hooks. */
export function perHook(mass: Mass, hooks: number, factor: number): number | undefined {
  if (!Number.isInteger(hooks) || hooks < 1 || !(factor >= 1)) return undefined;
  // One hook may come loose: the others then hold.
  return ((mass.grams + mass.doubt) * factor) / Math.max(1, hooks - 1);
}

/** A mass at a distance from the edge it may tip over: beyond it above zero, behind it below, studs. */
export interface Load {
  readonly grams: number;
  readonly studs: number;
}

/** Whether something tips over its edge. */
export interface Balance {
  /** Where the middle of all mass lies beside the edge, studs: below zero it stands. */
  readonly middle: number;
  readonly tips: boolean;
  /** Mass that keeps it standing when laid so far behind the edge as was asked, g; 0 where it stands. */
  readonly counterweight: number;
}

/** Sums the moments over an edge; what would keep it standing with the middle of mass a stud behind the edge. */
export function balanceOver(loads: readonly Load[], behind: number): Balance {
  const grams = loads.reduce((s, l) => s + l.grams, 0);
  const moment = loads.reduce((s, l) => s + l.grams * l.studs, 0);
  const middle = grams > 0 ? moment / grams : 0;
  // (moment - behind w) / (grams + w) = -1
  const needed = behind > 1 ? Math.max(0, (moment + grams) / (behind - 1)) : 0;
  return { middle, tips: middle > 0, counterweight: middle > 0 ? needed : 0 };
}
