import { added, changed, removed, type Command, type Size, type Source } from '../ledger';
import type { Street } from '../records';
import { asId, type BuildId, type ColourId, type StreetId } from '../shared/ids';
import type { Minor } from '../shared/money';

export const newStreet = (name: string, source: Source): Command => ({
  label: `add street ${name}`,
  diff: added('street', {
    ...{ id: asId<StreetId>(source.newId()), name, width: 128, depth: 64, places: [], note: '' },
  }),
});

export const changeStreet = (street: Street, to: Partial<Street>): Command => ({
  label: `change street ${street.name}`,
  diff: changed('street', street, to),
});

export const deleteStreet = (street: Street): Command => ({
  label: `delete street ${street.name}`,
  diff: removed('street', street),
});

/** A build as a street sees it. */
export interface StreetBuild {
  readonly build: BuildId;
  readonly name: string;
  /** Studs and bricks, as Fit says; null = not known. */
  readonly size: Size | null;
  readonly pieces: number;
  readonly outOfPocket: Minor;
  readonly unpriced: number;
  readonly colours: readonly { readonly colour: ColourId; readonly share: number }[];
  /** Kinds with their pieces that make it what it is: figures, prints. */
  readonly marked: readonly string[];
}

/** A build where it stands on the table, studs from the left front corner. */
export interface Placed {
  readonly of: StreetBuild;
  readonly x: number;
  readonly y: number;
  readonly turned: boolean;
  /** How wide and deep it stands; 0 where its size is not known. */
  readonly width: number;
  readonly depth: number;
}

export interface StreetNow {
  readonly standing: readonly Placed[];
  /** Pairs that stand in one another, with the studs by which they do. */
  readonly overlaps: readonly { readonly a: string; readonly b: string; readonly studs: number }[];
  /** Builds that stand over the table's edge. */
  readonly over: readonly string[];
  /** Neighbours from the left and by how many bricks the second is higher; below zero lower. */
  readonly heights: readonly { readonly a: string; readonly b: string; readonly bricks: number }[];
  /** Main colours that two neighbours share. */
  readonly alike: readonly {
    readonly a: string;
    readonly b: string;
    readonly colours: readonly ColourId[];
  }[];
  /** What stands in more than one of them. */
  readonly doubles: readonly { readonly what: string; readonly builds: readonly string[] }[];
  readonly pieces: number;
  readonly outOfPocket: Minor;
  readonly unpriced: number;
  /** Builds whose size nobody has said. */
  readonly unknown: readonly string[];
}

/** A main colour has at least this share of a build. */
const MAIN = 0.15;

/**
 * How several builds stand together on a table: what they take, where they meet, how their heights step, which main colours
 * neighbours share, what stands twice; pieces and money of all.
 *
 * @example streetNow(street, builds).heights // [{ a: 'House', b: 'Mill', bricks: 6 }]
 */
export function streetNow(street: Street, builds: readonly StreetBuild[]): StreetNow {
  const standing = street.places.flatMap(({ build, x, y, turned }): Placed[] => {
    const of = builds.find((b) => b.build === build);
    if (!of) return [];
    const [w, d] = of.size ? [of.size.length, of.size.width] : [0, 0];
    return [{ of, x, y, turned, width: turned ? d : w, depth: turned ? w : d }];
  });
  const row = [...standing].sort((a, b) => a.x - b.x);
  const neighbours = row.slice(1).map((b, i) => [row[i]!, b] as const);
  const sum = (of: (b: StreetBuild) => number) => standing.reduce((n, s) => n + of(s.of), 0);
  return {
    standing,
    overlaps: overlapsOf(standing),
    over: standing
      .filter((s) => s.x < 0 || s.y < 0 || s.x + s.width > street.width || s.y + s.depth > street.depth)
      .map((s) => s.of.name),
    heights: neighbours.flatMap(([a, b]) =>
      a.of.size && b.of.size
        ? [{ a: a.of.name, b: b.of.name, bricks: tenth(b.of.size.height - a.of.size.height) }]
        : [],
    ),
    alike: neighbours.flatMap(([a, b]) => {
      const main = (s: Placed) => s.of.colours.filter((c) => c.share >= MAIN).map((c) => c.colour);
      const colours = main(a).filter((c) => main(b).includes(c));
      return colours.length > 0 ? [{ a: a.of.name, b: b.of.name, colours }] : [];
    }),
    doubles: doublesOf(standing),
    pieces: sum((b) => b.pieces),
    outOfPocket: sum((b) => b.outOfPocket),
    unpriced: sum((b) => b.unpriced),
    unknown: standing.filter((s) => !s.of.size).map((s) => s.of.name),
  };
}

const tenth = (n: number): number => Math.round(n * 10) / 10;

function overlapsOf(standing: readonly Placed[]): StreetNow['overlaps'] {
  return standing.flatMap((a, i) =>
    standing.slice(i + 1).flatMap((b) => {
      const wide = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
      const deep = Math.min(a.y + a.depth, b.y + b.depth) - Math.max(a.y, b.y);
      return wide > 0 && deep > 0 ? [{ a: a.of.name, b: b.of.name, studs: tenth(Math.min(wide, deep)) }] : [];
    }),
  );
}

function doublesOf(standing: readonly Placed[]): StreetNow['doubles'] {
  const found = new Map<string, string[]>();
  for (const s of standing)
    for (const what of s.of.marked) found.set(what, [...(found.get(what) ?? []), s.of.name]);
  return [...found].flatMap(([what, names]) => (names.length > 1 ? [{ what, builds: names }] : []));
}
