import type { CutProblem, PlacedStrip } from './problem';

/** Millimetres from the field's corner. */
export interface Area {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** A cut by ruler and blade, from edge to edge of a piece. */
export interface Cut {
  /** The piece that lies under the ruler. */
  readonly piece: Area;
  /** True = the ruler lies along y, and x is cut. */
  readonly beside: boolean;
  /** Where, measured from the field's corner; the blade takes what lies between `at` and `to`. */
  readonly at: number;
  readonly to: number;
}

export interface CutsOfField {
  readonly cuts: readonly Cut[];
  /** What is left over and large enough to be worth keeping, largest first. */
  readonly rests: readonly Area[];
}

/** A left-over of which a side is shorter than this, in mm, is nothing that a strip is cut from. */
export const LEAST_REST = 2;

const round = (n: number): number => Math.round(n * 100) / 100;
const tidy = (a: Area): Area => ({ x: round(a.x), y: round(a.y), w: round(a.w), h: round(a.h) });
const areaOf = (a: Area): number => a.w * a.h;

/**
 * The cuts that get a field's strips out, in order: each goes from edge to edge of the piece that is under the ruler, and
 * leaves the largest pieces together as long as it can. What the plan keeps whole is cut round last.
 *
 * cutsOfField(field 64 x 22.5 with a stripe 64 x 3.2 at its lower edge) = one cut, and 64 x 19.1 left over
 */
export function cutsOfField(
  problem: Pick<CutProblem, 'kerf' | 'strips'>,
  field: { readonly w: number; readonly h: number },
  placed: readonly PlacedStrip[],
  kept: Area | null,
): CutsOfField {
  const sizes = new Map(problem.strips.map((s) => [s.id, s]));
  const strips = placed.map(({ strip, x, y, along }) => {
    const { w, l } = sizes.get(strip)!;
    return { x, y, w: along ? l : w, h: along ? w : l, strip: true };
  });
  const cutting = new Cutting(problem.kerf);
  cutting.piece({ x: 0, y: 0, ...field }, [...strips, ...(kept ? [{ ...kept, strip: false }] : [])]);
  const rests = cutting.rests.filter((r) => Math.min(r.w, r.h) >= LEAST_REST).map(tidy);
  return {
    cuts: cutting.cuts.map((c) => ({ ...c, piece: tidy(c.piece), at: round(c.at), to: round(c.to) })),
    rests: rests.sort((a, b) => areaOf(b) - areaOf(a)),
  };
}

interface Wanted extends Area {
  readonly strip: boolean;
}

class Cutting {
  readonly cuts: Cut[] = [];
  readonly rests: Area[] = [];

  constructor(private readonly kerf: number) {}

  piece(piece: Area, wanted: readonly Wanted[]): void {
    if (wanted.length === 0 || (wanted.length === 1 && !wanted[0]!.strip)) {
      if (piece.w > 0 && piece.h > 0) this.rests.push(piece);
      return;
    }
    const edge = this.outerEdge(piece, wanted) ?? this.between(piece, wanted);
    if (!edge) return;
    const [first, second] = this.cut(piece, edge.beside, edge.at, edge.to);
    this.piece(first, edge.first);
    this.piece(second, edge.second);
  }

  /** What lies beyond all that is wanted is cut off first, the largest such piece before the others. */
  private outerEdge(piece: Area, wanted: readonly Wanted[]) {
    const low = { x: Math.min(...wanted.map((w) => w.x)), y: Math.min(...wanted.map((w) => w.y)) };
    const high = {
      x: Math.max(...wanted.map((w) => w.x + w.w)),
      y: Math.max(...wanted.map((w) => w.y + w.h)),
    };
    // Beside what stays whole nothing need be cut off: it may be larger.
    const atStrip = (on: (w: Area) => number, edge: number) =>
      wanted.some((w) => w.strip && Math.abs(on(w) - edge) < 1e-6);
    const edges = [
      {
        ...{ beside: true, at: high.x, to: high.x + this.kerf, off: piece.x + piece.w - high.x },
        ...{ across: piece.h, last: true, cuts: atStrip((w) => w.x + w.w, high.x) },
      },
      {
        ...{ beside: false, at: high.y, to: high.y + this.kerf, off: piece.y + piece.h - high.y },
        ...{ across: piece.w, last: true, cuts: atStrip((w) => w.y + w.h, high.y) },
      },
      {
        ...{ beside: true, at: low.x - this.kerf, to: low.x, off: low.x - piece.x },
        ...{ across: piece.h, last: false, cuts: atStrip((w) => w.x, low.x) },
      },
      {
        ...{ beside: false, at: low.y - this.kerf, to: low.y, off: low.y - piece.y },
        ...{ across: piece.w, last: false, cuts: atStrip((w) => w.y, low.y) },
      },
    ].filter((e) => e.cuts && e.off > 1e-6);
    if (edges.length === 0) return null;
    const e = edges.reduce((a, b) => (b.off * b.across > a.off * a.across ? b : a));
    return { ...e, first: e.last ? wanted : [], second: e.last ? [] : wanted };
  }

  /** A gap between groups that goes from edge to edge: the one that leaves the largest piece whole. */
  private between(piece: Area, wanted: readonly Wanted[]) {
    const found = [true, false].flatMap((beside) => this.gaps(wanted, beside));
    if (found.length === 0) return null;
    const larger = (g: (typeof found)[number]) => {
      const span = g.beside
        ? [g.at - piece.x, piece.x + piece.w - g.to]
        : [g.at - piece.y, piece.y + piece.h - g.to];
      return Math.max(...span.map((s) => s * (g.beside ? piece.h : piece.w)));
    };
    return found.reduce((a, b) => (larger(b) > larger(a) ? b : a));
  }

  private gaps(wanted: readonly Wanted[], beside: boolean) {
    const start = (w: Area) => (beside ? w.x : w.y);
    const end = (w: Area) => (beside ? w.x + w.w : w.y + w.h);
    const sorted = [...wanted].sort((a, b) => start(a) - start(b));
    let reach = end(sorted[0]!);
    return sorted.slice(1).flatMap((next, i) => {
      const gap = start(next) - reach;
      const [first, second] = [sorted.slice(0, i + 1), sorted.slice(i + 1)];
      // What stays whole gets what is to spare of the gap.
      const at = first.length === 1 && !first[0]!.strip ? start(next) - this.kerf : reach;
      reach = Math.max(reach, end(next));
      return gap >= this.kerf - 1e-6 ? [{ beside, at, to: at + this.kerf, first, second }] : [];
    });
  }

  private cut(piece: Area, beside: boolean, at: number, to: number): readonly [Area, Area] {
    this.cuts.push({ piece, beside, at, to });
    const { x, y, w, h } = piece;
    return beside
      ? [
          { x, y, w: Math.max(0, at - x), h },
          { x: to, y, w: Math.max(0, x + w - to), h },
        ]
      : [
          { x, y, w, h: Math.max(0, at - y) },
          { x, y: to, w, h: Math.max(0, y + h - to) },
        ];
  }
}
