import type { Rect } from './lay-out';
import type { Group } from './groups';

/** A strip in a field of a group: its kind, its corner within the field's margin, and which way it lies. */
export interface Laid {
  readonly kind: number;
  readonly x: number;
  readonly y: number;
  readonly along: boolean;
}

/** What is cut from one field of a group, and the largest rectangle that stays whole of it. */
export interface FieldCut {
  readonly laid: readonly Laid[];
  readonly kept: Rect | null;
}

/** What is cut from each field of a group. */
export type SharedOut = readonly FieldCut[];

export interface CutScore {
  readonly unmet: number;
  readonly opened: number;
  /** Millionths. */
  readonly deltaE: number;
  /** Area of the largest rectangle left whole in an opened field, in hundredths of a square millimetre. */
  readonly kept: number;
}

export const areaOf = (r: { readonly w: number; readonly h: number } | null): number => (r ? r.w * r.h : 0);

/** What a sharing out comes to. */
export function scoreOf({ kinds }: Group, shared: SharedOut): CutScore {
  let [met, opened, deltaE, kept] = [0, 0, 0, 0];
  shared.forEach(({ laid, kept: whole }, f) => {
    if (laid.length === 0) return;
    opened++;
    met += laid.length;
    for (const l of laid) deltaE += kinds[l.kind]!.deltas[f]!;
    kept = Math.max(kept, areaOf(whole));
  });
  return { unmet: kinds.reduce((n, k) => n + k.count, 0) - met, opened, deltaE, kept };
}

/** Below 0 where the first is better: fewest unmet, fewest fields opened, least difference of colour, most left whole. */
export const compareCuts = (a: CutScore, b: CutScore): number =>
  a.unmet - b.unmet || a.opened - b.opened || a.deltaE - b.deltaE || b.kept - a.kept;

/** Scores of groups that share no field, together. */
export const addScores = (scores: readonly CutScore[]): CutScore => ({
  unmet: scores.reduce((n, s) => n + s.unmet, 0),
  opened: scores.reduce((n, s) => n + s.opened, 0),
  deltaE: scores.reduce((n, s) => n + s.deltaE, 0),
  kept: Math.max(0, ...scores.map((s) => s.kept)),
});
