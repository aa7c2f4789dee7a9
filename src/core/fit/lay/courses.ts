import { between, pick, type Random } from '../../shared/random';
import type { Grid } from './grid';
import { compareScores, Laying } from './laying';

/** A course of one wall: its cells by place, -1 where an opening is, and the placements that begin at each place. */
interface Row {
  readonly cells: number[];
  readonly from: number[][];
}

const JOINT = 1e5;
const GAP = 1e8;

/**
 * Walls laid course by course, each as well as can be over the one below it: the shortest path through its places, where a
 * border over a border costs more than any piece. Where walls meet they fill the corner in turn. Undefined for floors.
 */
export function layCourses(grid: Grid): Laying | undefined {
  const rows = rowsOf(grid);
  if (!rows) return undefined;
  const laying = new Laying(grid);
  const courses = Math.max(0, ...rows.map((r) => r.length));
  for (let c = 0; c < courses; c++)
    rows.forEach((wall, w) => {
      const row = wall[c];
      if (row) layRow(grid, laying, row, [wall[c - 1]], (c + w) % 2 === 0);
    });
  return laying;
}

function rowsOf(grid: Grid): Row[][] | undefined {
  const walls = new Map<string, Row[]>();
  for (const [id, p] of grid.placements.entries()) {
    if (!('wall' in p.piece)) return undefined;
    // Courses are laid of pieces as deep as their wall; what is less deep comes in when windows are laid anew.
    if (p.along === undefined) continue;
    const { wall, course, at } = p.piece;
    const rows = walls.get(wall) ?? [];
    walls.set(wall, rows);
    const row = (rows[course] ??= { cells: [], from: [] });
    const deep = p.cells.length / p.along;
    for (let i = 0; i < p.along; i++) row.cells[at + i] = p.cells[i * deep]!;
    (row.from[at] ??= []).push(id);
  }
  return [...walls.values()];
}

/**
 * Lays one course after another anew between those below and above it, and keeps what is better: joints that a course made
 * because of what lay below it alone go away in a moment, and so does what is dearer than it need be.
 */
export function relayCourses(grid: Grid, laying: Laying, random: Random, steps: number): void {
  const rows = rowsOf(grid)?.filter((r) => r.length > 0);
  if (!rows || rows.length === 0) return;
  const ownOf = new Map<Row, ReadonlySet<number>>();
  let score = laying.score;
  for (let n = 0; n < steps; n++) {
    const wall = pick(random, rows);
    const c = between(random, 0, wall.length - 1);
    const row = wall[c];
    if (!row) continue;
    const own = ownOf.get(row) ?? new Set(row.from.flat());
    ownOf.set(row, own);
    const lifted = [...new Set(row.cells.map((cell) => laying.owner[cell] ?? -1))].filter((p) => own.has(p));
    lifted.forEach((p) => laying.lift(p));
    const laid = layRow(grid, laying, row, [wall[c - 1], wall[c + 1]], true, () => random() * 8);
    const now = laying.score;
    if (compareScores(now, score, grid.preferMoney) <= 0) score = now;
    else {
      laid.forEach((p) => laying.lift(p));
      lifted.forEach((p) => laying.lay(p));
    }
  }
}

function layRow(
  grid: Grid,
  laying: Laying,
  row: Row,
  beside: readonly (Row | undefined)[],
  takesEnds: boolean,
  chance: () => number = () => 0,
): number[] {
  const length = row.cells.length;
  const isFree = (i: number): boolean => {
    const cell = row.cells[i];
    if (cell === undefined || laying.owner[cell]! >= 0) return false;
    // A corner is left to the other wall in every other course.
    return takesEnds || !isShared(grid, cell);
  };
  /** What a border between places i-1 and i costs: much where a course beside it has one there too. */
  const border = (i: number): number => {
    if (i <= 0 || i >= length || row.cells[i - 1] === undefined || row.cells[i] === undefined) return 0;
    let joints = 0;
    for (const other of beside) {
      const [a, b] = [other?.cells[i - 1], other?.cells[i]];
      if (a === undefined || b === undefined) continue;
      const [left, right] = [laying.owner[a]!, laying.owner[b]!];
      if (left >= 0 && right >= 0 && left !== right) joints++;
    }
    return joints * JOINT;
  };
  const free = freeRuns(length, isFree);
  const cost = new Float64Array(length + 1).fill(Infinity);
  const by = new Int32Array(length + 1).fill(-1);
  cost[0] = 0;
  for (let i = 0; i < length; i++) {
    if (cost[i] === Infinity) continue;
    const skip = cost[i]! + (free[i]! > 0 ? GAP : 0);
    if (skip < cost[i + 1]!) [cost[i + 1], by[i + 1]] = [skip, -1];
    for (const p of row.from[i] ?? []) {
      const { part, along = 1 } = grid.placements[p]!;
      const to = i + along;
      const price = laying.nextPrice(part);
      if (price === Infinity || free[i]! < along || !laying.fits(p)) continue;
      // Of pieces that cost the same, one of a size may do better than another: chance decides between equals.
      const total = cost[i]! + border(to) + price * 10 + 1 + chance();
      if (total < cost[to]!) [cost[to], by[to]] = [total, p];
    }
  }
  const chosen: number[] = [];
  for (let i = length; i > 0;) {
    const p = by[i]!;
    if (p >= 0) chosen.push(p);
    i -= p >= 0 ? (grid.placements[p]!.along ?? 1) : 1;
  }
  return chosen.filter((p) => {
    if (!laying.fits(p)) return false;
    laying.lay(p);
    return true;
  });
}

/** How many places are free from each place on. */
function freeRuns(length: number, isFree: (i: number) => boolean): Int32Array {
  const runs = new Int32Array(length + 1);
  for (let i = length - 1; i >= 0; i--) runs[i] = isFree(i) ? runs[i + 1]! + 1 : 0;
  return runs;
}

const walls = new WeakMap<Grid, Set<number>>();

/** True of a cell that two walls share. */
function isShared(grid: Grid, cell: number): boolean {
  let shared = walls.get(grid);
  if (!shared) {
    shared = new Set();
    for (let c = 0; c < grid.cells; c++) {
      const names = new Set(
        grid.covering[c]!.map((p) => {
          const { piece } = grid.placements[p]!;
          return 'wall' in piece ? piece.wall : '';
        }),
      );
      if (names.size > 1) shared.add(c);
    }
    walls.set(grid, shared);
  }
  return shared.has(cell);
}
