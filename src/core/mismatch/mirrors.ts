import type { ZoneColours } from './suspicion';

/** Words that name a side, and the other one. */
const OPPOSITES: readonly (readonly [string, string])[] = [
  ['port', 'starboard'],
  ['left', 'right'],
  ['east', 'west'],
  ['north', 'south'],
  ['front', 'back'],
  ['fore', 'aft'],
];
/** Two zones that are named as sides mirror one another when so much of the one is in the other too. */
const LEAST_ALIKE = 0.6;

/** A zone by its name and its colours. */
export interface Side {
  readonly name: string;
  readonly colours: ZoneColours;
}

/**
 * For each zone the index of the one that mirrors it, or null: named as its other side ("Hull, port" and "Hull,
 * starboard"), and made of mostly the same parts in the same numbers.
 *
 * @example mirrorsOf([{ name: 'Left wing', colours }, { name: 'Right wing', colours }]) // [1, 0]
 */
export function mirrorsOf(zones: readonly Side[]): (number | null)[] {
  const byName = new Map(zones.map((z, i) => [plain(z.name), i]));
  return zones.map((z) => {
    const other = otherSide(plain(z.name));
    const i = other === null ? undefined : byName.get(other);
    return i !== undefined && alike(z.colours, zones[i]!.colours) >= LEAST_ALIKE ? i : null;
  });
}

const plain = (name: string): string => name.trim().toLowerCase();

function otherSide(name: string): string | null {
  for (const [a, b] of OPPOSITES)
    for (const [from, to] of [
      [a, b],
      [b, a],
    ] as const) {
      const found = new RegExp(`\\b${from}\\b`, 'u');
      if (found.test(name)) return name.replace(found, to);
    }
  return null;
}

/** The share of pieces, from 0 to 1, that two zones have in common by part, whatever their colours. */
function alike(one: ZoneColours, two: ZoneColours): number {
  const parts = new Set([...one.lots, ...two.lots].map((l) => l.part));
  const both = [...parts].reduce((s, p) => s + Math.min(one.total(p), two.total(p)), 0);
  return both / Math.max(1, one.pieces, two.pieces);
}
