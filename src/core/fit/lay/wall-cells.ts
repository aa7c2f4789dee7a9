import type { GridBuilder } from './grid-builder';
import type { WallsProblem } from './problem';

/**
 * Cells of a wall by course, place and row from the outside; -1 = an opening. What two walls share at a corner is one cell
 * for each place: the place j from the end of one, in its row i, is the place i from the end of the other, in its row j.
 */
export function wallCells(problem: WallsProblem, builder: GridBuilder): Map<string, number[][][]> {
  const thick = problem.thick ?? 1;
  const shut = new Set<string>();
  for (const o of problem.openings) {
    for (let c = o.bottom; c < o.bottom + o.courses; c++)
      for (let p = o.from; p < o.from + o.width; p++) shut.add(`${o.wall} ${c} ${p}`);
  }
  const lengths = new Map(problem.walls.map((w) => [w.id, w.length]));
  const joined = new Map<string, string>();
  const placeOf = (wall: string, end: 'left' | 'right', fromEnd: number, row: number) =>
    `${wall} ${end === 'left' ? fromEnd : (lengths.get(wall) ?? 1) - 1 - fromEnd} ${row}`;
  for (const k of problem.corners)
    for (let i = 0; i < thick; i++)
      for (let j = 0; j < thick; j++) joined.set(placeOf(k.b, k.bEnd, i, j), placeOf(k.a, k.aEnd, j, i));
  const root = (key: string): string => {
    let at = key;
    // A wall of one place has both its ends there: a chain of those may come round again.
    for (let n = 0; n <= problem.corners.length && joined.has(at); n++) at = joined.get(at)!;
    return at;
  };
  const shared = new Map<string, number>();
  const cells = new Map<string, number[][][]>();
  problem.walls.forEach((wall, w) => {
    const rows = problem.courses.map((_, c) =>
      Array.from({ length: wall.length }, (_, p) =>
        Array.from({ length: thick }, (_, r) => {
          if (shut.has(`${wall.id} ${c} ${p}`)) return -1;
          const key = `${root(`${wall.id} ${p} ${r}`)} ${c}`;
          const known = shared.get(key);
          if (known !== undefined) return known;
          const fresh = builder.cell(p, c, w);
          shared.set(key, fresh);
          return fresh;
        }),
      ),
    );
    cells.set(wall.id, rows);
  });
  return cells;
}
