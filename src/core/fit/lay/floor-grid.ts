import type { Grid } from './grid';
import { GridBuilder, suppliesOf } from './grid-builder';
import type { FloorProblem } from './problem';

/** The grid of a floor of areas: points are where four corners may meet, or a seam of the layer below runs on. */
export function floorGrid(problem: FloorProblem): Grid {
  const builder = new GridBuilder();
  const { width, depth } = problem;
  const area = Array.from({ length: depth }, () => new Int32Array(width).fill(-1));
  const each = (r: { x: number; y: number; w: number; d: number }, set: (x: number, y: number) => void) => {
    for (let y = r.y; y < Math.min(depth, r.y + r.d); y++)
      for (let x = r.x; x < Math.min(width, r.x + r.w); x++) set(x, y);
  };
  problem.areas.forEach((a, i) => each(a, (x, y) => (area[y]![x] = i)));
  // A place that is kept out is nobody's; one that no area holds may take no colour and stays empty.
  problem.keepOut.forEach((k) => each(k, (x, y) => (area[y]![x] = -2)));
  const cells = area.map((row, y) =>
    Array.from(row, (a, x) => (a === -2 ? -1 : builder.cell(x, y, Math.max(0, a)))),
  );
  problem.parts.forEach((part, k) => {
    for (const turned of part.w === part.d ? [false] : [false, true]) {
      const [w, d] = turned ? [part.d, part.w] : [part.w, part.d];
      for (let y = 0; y + d <= depth; y++)
        for (let x = 0; x + w <= width; x++) {
          const of = area[y]![x]!;
          if (of < 0 || !problem.areas[of]!.colours.includes(part.colour)) continue;
          const covers: number[] = [];
          for (let j = 0; j < d; j++)
            for (let i = 0; i < w; i++) if (area[y + j]![x + i] === of) covers.push(cells[y + j]![x + i]!);
          if (covers.length < w * d) continue;
          builder.placements.push({ part: k, cells: covers, piece: { part: part.id, x, y, turned } });
        }
    }
  });
  const byCell = builder.byCell();
  if (problem.avoidCrosses) addCrosses(builder, cells, byCell);
  if (problem.under) addSeams(builder, cells, byCell, problem.under);
  return builder.build(suppliesOf(problem.parts), problem.prefer === 'money');
}

/** Points inside a floor with four cells around: a piece that covers two of them keeps four corners from meeting there. */
function addCrosses(
  builder: GridBuilder,
  cells: readonly (readonly number[])[],
  byCell: readonly (readonly number[])[],
): void {
  for (let y = 1; y < cells.length; y++)
    for (let x = 1; x < cells[y]!.length; x++) {
      const around = [cells[y - 1]![x - 1]!, cells[y - 1]![x]!, cells[y]![x - 1]!, cells[y]![x]!];
      if (around.includes(-1)) continue;
      const counts = new Map<number, number>();
      for (const c of around) for (const p of byCell[c]!) counts.set(p, (counts.get(p) ?? 0) + 1);
      builder.points.push({
        cells: around,
        spans: [...counts].flatMap(([p, n]) => (n > 1 ? [p] : [])),
        at: { x, y },
      });
    }
}

/** Borders of two cells over a seam of the layer below: a piece that covers both keeps them together. */
function addSeams(
  builder: GridBuilder,
  cells: readonly (readonly number[])[],
  byCell: readonly (readonly number[])[],
  under: NonNullable<FloorProblem['under']>,
): void {
  const below = new Map<number, number>();
  under.forEach((r, i) => {
    for (let y = r.y; y < r.y + r.d; y++)
      for (let x = r.x; x < r.x + r.w; x++) {
        const cell = cells[y]?.[x] ?? -1;
        if (cell >= 0) below.set(cell, i);
      }
  });
  const look = (a: number, b: number | undefined, x: number, y: number): void => {
    if (a < 0 || b === undefined || b < 0) return;
    const [p, q] = [below.get(a), below.get(b)];
    if (p === undefined || q === undefined || p === q) return;
    const both = new Set(byCell[b]);
    builder.points.push({ cells: [a, b], spans: byCell[a]!.filter((s) => both.has(s)), at: { x, y } });
  };
  cells.forEach((row, y) =>
    row.forEach((cell, x) => {
      look(cell, row[x + 1], x + 1, y);
      look(cell, cells[y + 1]?.[x], x, y + 1);
    }),
  );
}
