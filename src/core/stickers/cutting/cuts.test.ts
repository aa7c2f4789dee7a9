import { describe, expect, it } from 'vitest';
import { randomCut } from '../../testing/cutting';
import { CutSearch } from './cut-search';
import { cutsOfField, LEAST_REST, type Area, type Cut } from './cuts';
import type { CutProblem } from './problem';
import { spareTries } from './spare-tries';

const inside = (a: Area, b: Area): boolean =>
  a.x >= b.x - 1e-6 && a.y >= b.y - 1e-6 && a.x + a.w <= b.x + b.w + 1e-6 && a.y + a.h <= b.y + b.h + 1e-6;
const apart = (a: Area, b: Area): boolean =>
  a.x + a.w <= b.x + 1e-6 || b.x + b.w <= a.x + 1e-6 || a.y + a.h <= b.y + 1e-6 || b.y + b.h <= a.y + 1e-6;

/** Makes the cuts on paper: every piece there is in the end. */
function piecesAfter(field: Area, cuts: readonly Cut[]): Area[] {
  let pieces = [field];
  for (const { piece, beside, at, to } of cuts) {
    // The blade goes through the whole of a piece that there is.
    const i = pieces.findIndex((p) => inside(piece, p) && inside(p, piece));
    if (i < 0) throw new Error('a cut goes through no piece');
    const { x, y, w, h } = pieces[i]!;
    const halves = beside
      ? [
          { x, y, w: at - x, h },
          { x: to, y, w: x + w - to, h },
        ]
      : [
          { x, y, w, h: at - y },
          { x, y: to, w, h: y + h - to },
        ];
    pieces = [
      ...pieces.slice(0, i),
      ...halves.filter((p) => p.w > 1e-6 && p.h > 1e-6),
      ...pieces.slice(i + 1),
    ];
  }
  return pieces;
}

describe('cuts in order', () => {
  it('get every strip out at its size, and leave what the plan says stays whole', () => {
    let cutFields = 0;
    for (let seed = 1; seed <= 30; seed++) {
      const problem = randomCut(seed, { colours: 2, fields: 3, kinds: 4, count: 3 });
      const search = new CutSearch(problem, seed);
      while (search.solveNext(() => false));
      const plan = search.plan(0);
      for (const field of problem.fields) {
        const placed = plan.placed.filter((p) => p.field === field.id);
        if (placed.length === 0) continue;
        cutFields++;
        const kept = plan.kept?.field === field.id ? plan.kept : null;
        const { cuts, rests } = cutsOfField(problem, field, placed, kept);
        const pieces = piecesAfter({ x: 0, y: 0, w: field.w, h: field.h }, cuts);
        for (const p of placed) {
          const { w, l } = problem.strips.find((s) => s.id === p.strip)!;
          const strip = { x: p.x, y: p.y, w: p.along ? l : w, h: p.along ? w : l };
          expect(pieces.some((piece) => inside(piece, strip) && inside(strip, piece))).toBe(true);
        }
        if (kept) expect(rests.some((r) => inside(kept, r))).toBe(true);
        for (const r of rests) {
          expect(Math.min(r.w, r.h)).toBeGreaterThanOrEqual(LEAST_REST);
          expect(pieces.some((p) => inside(r, p) && inside(p, r))).toBe(true);
          expect(rests.every((o) => o === r || apart(o, r))).toBe(true);
        }
      }
    }
    expect(cutFields).toBeGreaterThan(30);
  });

  it('take one cut for a stripe along an edge', () => {
    const problem: Pick<CutProblem, 'kerf' | 'strips'> = {
      kerf: 0.2,
      strips: [{ id: 's', w: 3.2, l: 64, count: 1, lab: [40, 50, 30] }],
    };
    const one = { strip: 's', field: 'f', x: 0, y: 0, along: true };
    expect(cutsOfField(problem, { w: 64, h: 22.5 }, [one], null)).toEqual({
      cuts: [{ piece: { x: 0, y: 0, w: 64, h: 22.5 }, beside: false, at: 3.2, to: 3.4 }],
      rests: [{ x: 0, y: 3.4, w: 64, h: 19.1 }],
    });
    expect(cutsOfField(problem, { w: 64, h: 22.5 }, [], null)).toEqual({
      cuts: [],
      rests: [{ x: 0, y: 0, w: 64, h: 22.5 }],
    });
  });
});

describe('spare tries', () => {
  it('counts whole strips with a blade between them, the better way round', () => {
    const rest = { x: 0, y: 0, w: 64, h: 10 };
    expect(spareTries([rest], { w: 3.2, l: 64 }, 0.2)).toBe(3);
    expect(spareTries([rest], { w: 3.2, l: 64 }, 0.3)).toBe(2);
    expect(spareTries([rest], { w: 64, l: 3.2 }, 0.2)).toBe(3);
    expect(spareTries([rest, rest], { w: 10, l: 10 }, 1)).toBe(10);
    expect(spareTries([rest], { w: 11, l: 11 }, 0)).toBe(0);
    expect(spareTries([], { w: 1, l: 1 }, 0)).toBe(0);
  });
});
