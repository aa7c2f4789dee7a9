import { PALETTE, type Colour } from '../colour';
import { elementKey, inColour, partOf, splitElementKey, substitutesFor, type ElementKey } from '../parts';
import type { PartId } from '../shared/ids';
import type { Made, Register } from './register';

/** What a register says of some parts: for each the colours that it was made in, from when to when (null = still made). */
export type RegisterRows = Readonly<
  Record<string, Readonly<Record<string, readonly [from: number, to: number | null]>>>
>;

/** What a register says of some parts in every colour of the palette, as a page can carry it. */
export function rowsOf(register: Register, parts: readonly PartId[]): RegisterRows {
  const rowOf = (part: PartId) =>
    PALETTE.flatMap(({ id }) => {
      const made = register.look(elementKey(part, id));
      return made.made ? [[id, [made.from, made.to]] as const] : [];
    });
  return Object.fromEntries(parts.map((part) => [part, Object.fromEntries(rowOf(part))]));
}

/**
 * A register made of rows, which says of their parts what the register said that they came from. `onMissing` is told of a part
 * that is not among them; until its row has come it counts as never made.
 */
export function registerOf(
  rows: RegisterRows,
  onMissing: (part: PartId) => void = () => undefined,
): Register {
  return {
    look(element): Made {
      const { part, colour } = splitElementKey(element);
      const row = rows[part];
      if (!row) onMissing(part);
      const made = row?.[colour];
      return made ? { made: true, from: made[0], to: made[1] } : { made: false };
    },
  };
}

/** The parts that are asked after when a build's colours are: its own, and those that could fill their places. */
export function partsToLookUp(elements: Iterable<ElementKey>): PartId[] {
  const own = new Set([...elements].map((e) => splitElementKey(e).part));
  const others = [...own].flatMap((p) =>
    substitutesFor(partOf(p)).flatMap((s) => s.parts.map((x) => x.part.id)),
  );
  return [...new Set([...own, ...others])];
}

/**
 * Everything that a build's colours are judged and put right by: its own elements and those that could fill their places, in
 * every colour of a palette.
 *
 * @example elementsToLookUp([elementKey(partId, ash)], PALETTE) = the part in each colour, and what stands for it in each
 */
export function elementsToLookUp(
  elements: Iterable<ElementKey>,
  palette: readonly Pick<Colour, 'id'>[],
): ElementKey[] {
  const own = [...elements];
  const plain = partsToLookUp(own).flatMap((part) => palette.map((c) => elementKey(part, c.id)));
  return [...new Set([...own.flatMap((e) => [e, ...palette.map((c) => inColour(e, c.id))]), ...plain])];
}
