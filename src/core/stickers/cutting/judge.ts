import { deltaE00 } from '../../colour';
import type { CutPlan, CutProblem, PlacedStrip } from './problem';

/** What a plan comes to by the rules of the problem alone, and the first thing that is against them. */
export interface JudgedCut {
  readonly fault: string | null;
  readonly unmet: number;
  readonly fieldsOpened: number;
  readonly deltaE: number;
}

interface Piece {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

const SLACK = 1e-6;

/**
 * Goes through a plan as a person with ruler and blade would, knowing nothing of how plans are made: every strip is asked
 * for, has a colour within the tolerance and lies within the margin, and cuts from edge to edge, a blade's width each, get
 * every one of them out, and what is to stay whole too.
 */
export function judgeCut(
  problem: CutProblem,
  plan: Pick<CutPlan, 'placed'> & Partial<Pick<CutPlan, 'kept'>>,
): JudgedCut {
  const fields = new Map(problem.fields.map((f) => [f.id, f]));
  const strips = new Map(problem.strips.map((s) => [s.id, s]));
  const inField = new Map<string, Piece[]>();
  const taken = new Map<string, number>();
  let fault: string | null = null;
  let deltaE = 0;
  for (const p of plan.placed) {
    const [field, strip] = [fields.get(p.field), strips.get(p.strip)];
    if (!field || !strip)
      return { fault: `there is no ${field ? p.strip : p.field}`, unmet: 0, fieldsOpened: 0, deltaE };
    const delta = deltaE00(labOf(field.lab), labOf(strip.lab));
    deltaE += delta;
    if (delta > problem.tolerance + SLACK) fault ??= `${p.strip} is not of the colour of ${p.field}`;
    taken.set(p.strip, (taken.get(p.strip) ?? 0) + 1);
    if (taken.get(p.strip)! > strip.count) fault ??= `too many of ${p.strip} are cut`;
    if (strip.oneField && plan.placed.some((o) => o.strip === p.strip && o.field !== p.field))
      fault ??= `${p.strip} is cut from more than one field`;
    const piece = pieceOf(p, strip);
    fault ??= outside(piece, field, problem.margin) ? `${p.strip} lies in the margin of ${p.field}` : null;
    inField.set(p.field, [...(inField.get(p.field) ?? []), piece]);
  }
  const { kept } = plan;
  if (kept) {
    const piece = { x0: kept.x, y0: kept.y, x1: kept.x + kept.w, y1: kept.y + kept.h };
    if (!inField.has(kept.field)) fault ??= `${kept.field} is kept and not cut into`;
    if (outside(piece, fields.get(kept.field)!, problem.margin)) fault ??= 'what is kept lies in the margin';
    inField.get(kept.field)?.push(piece);
  }
  for (const [field, pieces] of inField)
    if (!comesApart(pieces, problem.kerf))
      fault ??= `no cuts from edge to edge get all strips out of ${field}`;
  const asked = problem.strips.reduce((n, s) => n + s.count, 0);
  return { fault, unmet: asked - plan.placed.length, fieldsOpened: inField.size, deltaE };
}

const labOf = ([l, a, b]: readonly [number, number, number]) => ({ l, a, b, white: 'D65' as const });

function pieceOf({ x, y, along }: PlacedStrip, { w, l }: { w: number; l: number }): Piece {
  return { x0: x, y0: y, x1: x + (along ? l : w), y1: y + (along ? w : l) };
}

const outside = (p: Piece, field: { w: number; h: number }, margin: number): boolean =>
  p.x0 < margin - SLACK ||
  p.y0 < margin - SLACK ||
  p.x1 > field.w - margin + SLACK ||
  p.y1 > field.h - margin + SLACK;

/**
 * Whether cuts from edge to edge separate pieces: any cut that goes through none of them may be made first, since what can
 * be separated as a whole can be separated in its parts.
 */
export function comesApart(pieces: readonly Piece[], kerf: number): boolean {
  if (pieces.length < 2) return true;
  for (const [from, to] of [
    ['x0', 'x1'],
    ['y0', 'y1'],
  ] as const) {
    const sorted = [...pieces].sort((a, b) => a[from] - b[from]);
    let end = sorted[0]![to];
    for (let i = 1; i < sorted.length; i++) {
      if (sorted[i]![from] - end >= kerf - SLACK)
        return comesApart(sorted.slice(0, i), kerf) && comesApart(sorted.slice(i), kerf);
      end = Math.max(end, sorted[i]![to]);
    }
  }
  return false;
}
