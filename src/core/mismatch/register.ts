import { nearestColours, type Colour, type LabD65 } from '../colour';
import type { MadeIn } from '../ledger';
import {
  elementKey,
  inColour,
  partOf,
  splitElementKey,
  substitutesFor,
  type ElementKey,
  type Substitute,
} from '../parts';

/** Whether and when an element was made. `to` null = still made. */
export type Made =
  { readonly made: true; readonly from: number; readonly to: number | null } | { readonly made: false };

/** Knows which part was made in which colour. A real list takes the same shape. */
export interface Register {
  look(element: ElementKey): Made;
}

export type Availability = 'made' | 'retired' | 'never';

/** Made now, retired by a year, or never made. */
export function availability(made: Made, year: number): Availability {
  if (!made.made) return 'never';
  return made.to !== null && made.to < year ? 'retired' : 'made';
}

/** A register with imported lists and with proof laid over it: what came out of a box was made. */
export function withKnowledge(
  base: Register,
  imported: ReadonlyMap<string, MadeIn>,
  proof: ReadonlySet<ElementKey>,
): Register {
  return {
    look(element) {
      const plain = withoutPrint(element);
      const row = imported.get(plain);
      if (row) return { made: true, from: row.from ?? 0, to: row.to };
      const made = base.look(plain);
      return !made.made && (proof.has(element) || proof.has(plain)) ? { made: true, from: 0, to: 0 } : made;
    },
  };
}

/** Prints are not kept apart by the register: the plain element is looked up. */
export function withoutPrint(element: ElementKey): ElementKey {
  const { part, colour } = splitElementKey(element);
  return elementKey(part, colour);
}

/** What to do when a part was never made in a colour. */
export interface Alternatives {
  /** Colours it was made in, nearest first, with the ΔE00 to the one that was wanted. */
  readonly colours: readonly {
    readonly colour: Colour;
    readonly deltaE: number;
    readonly availability: Availability;
  }[];
  /** Other parts in the wanted colour that fill the same room. */
  readonly shapes: readonly Substitute[];
}

/**
 * Alternatives for an element that is not available: nearest colours of the same finish, and other shapes. What is there
 * already (`present`) is no alternative to itself.
 */
export function alternativesFor(
  element: ElementKey,
  palette: readonly Colour[],
  register: Register,
  year: number,
  count = 3,
  present: ElementKey | null = null,
): Alternatives {
  const { part, colour } = splitElementKey(element);
  const wanted = palette.find((c) => c.id === colour);
  const had = (e: ElementKey) => availability(register.look(e), year) !== 'never';
  const colours = wanted
    ? nearestMade(
        element,
        wanted.lab,
        palette.filter(
          (c) => c.finish === wanted.finish && (!present || inColour(element, c.id) !== present),
        ),
        register,
        year,
      )
    : [];
  const shapes = substitutesFor(partOf(part)).filter((s) =>
    s.parts.every((p) => had(elementKey(p.part.id, colour))),
  );
  return { colours: colours.slice(0, count), shapes: shapes.slice(0, count) };
}

function nearestMade(
  element: ElementKey,
  lab: LabD65,
  palette: readonly Colour[],
  register: Register,
  year: number,
): Alternatives['colours'][number][] {
  const { colour } = splitElementKey(element);
  return nearestColours(lab, palette, palette.length)
    .filter((n) => n.colour.id !== colour)
    .map((n) => ({ ...n, availability: availability(register.look(inColour(element, n.colour.id)), year) }))
    .filter((n) => n.availability !== 'never');
}
