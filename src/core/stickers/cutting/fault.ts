import { CUT } from './bounds';
import type { CutProblem } from './problem';

/**
 * What makes no sense in a problem that reads well: a sentence that says where, or null.
 *
 * faultOf(two fields called "left") = "two fields are called left"
 */
export function faultOf({ fields, strips }: CutProblem): string | null {
  const twice = (names: readonly string[]) => names.find((n, i) => names.indexOf(n) !== i);
  const field = twice(fields.map((f) => f.id));
  if (field !== undefined) return `two fields are called ${field}`;
  const strip = twice(strips.map((s) => s.id));
  if (strip !== undefined) return `two strips are called ${strip}`;
  const pieces = strips.reduce((n, s) => n + s.count, 0);
  return pieces > CUT.pieces ? `${pieces} strips are asked for, and at most ${CUT.pieces} are planned` : null;
}
