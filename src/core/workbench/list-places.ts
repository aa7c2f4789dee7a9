import { changed, joinDiffs, type Diff } from '../ledger';

/** A number below which two neighbours count as having no room left between them: far above what a float can tell. */
const LEAST_STEP = 1e-6;

/** The order of a list: by position, and what stands at the same one by number. */
export const byPlace = <T extends Placed & { readonly no: number }>(a: T, b: T): number =>
  a.position - b.position || a.no - b.no;

/** The order of a list in which no two things stand at one position. */
export const byPosition = (a: Placed, b: Placed): number => a.position - b.position;

/** Something that stands in an ordered list. */
interface Placed {
  readonly position: number;
}

/**
 * Where `count` things go so that they stand before the one at index `at` of a list (its length: last). Positions are
 * numbers with room between them; where the room has been used up, by halving it again and again, what comes after moves
 * up, and is named.
 *
 * @param others  the list in its order, without what is placed
 * @returns the new positions in their order, and the later things that move, each with its new position
 * @example placesAt([{ position: 1 }, { position: 2 }], 1, 1) // { places: [1.5], moved: [] }
 */
export function placesAt<T extends Placed>(
  others: readonly T[],
  at: number,
  count: number,
): { readonly places: readonly number[]; readonly moved: readonly (readonly [T, number])[] } {
  const low = others[at - 1]?.position ?? (others[at]?.position ?? 1) - 1;
  const high = others[at]?.position ?? low + count + 1;
  const step = (high - low) / (count + 1);
  if (step >= LEAST_STEP)
    return { places: Array.from({ length: count }, (_, i) => low + step * (i + 1)), moved: [] };
  const up = low + count + 1 - high;
  return {
    places: Array.from({ length: count }, (_, i) => low + i + 1),
    moved: others.slice(at).map((o) => [o, o.position + up] as const),
  };
}

/** The difference that moves things of a list to new positions. */
export const movedTo = (
  type: 'entry' | 'modification',
  moved: readonly (readonly [{ readonly id: string; readonly position: number }, number])[],
): Diff => joinDiffs(...moved.map(([item, position]) => changed(type, item as never, { position })));
