import { deltaE00, PALETTE, type Colour } from '../colour';
import type { ColourId } from '../shared/ids';
import { between, pick, seededRandom, type Random } from '../shared/random';

/** A lot of a made-up model. */
export interface PlantedLot {
  readonly part: string;
  readonly colour: ColourId;
  readonly qty: number;
}

/** A fault that was put in on purpose. */
export interface PlantedFault extends PlantedLot {
  readonly zone: string;
  readonly to: ColourId;
  readonly kind: 'near' | 'stripe' | 'mirror';
}

/** A made-up model with faults that are known. */
export interface PlantedModel {
  readonly seed: number;
  readonly shape: Build;
  readonly zones: readonly { readonly name: string; readonly lots: readonly PlantedLot[] }[];
  readonly faults: readonly PlantedFault[];
}

const BUILDS = ['brick', 'plate', 'tile', 'slope'] as const;
type Build = (typeof BUILDS)[number];

/** What the walls, the trims and the bases of each sort of model are made of. */
const SHAPES: Readonly<Record<Build, { main: string[]; trim: string[]; base: string[] }>> = {
  brick: {
    main: [
      'brick 1x1',
      'brick 1x2',
      'brick 1x3',
      'brick 1x4',
      'brick 1x6',
      'brick 2x2',
      'plate 1x2',
      'plate 1x4',
    ],
    trim: ['arch 1x4', 'fence 1x4', 'slope 45 2x1', 'tile 1x4', 'tile 1x2', 'panel 1x2x1'],
    base: ['plate 4x6', 'plate 4x8', 'plate 2x8', 'brick 2x4'],
  },
  plate: {
    main: ['plate 1x1', 'plate 1x2', 'plate 1x3', 'plate 2x2', 'plate 2x3', 'plate 2x4', 'plate 1x6'],
    trim: ['tile 1x1', 'tile 1x2', 'wedge plate 2x4', 'grille tile 1x2', 'slope 30 1x1'],
    base: ['plate 6x8', 'plate 4x8', 'plate 6x6'],
  },
  tile: {
    main: ['tile 1x1', 'tile 1x2', 'tile 2x2', 'tile 1x4', 'tile 1x3', 'tile 2x4'],
    trim: ['plate 1x2', 'plate 1x4', 'slope 30 1x2', 'round tile 1x1'],
    base: ['plate 4x8', 'plate 6x8', 'baseplate 16x16'],
  },
  slope: {
    main: ['slope 45 2x2', 'slope 45 2x4', 'slope 33 3x2', 'slope 45 2x1', 'slope 33 3x4', 'slope 45 2x3'],
    trim: ['tile 1x4', 'curved slope 2x1', 'tile 1x2', 'brick 1x4', 'plate 1x4'],
    base: ['brick 2x4', 'plate 4x6', 'plate 2x8'],
  },
};
const ACCENTS = [
  ...['round plate 1x1', 'cone 1x1', 'bar 1x4', 'plant 2x2', 'flower 1x1', 'window 1x2x2', 'door 1x4x6'],
  ...['round brick 1x1', 'tile 1x1', 'lamp 1x1', 'ladder 1x2', 'dish 2x2', 'clip plate 1x1'],
];
const NAMES = [
  'Gable',
  'Yard',
  'Loft',
  'Porch',
  'Kitchen',
  'Quay',
  'Attic',
  'Bridge',
  'Court',
  'Pier',
  'Stair',
  'Nave',
];

const SOLID = PALETTE.filter((c) => c.finish === 'solid');
const byId = new Map<string, Colour>(PALETTE.map((c) => [c.id, c]));
const apart = (a: ColourId, b: ColourId): number => deltaE00(byId.get(a)!.lab, byId.get(b)!.lab);

/** A colour at least so far from all of `from`, and not nearer than `least`, or undefined. */
function colourApart(
  random: Random,
  from: readonly ColourId[],
  least: number,
  most = Infinity,
): ColourId | undefined {
  const fit = SOLID.filter((c) => {
    const d = from.map((f) => apart(c.id, f));
    return d.every((x) => x >= least) && (most === Infinity || d[0]! <= most);
  });
  return fit.length > 0 ? pick(random, fit).id : undefined;
}

interface Zone {
  name: string;
  roles: ColourId[];
  lots: (PlantedLot & { role: 'main' | 'trim' | 'base' | 'honest' })[];
}

/** Some different ones of a list, in any order. */
const some = <T>(random: Random, list: readonly T[], count: number): T[] =>
  [...list]
    .map((x) => [random(), x] as const)
    .sort((a, b) => a[0] - b[0])
    .slice(0, count)
    .map(([, x]) => x);

