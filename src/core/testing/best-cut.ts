import { deltaE00 } from '../colour';
import type { CutProblem } from '../stickers/cutting';

export interface Tried {
  readonly unmet: number;
  readonly opened: number;
  readonly deltaE: number;
  readonly kept: number;
}

interface Piece {
  readonly kind: number;
  readonly w: number;
  readonly h: number;
}

const T = 10;

/**
 * The best of a small problem by trying: every strip in every field or in none, and every first cut at every tenth of a
 * millimetre where the sides of some of the strips, laid end to end, can end. It knows nothing of smallest rectangles.
 */
export function bestByTrying(problem: CutProblem): Tried {
  const kerf = Math.round(problem.kerf * T);
  const pieces: Piece[] = problem.strips.flatMap((s, kind) =>
    Array.from({ length: s.count }, () => ({ kind, w: Math.round(s.l * T), h: Math.round(s.w * T) })),
  );
  const fields = problem.fields.map((f) => ({
    w: Math.round((f.w - 2 * problem.margin) * T),
    h: Math.round((f.h - 2 * problem.margin) * T),
  }));
  const delta = problem.strips.map((s) =>
    problem.fields.map((f) => {
      const [a, b] = [f.lab, s.lab].map(([l, x, y]) => ({ l, a: x, b: y, white: 'D65' as const }));
      return deltaE00(a!, b!);
    }),
  );
  let best: Tried = { unmet: Infinity, opened: 0, deltaE: 0, kept: 0 };
  const memo = new Map<string, number>();
  const keptIn = (f: number, of: readonly Piece[]): number => {
    const key = `${f}:${of
      .map((p) => p.kind)
      .sort()
      .join()}`;
    if (!memo.has(key)) memo.set(key, largest(fields[f]!.w, fields[f]!.h, of, kerf, new Map()));
    return memo.get(key)!;
  };
  const go = (at: number, chosen: readonly Piece[][], unmet: number): void => {
    if (unmet > best.unmet) return;
    if (at === pieces.length) {
      const opened = chosen.flatMap((of, f) => (of.length > 0 ? [f] : []));
      const kept = opened.map((f) => keptIn(f, chosen[f]!));
      if (kept.some((k) => k < 0)) return;
      const deltaE = opened.reduce((s, f) => s + chosen[f]!.reduce((t, p) => t + delta[p.kind]![f]!, 0), 0);
      const now = { unmet, opened: opened.length, deltaE, kept: Math.max(0, ...kept) / T / T };
      if (isBetter(now, best)) best = now;
      return;
    }
    fields.forEach((_, f) => {
      const { kind } = pieces[at]!;
      if (delta[kind]![f]! > problem.tolerance) return;
      const isElsewhere = chosen.some((of, g) => g !== f && of.some((p) => p.kind === kind));
      if (problem.strips[kind]!.oneField && isElsewhere) return;
      const more = chosen.map((of, g) => (g === f ? [...of, pieces[at]!] : of));
      if (keptIn(f, more[f]!) >= 0) go(at + 1, more, unmet);
    });
    go(at + 1, chosen, unmet + 1);
  };
  go(
    0,
    fields.map(() => []),
    0,
  );
  return best;
}

const isBetter = (a: Tried, b: Tried): boolean => {
  if (a.unmet !== b.unmet) return a.unmet < b.unmet;
  if (a.opened !== b.opened) return a.opened < b.opened;
  if (Math.abs(a.deltaE - b.deltaE) > 1e-5) return a.deltaE < b.deltaE;
  return a.kept > b.kept + 1e-9;
};

/** The largest rectangle that can stay of a piece while all strips are cut from it; -1 = they can't be. */
function largest(
  w: number,
  h: number,
  of: readonly Piece[],
  kerf: number,
  known: Map<string, number>,
): number {
  const key = `${w} ${h} ${of.map((p) => p.kind).join()}`;
  const found = known.get(key) ?? tryAll(w, h, of, kerf, known);
  known.set(key, found);
  return found;
}

function tryAll(
  w: number,
  h: number,
  of: readonly Piece[],
  kerf: number,
  known: Map<string, number>,
): number {
  if (w < 0 || h < 0) return -1;
  if (of.length === 0) return w * h;
  let best = -1;
  if (of.length === 1) {
    const [p] = of;
    if ((p!.w === w && p!.h === h) || (p!.w === h && p!.h === w)) best = 0;
  }
  for (const [side, cut] of [
    [w, (at: number) => [at, h, Math.max(0, w - at - kerf), h]],
    [h, (at: number) => [w, at, w, Math.max(0, h - at - kerf)]],
  ] as const)
    for (const at of endsOf(of, kerf))
      if (at < side)
        for (let mask = 0; mask < 1 << of.length; mask++) {
          const [aw, ah, bw, bh] = cut(at);
          const a = largest(
            aw!,
            ah!,
            of.filter((_, i) => mask & (1 << i)),
            kerf,
            known,
          );
          if (a < 0 || (mask === 0 && at > 0)) continue;
          const b = largest(
            bw!,
            bh!,
            of.filter((_, i) => !(mask & (1 << i))),
            kerf,
            known,
          );
          if (b >= 0) best = Math.max(best, a, b);
        }
  return best;
}

/** Where a row of some of the strips can end, whichever way each lies. */
function endsOf(of: readonly Piece[], kerf: number): number[] {
  let ends = new Set<number>([-kerf]);
  for (const p of of) ends = new Set([...ends].flatMap((e) => [e, e + kerf + p.w, e + kerf + p.h]));
  return [...ends].filter((e) => e > 0);
}
