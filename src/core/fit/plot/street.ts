import type { Plot } from '../../records';

/** A house of a street as it is drawn: where it begins, studs, and what the street sees of it. */
export interface StreetHouse {
  readonly name: string;
  readonly from: number;
  readonly width: number;
  readonly depth: number;
  readonly storeys: readonly number[];
  readonly cornices: readonly number[];
  readonly kerb: number | null;
  readonly doors: Plot['doors'];
  readonly isOwn: boolean;
  /** True of the build itself, and of those on the same base. */
  readonly onBase: boolean;
}

/** The houses of a street from the left, the build itself in its place, with where each begins, studs. */
export function streetOf(
  plot: Plot,
  own: { readonly name: string; readonly width: number; readonly depth: number },
): StreetHouse[] {
  const neighbours = plot.neighbours.map((n) => ({ ...n, isOwn: false, onBase: n.shares }));
  const { storeys, cornices, kerb, doors } = plot;
  const here = { ...own, storeys, cornices, kerb, doors, isOwn: true, onBase: true };
  let from = 0;
  return [...neighbours.slice(0, plot.place), here, ...neighbours.slice(plot.place)].map((h) => {
    const { name, width, depth, storeys, cornices, kerb, doors, isOwn, onBase } = h;
    const house = { name, from, width, depth, storeys, cornices, kerb, doors, isOwn, onBase };
    from += width;
    return house;
  });
}

/** A line of a house, and the neighbour's line nearest to it: how many plates apart, above zero = this one is higher. */
export interface LineStep {
  readonly own: number;
  readonly other: number;
  readonly plates: number;
}

/** How lines of two neighbours meet, from the ground up: each of the first with the nearest of the other. */
export const lineSteps = (own: readonly number[], other: readonly number[]): LineStep[] =>
  other.length === 0
    ? []
    : own.map((o) => {
        const near = other.reduce((best, x) => (Math.abs(x - o) < Math.abs(best - o) ? x : best));
        return { own: o, other: near, plates: o - near };
      });

/** How two houses of a street meet: their storeys, cornices and kerbs; what is not said of one of both is left out. */
export function housesMeet(
  own: Pick<StreetHouse, 'storeys' | 'cornices' | 'kerb'>,
  other: Pick<StreetHouse, 'storeys' | 'cornices' | 'kerb'>,
): { readonly storeys: LineStep[]; readonly cornices: LineStep[]; readonly kerb: number | null } {
  return {
    storeys: lineSteps(own.storeys, other.storeys),
    cornices: lineSteps(own.cornices, other.cornices),
    kerb: own.kerb === null || other.kerb === null ? null : own.kerb - other.kerb,
  };
}

/** What lies before a door: how many plates its sill stands over the kerb, and in how many steps one gets there. */
export interface DoorStep {
  readonly name: string;
  readonly at: number;
  /** Below zero the door lies lower than the pavement. */
  readonly plates: number;
  readonly steps: number;
  /** True where the door begins or stands beyond its house. */
  readonly isOutside: boolean;
}

/** A figure takes two plates at a step. */
const PLATES_A_STEP = 2;

/** The steps before the doors of a house; a house without a kerb stands on the ground. */
export const doorSteps = (house: Pick<StreetHouse, 'doors' | 'kerb' | 'width'>): DoorStep[] =>
  house.doors.map((d) => {
    const plates = d.sill - (house.kerb ?? 0);
    return {
      name: d.name,
      at: d.at,
      plates,
      steps: Math.ceil(Math.abs(plates) / PLATES_A_STEP),
      isOutside: d.at >= house.width,
    };
  });

/** A base that several houses share: who stands on it, and how many studs of its width are left, below zero lack. */
export function sharedBase(
  street: readonly StreetHouse[],
  plot: Pick<Plot, 'width'>,
): { readonly names: string[]; readonly left: number } | null {
  const on = street.filter((h) => h.onBase);
  if (on.length < 2 || plot.width === 0) return null;
  return { names: on.map((h) => h.name), left: plot.width - on.reduce((s, h) => s + h.width, 0) };
}
