import type { JointPlace } from './grid';
import type { FloorProblem, LaidPiece, LayProblem, WallsProblem } from './problem';

/** Where a laying is weak, and where it is empty: by wall and course, or by the floor's places. */
export interface WeakPlaces {
  readonly joints: readonly JointPlace[];
  readonly empty: readonly (
    | { readonly wall: string; readonly course: number; readonly at: number }
    | { readonly x: number; readonly y: number }
  )[];
}

/**
 * Joints over joints, crosses and empty places of a laying, for drawing: from its pieces alone, without all the ways in
 * which pieces could lie. A corner's empty place is told once, of the first of its walls.
 *
 * @example weakPlaces(problem, plan.pieces).joints.length === plan.joints
 */
export const weakPlaces = (problem: LayProblem, pieces: readonly LaidPiece[]): WeakPlaces =>
  problem.kind === 'walls' ? ofWalls(problem, pieces) : ofFloor(problem, pieces);

/** Nothing lies there; nothing may. */
const EMPTY = -1;
const SHUT = -2;

function ofWalls(problem: WallsProblem, pieces: readonly LaidPiece[]): WeakPlaces {
  const thick = problem.thick ?? 1;
  const parts = new Map(problem.parts.map((p) => [p.id, p]));
  const courses = problem.courses.length;
  const walls = new Map(
    problem.walls.map((w) => [w.id, { ...w, cells: new Int32Array(w.length * courses * thick).fill(EMPTY) }]),
  );
  const at = (course: number, place: number, row: number, length: number) =>
    (course * length + place) * thick + row;
  for (const o of problem.openings) {
    const wall = walls.get(o.wall)!;
    for (let c = o.bottom; c < o.bottom + o.courses; c++)
      for (let p = o.from; p < o.from + o.width; p++)
        for (let r = 0; r < thick; r++) wall.cells[at(c, p, r, wall.length)] = SHUT;
  }
  pieces.forEach((piece, i) => {
    const part = parts.get(piece.part);
    const wall = 'wall' in piece ? walls.get(piece.wall) : undefined;
    if (!('wall' in piece) || !part || !wall) return;
    const [along, deep] = piece.across ? [part.deep ?? 1, part.length] : [part.length, part.deep ?? 1];
    for (let p = piece.at; p < piece.at + along; p++)
      for (let r = piece.row ?? 0; r < (piece.row ?? 0) + deep; r++)
        wall.cells[at(piece.course, p, r, wall.length)] = i;
  });
  shareCorners(problem, walls, at);
  const joints: JointPlace[] = [];
  const empty: { wall: string; course: number; at: number }[] = [];
  const told = new Set<string>();
  for (const { id, length, cells } of walls.values())
    for (let c = 0; c < courses; c++)
      for (let p = 0; p < length; p++)
        for (let r = 0; r < thick; r++) {
          const here = cells[at(c, p, r, length)]!;
          if (here === EMPTY && !told.has(cornerKey(problem, id, c, p, r)))
            empty.push({ wall: id, course: c, at: p });
          if (here === EMPTY) told.add(cornerKey(problem, id, c, p, r));
          if (p === 0 || c + 1 === courses) continue;
          const [a, b] = [cells[at(c, p - 1, r, length)]!, here];
          const [d, e] = [cells[at(c + 1, p - 1, r, length)]!, cells[at(c + 1, p, r, length)]!];
          if (Math.min(a, b, d, e) >= 0 && a !== b && d !== e)
            joints.push({ wall: id, course: c, border: p });
        }
  return { joints, empty };
}

type WallCells = ReadonlyMap<string, { readonly length: number; readonly cells: Int32Array }>;

/** Both walls of a corner see what lies at it, whichever of them laid it. */
function shareCorners(
  problem: WallsProblem,
  walls: WallCells,
  at: (course: number, place: number, row: number, length: number) => number,
): void {
  const thick = problem.thick ?? 1;
  // A place of three walls that meet in one stud is reached in a second round.
  for (let round = 0; round < 2; round++)
    for (const k of problem.corners)
      for (let c = 0; c < problem.courses.length; c++)
        for (let i = 0; i < thick; i++)
          for (let j = 0; j < thick; j++) {
            const [a, b] = [walls.get(k.a)!, walls.get(k.b)!];
            const here = at(c, fromEnd(a.length, k.aEnd, j), i, a.length);
            const there = at(c, fromEnd(b.length, k.bEnd, i), j, b.length);
            if (a.cells[here] === EMPTY) a.cells[here] = b.cells[there]!;
            else if (b.cells[there] === EMPTY) b.cells[there] = a.cells[here]!;
          }
}

const fromEnd = (length: number, end: 'left' | 'right', n: number): number =>
  end === 'left' ? n : length - 1 - n;

/** The same for both walls of a corner's place. */
function cornerKey(problem: WallsProblem, wall: string, course: number, place: number, row: number): string {
  const thick = problem.thick ?? 1;
  const length = problem.walls.find((w) => w.id === wall)!.length;
  for (const [i, k] of problem.corners.entries()) {
    const ends = [
      [k.a, k.aEnd, false],
      [k.b, k.bEnd, true],
    ] as const;
    for (const [id, end, turned] of ends) {
      const n = end === 'left' ? place : length - 1 - place;
      if (id === wall && n < thick) return `corner ${i} ${course} ${turned ? `${row} ${n}` : `${n} ${row}`}`;
    }
  }
  return `${wall} ${course} ${place} ${row}`;
}

function ofFloor(problem: FloorProblem, pieces: readonly LaidPiece[]): WeakPlaces {
  const { width, depth } = problem;
  const parts = new Map(problem.parts.map((p) => [p.id, p]));
  const cells = new Int32Array(width * depth).fill(EMPTY);
  const fill = (r: { x: number; y: number; w: number; d: number }, value: number, into: Int32Array) => {
    for (let y = r.y; y < Math.min(depth, r.y + r.d); y++)
      for (let x = r.x; x < Math.min(width, r.x + r.w); x++) into[y * width + x] = value;
  };
  for (const k of problem.keepOut) fill(k, SHUT, cells);
  pieces.forEach((p, i) => {
    const part = parts.get(p.part);
    if (!('turned' in p) || !part) return;
    const [w, d] = p.turned ? [part.d, part.w] : [part.w, part.d];
    fill({ x: p.x, y: p.y, w, d }, i, cells);
  });
  const below = new Int32Array(width * depth).fill(EMPTY);
  problem.under?.forEach((u, i) => fill(u, i, below));
  const joints: JointPlace[] = [];
  const empty: { x: number; y: number }[] = [];
  const seam = (a: number, b: number, x: number, y: number): void => {
    const over = cells[a]! >= 0 && cells[b]! >= 0 && cells[a] !== cells[b];
    if (over && below[a]! >= 0 && below[b]! >= 0 && below[a] !== below[b]) joints.push({ x, y });
  };
  for (let y = 0; y < depth; y++)
    for (let x = 0; x < width; x++) {
      const here = y * width + x;
      if (cells[here] === EMPTY) empty.push({ x, y });
      if (x + 1 < width) seam(here, here + 1, x + 1, y);
      if (y + 1 < depth) seam(here, here + width, x, y + 1);
      if (!problem.avoidCrosses || x === 0 || y === 0) continue;
      const around = [here - width - 1, here - width, here - 1, here].map((c) => cells[c]!);
      if (Math.min(...around) >= 0 && new Set(around).size === 4) joints.push({ x, y });
    }
  return { joints, empty };
}