function makeZone(random: Random, name: string, build: Build): Zone {
  const main = pick(random, SOLID).id;
  const trim = colourApart(random, [main], 22)!;
  const base = colourApart(random, [main, trim], 18) ?? trim;
  const s = SHAPES[build];
  const lots: Zone['lots'] = [
    ...some(random, s.main, between(random, 4, 6)).map((part) => ({
      part,
      colour: main,
      qty: between(random, 7, 30),
      role: 'main' as const,
    })),
    ...some(random, s.trim, between(random, 2, 4)).map((part) => ({
      part,
      colour: trim,
      qty: between(random, 5, 16),
      role: 'trim' as const,
    })),
    ...some(random, s.base, between(random, 1, 3)).map((part) => ({
      part,
      colour: base,
      qty: between(random, 3, 10),
      role: 'base' as const,
    })),
  ];
  const add = (part: string | undefined, colour: ColourId | undefined, qty: number): void => {
    if (part && colour && !lots.some((l) => l.part === part && l.colour === colour))
      lots.push({ part, colour, qty, role: 'honest' });
  };
  // Accents: alone in their shape, in any colour.
  const free = ACCENTS.filter((a) => !lots.some((l) => l.part === a));
  for (const part of some(random, free, between(random, 1, 4)))
    add(part, pick(random, SOLID).id, between(random, 1, 8));
  // The base shows through in a shape of the walls, or the trim runs on in it: colours of the zone, where they may be.
  if (random() < 0.35)
    add(
      pick(
        random,
        lots.filter((l) => l.role === 'main'),
      ).part,
      pick(random, [trim, base]),
      between(random, 2, 6),
    );
  // A floor of two colours by turns, in one shape.
  if (random() < 0.2) {
    const floor = pick(random, ['tile 2x2', 'plate 2x2', 'tile 1x1']);
    const [one, two] = [base, colourApart(random, [base, main, trim], 15) ?? main];
    const n = between(random, 6, 20);
    if (!lots.some((l) => l.part === floor)) {
      add(floor, one, n);
      add(floor, two, n + between(random, -1, 1));
    }
  }
  // An accent colour that comes in several small shapes: flowers, signs, lamps.
  if (random() < 0.3) {
    const bright = colourApart(random, [main, trim, base], 20);
    for (const part of some(
      random,
      ['round plate 1x1', 'tile 1x1', 'plate 1x1', 'tile 1x2'],
      between(random, 2, 3),
    ))
      add(part, bright, between(random, 1, 5));
  }
  return { name, roles: [main, trim, base], lots };
}

/** Recolours some pieces of a lot, and says what it did; undefined where the lot does not bear it. */
function plant(random: Random, zone: Zone, kind: 'near' | 'stripe'): PlantedFault | undefined {
  const where = kind === 'stripe' && random() < 0.75 ? ['trim'] : ['main', 'trim', 'base'];
  const lot = pick(
    random,
    zone.lots.filter((l) => where.includes(l.role)),
  );
  const qty = between(random, 1, Math.min(4, Math.floor(lot.qty / 3)));
  const colour =
    kind === 'near'
      ? colourApart(random, [lot.colour], 0.6, 16)
      : colourApart(
          random,
          [...zone.roles, ...zone.lots.filter((l) => l.part === lot.part).map((l) => l.colour)],
          24,
        );
  if (
    qty < 1 ||
    !colour ||
    zone.lots.some((l) => l.part === lot.part && l.colour !== lot.colour && l.role !== 'honest')
  )
    return undefined;
  if (zone.roles.includes(colour) || zone.lots.some((l) => l.part === lot.part && l.colour === colour))
    return undefined;
  zone.lots = zone.lots.map((l) => (l === lot ? { ...l, qty: l.qty - qty } : l));
  zone.lots.push({ part: lot.part, colour, qty, role: 'honest' });
  return { zone: zone.name, part: lot.part, colour, qty, to: lot.colour, kind };
}

/** A model of a seed: one to five zones, sometimes two mirrored sides, and one to eight faults. */
export function plantedModel(seed: number): PlantedModel {
  const random = seededRandom(seed);
  const shape = pick(random, BUILDS);
  const zones = some(random, NAMES, between(random, 1, 4)).map((name) => makeZone(random, name, shape));
  let sides: [Zone, Zone] | null = null;
  if (random() < 0.4) {
    const side = makeZone(random, '', shape);
    const [one, two] = pick(random, [
      ['Port wall', 'Starboard wall'],
      ['Left side', 'Right side'],
      ['Wing, left', 'Wing, right'],
    ]);
    sides = [one!, two!].map((name) => ({ ...side, name, lots: [...side.lots] })) as [Zone, Zone];
    zones.push(...sides);
  }
  const faults: PlantedFault[] = [];
  const most = between(random, 1, 8);
  for (let tries = 0; faults.length < most && tries < 60; tries++) {
    const zone = pick(random, zones);
    const kind = random() < 0.55 ? 'near' : 'stripe';
    const fault = plant(random, zone, kind);
    if (fault) faults.push(sides?.includes(zone) && kind === 'stripe' ? { ...fault, kind: 'mirror' } : fault);
  }
  return {
    seed,
    shape,
    zones: zones.map((z) => ({
      name: z.name,
      lots: some(random, z.lots, z.lots.length).map(({ part, colour, qty }) => ({ part, colour, qty })),
    })),
    faults,
  };
}
