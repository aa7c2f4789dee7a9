import { readPartName } from './read-part-name';
import type { Part } from './part';

/** What gets weaker when other parts take a part's place. */
export type Weakness = 'a joint across it' | 'a joint along it' | 'layers instead of one piece';

/** Parts that together have the shape and size of another. */
export interface Substitute {
  readonly parts: readonly { readonly part: Part; readonly qty: number }[];
  readonly weakens: Weakness;
}

/** Lengths that plain parts come in, studs. */
const LENGTHS: Readonly<Record<string, readonly number[]>> = {
  brick: [1, 2, 3, 4, 6, 8, 10, 12, 16],
  plate: [1, 2, 3, 4, 6, 8, 10, 12, 16],
  tile: [1, 2, 3, 4, 6, 8],
};

/**
 * Other parts that fill exactly the room of a plain brick, plate or tile, fewest pieces first: shorter ones end to end,
 * two half as wide side by side, and for a brick three plates on one another. Each names the joint that gets weaker.
 *
 * substitutesFor(partOf("plate 1x14"))[0] = 1 plate 1x12 and 1 plate 1x2
 *
 * Gives none for other families: their shape is not a sum of others.
 */
export function substitutesFor(part: Part): Substitute[] {
  const family = part.family.name;
  const lengths = LENGTHS[family];
  if (!lengths || part.variant) return [];
  const [width, length] = part.size;
  const named = (w: number, l: number, name = family): Part =>
    readPartName(`${name} ${Math.min(w, l)}x${Math.max(w, l)}`).part;
  const found: Substitute[] = [];
  for (const [a, b] of cuts(length, lengths))
    found.push({
      parts: a === b ? [{ part: named(width, a), qty: 2 }] : [named(width, a), named(width, b)].map(one),
      weakens: 'a joint across it',
    });
  if (width > 1 && width % 2 === 0)
    found.push({ parts: [{ part: named(width / 2, length), qty: 2 }], weakens: 'a joint along it' });
  if (family === 'brick')
    found.push({
      parts: [{ part: named(width, length, 'plate'), qty: 3 }],
      weakens: 'layers instead of one piece',
    });
  return found;
}

const one = (part: Part) => ({ part, qty: 1 });

/** Two standard lengths that add up to a length, the most even last since a long piece holds better. */
function cuts(length: number, lengths: readonly number[]): [number, number][] {
  return lengths
    .filter((a) => a < length && a * 2 >= length && lengths.includes(length - a))
    .map((a): [number, number] => [a, length - a])
    .sort((x, y) => y[0] - x[0]);
}
