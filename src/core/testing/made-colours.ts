import type { Colour } from '../colour';
import type { PartId } from '../shared/ids';
import { asId, type ColourId } from '../shared/ids';
import type { ShownLot } from '../mismatch/suspicion';

/** A colour that is somewhere in the room of all colours, and in no palette. */
export const colourAt = (
  id: string,
  [l, a, b]: readonly [number, number, number],
  more: Partial<Colour> = {},
): Colour =>
  ({
    id: asId<ColourId>(id),
    name: id,
    family: id,
    finish: 'solid',
    hex: '#808080',
    code: id,
    lab: { l, a, b, white: 'D65' },
    ...more,
  }) as unknown as Colour;

export const paletteOfColours = (...colours: readonly Colour[]): ReadonlyMap<string, Colour> =>
  new Map(colours.map((c) => [c.id, c]));

/** Pieces as they are written: "12 brick 1x2 ash". */
export function shownLot(text: string): ShownLot {
  const [, qty, part, colour] = /^(\d+) (.+) (\S+)$/.exec(text)!;
  return { part: part as PartId, colour: asId<ColourId>(colour!), qty: Number(qty) };
}
