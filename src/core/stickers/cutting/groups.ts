import { deltaE00 } from '../../colour';
import type { Side } from './boxes';
import type { CutProblem, UnmetWhy } from './problem';

/** Tenths of a millimetre: what the sums are done in. */
const up = (mm: number): number => Math.ceil(mm * 10 - 1e-6);
const down = (mm: number): number => Math.floor(mm * 10 + 1e-6);
export const tenths = { up, down, toMm: (n: number): number => n / 10 };

/** A field without its margin. */
export interface FieldSide extends Side {
  readonly field: number;
}

/** Strips of one size and colour, `w` along their length, in tenths of a millimetre. */
export interface StripKind extends Side {
  readonly strip: number;
  readonly count: number;
  /** True = all that are cut of it come from one field. */
  readonly oneField: boolean;
  /** By place in the group's fields: the colours' difference in millionths of ΔE00, Infinity beyond the tolerance. */
  readonly deltas: readonly number[];
}

/** Fields and strips that share colours: each group is planned by itself. */
export interface Group {
  readonly fields: readonly FieldSide[];
  readonly kinds: readonly StripKind[];
  readonly kerf: number;
}

export interface Grouped {
  readonly groups: readonly Group[];
  /** Strips that no field can give, whatever else is cut: which needs no search to be proven. */
  readonly never: readonly { readonly strip: number; readonly why: UnmetWhy }[];
}

const MILLIONTHS = 1e6;
export const toDeltaE = (millionths: number): number => millionths / MILLIONTHS;

/**
 * A problem in whole tenths of a millimetre, in parts that have no field in common. What does not fit any field of its
 * colour even alone is set aside.
 */
export function groupsOf(problem: CutProblem): Grouped {
  const fields = problem.fields.map(({ w, h }, field) => {
    const border = 2 * up(problem.margin);
    return { field, w: down(w) - border, h: down(h) - border };
  });
  const deltas = problem.strips.map(({ lab: [l, a, b] }) =>
    problem.fields.map((f) => {
      const delta = deltaE00(
        { l: f.lab[0], a: f.lab[1], b: f.lab[2], white: 'D65' },
        { l, a, b, white: 'D65' },
      );
      return delta <= problem.tolerance ? Math.round(delta * MILLIONTHS) : Infinity;
    }),
  );
  const never: { strip: number; why: UnmetWhy }[] = [];
  const possible: number[] = [];
  problem.strips.forEach((s, strip) => {
    if (s.count === 0) return;
    const [long, short] = [up(Math.max(s.w, s.l)), up(Math.min(s.w, s.l))];
    const ofColour = fields.filter((_, f) => deltas[strip]![f]! < Infinity);
    const fits = ofColour.some((f) => long <= Math.max(f.w, f.h) && short <= Math.min(f.w, f.h));
    if (fits) possible.push(strip);
    else never.push({ strip, why: ofColour.length > 0 ? 'too large' : 'no colour' });
  });
  return { groups: linked(possible, deltas).map(toGroup), never };

  function toGroup({ strips, of }: { strips: number[]; of: number[] }): Group {
    const kinds = strips.map((strip) => {
      const { w, l, count, oneField = false } = problem.strips[strip]!;
      return { strip, count, oneField, w: up(l), h: up(w), deltas: of.map((f) => deltas[strip]![f]!) };
    });
    return { fields: of.map((f) => fields[f]!), kinds, kerf: up(problem.kerf) };
  }
}

/** Strips with the fields that any of them may come from, where those have none in common with other strips'. */
function linked(strips: readonly number[], deltas: readonly (readonly number[])[]) {
  let found: { strips: number[]; of: Set<number> }[] = [];
  for (const strip of strips) {
    const own = new Set(deltas[strip]!.flatMap((d, f) => (d < Infinity ? [f] : [])));
    const [met, apart] = [[] as typeof found, [] as typeof found];
    for (const g of found) ([...g.of].some((f) => own.has(f)) ? met : apart).push(g);
    const merged = {
      strips: [...met.flatMap((g) => g.strips), strip],
      of: new Set([...met.flatMap((g) => [...g.of]), ...own]),
    };
    found = [...apart, merged];
  }
  return found.map(({ strips: s, of }) => ({ strips: s, of: [...of].sort((a, b) => a - b) }));
}
