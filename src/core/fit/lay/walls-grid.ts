import type { Grid } from './grid';
import { GridBuilder, suppliesOf } from './grid-builder';
import { layWall } from './lay-wall';
import type { WallsProblem } from './problem';
import { wallCells } from './wall-cells';

/** The grid of walls that may meet at corners: joints are counted over two courses. */
export function wallsGrid(problem: WallsProblem): Grid {
  const builder = new GridBuilder();
  const cells = wallCells(problem, builder);
  const spans = problem.walls.map((w) => layWall(problem, w, cells.get(w.id)!, builder));
  // At a thick corner a piece of another wall may span a border of this one.
  const thick = problem.thick ?? 1;
  const byCell = thick > 1 ? builder.byCell() : [];
  const spanning = (own: readonly number[], a: number, b: number): readonly number[] => {
    if (thick === 1) return own;
    const both = new Set(byCell[a]);
    return [...new Set([...own, ...byCell[b]!.filter((p) => both.has(p))])];
  };
  problem.walls.forEach((wall, w) => {
    const rows = cells.get(wall.id)!;
    for (let c = 0; c + 1 < rows.length; c++)
      for (let b = 1; b < wall.length; b++)
        for (let r = 0; r < thick; r++) {
          const [low, high] = [rows[c]!, rows[c + 1]!];
          const around = [low[b - 1]![r]!, low[b]![r]!, high[b - 1]![r]!, high[b]![r]!] as const;
          if (around.includes(-1)) continue;
          builder.points.push({
            cells: [...around],
            spans: [
              ...spanning(spans[w]![c]![r]![b]!, around[0], around[1]),
              ...spanning(spans[w]![c + 1]![r]![b]!, around[2], around[3]),
            ],
            at: { wall: wall.id, course: c, border: b },
          });
        }
  });
  return builder.build(suppliesOf(problem.parts), problem.prefer === 'money');
}
