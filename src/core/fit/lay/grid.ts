import type { FloorProblem, LaidPiece, LayProblem, WallsProblem } from './problem';

/** A part with what there is of it. */
export interface GridPart {
  readonly id: string;
  readonly stock: number;
  /** Null = not for sale. */
  readonly price: number | null;
  readonly limit: number;
}

/** A piece at a place: the cells that it covers. */
export interface Placement {
  readonly part: number;
  readonly cells: readonly number[];
  readonly piece: LaidPiece;
  /** Places of its course that it takes, where it is as deep as its wall: courses can be laid of such pieces one by one. */
  readonly along?: number;
}

/** A place where a joint lies over a joint, or four corners meet, unless one of `spans` is laid or a cell is left empty. */
export interface JointPoint {
  readonly cells: readonly number[];
  readonly spans: readonly number[];
  /** In walls: the border between places border-1 and border, over this course and the next. On floors: the point. */
  readonly at: JointPlace;
}

export type JointPlace =
  | { readonly wall: string; readonly course: number; readonly border: number }
  | { readonly x: number; readonly y: number };

/**
 * Walls and floors alike: cells to be filled, pieces that can lie on them, and points where joints are counted. The first
 * laying, the exact model and the search know nothing else.
 */
export interface Grid {
  readonly cells: number;
  /** Where each cell lies, for windows of cells near one another. */
  readonly at: readonly { readonly x: number; readonly y: number; readonly of: number }[];
  readonly parts: readonly GridPart[];
  readonly placements: readonly Placement[];
  /** Placements that cover each cell. */
  readonly covering: readonly (readonly number[])[];
  readonly points: readonly JointPoint[];
  /** Points that each placement spans. */
  readonly spanned: readonly (readonly number[])[];
  readonly preferMoney: boolean;
}

/** The grid of a laying problem that makes sense (`faultOf` says whether it does). */
export const gridOf = (problem: LayProblem): Grid =>
  problem.kind === 'walls' ? wallsGrid(problem) : floorGrid(problem);

class GridBuilder {
  readonly at: { x: number; y: number; of: number }[] = [];
  readonly placements: Placement[] = [];
  readonly points: { cells: number[]; spans: number[]; at: JointPlace }[] = [];

  cell(x: number, y: number, of: number): number {
    return this.at.push({ x, y, of }) - 1;
  }

  build(parts: readonly GridPart[], preferMoney: boolean): Grid {
    const covering: number[][] = this.at.map(() => []);
    this.placements.forEach((p, i) => p.cells.forEach((c) => covering[c]!.push(i)));
    const spanned: number[][] = this.placements.map(() => []);
    this.points.forEach((p, i) => p.spans.forEach((s) => spanned[s]!.push(i)));
    return {
      cells: this.at.length,
      at: this.at,
      parts,
      placements: this.placements,
      covering,
      points: this.points,
      spanned,
      preferMoney,
    };
  }
}

const suppliesOf = (parts: LayProblem['parts']): GridPart[] =>
  parts.map(({ id, stock, price, limit }) => ({ id, stock, price, limit: price === null ? 0 : limit }));

/**
 * Cells of a wall by course, place and row from the outside; -1 = an opening. What two walls share at a corner is one cell
 * for each place: the place j from the end of one, in its row i, is the place i from the end of the other, in its row j.
 */
function wallCells(problem: WallsProblem, builder: GridBuilder): Map<string, number[][][]> {
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

/** Which area of a wall holds a place of a course: its number from 1, 0 = none but the course; and the colour there. */
function areasOfWall(problem: WallsProblem, wall: string) {
  const mine = (problem.areas ?? []).filter((a) => a.wall === wall);
  return (course: number, place: number): { readonly area: number; readonly colour: string } => {
    const area = mine.findLastIndex(
      (a) =>
        place >= a.from && place < a.from + a.width && course >= a.bottom && course < a.bottom + a.courses,
    );
    return { area: area + 1, colour: mine[area]?.colour ?? problem.courses[course]!.colour };
  };
}

/** The ways a part can lie in a wall: along it, and across it where that is another way and the wall is thick enough. */
function waysOf(part: WallsProblem['parts'][number], thick: number) {
  const deep = part.deep ?? 1;
  const ways = [
    { along: part.length, deep, across: false },
    { along: deep, deep: part.length, across: true },
  ];
  return ways.filter(
    (w) => w.deep <= thick && (!w.across || (thick > 1 && part.length !== deep && !part.onlyAlong)),
  );
}

/** Whether both ends of a piece lie over something; the first course stands on the ground. */
const hasGround = (below: readonly (readonly number[])[] | undefined, from: number, along: number): boolean =>
  [from, from + along - 1].every((p) => below?.[p]?.some((cell) => cell >= 0) ?? true);

/** Puts the pieces of a wall's course into the grid, and says which of them span which border of which row. */
function layWall(
  problem: WallsProblem,
  wall: WallsProblem['walls'][number],
  rows: readonly (readonly (readonly number[])[])[],
  builder: GridBuilder,
): number[][][][] {
  const thick = problem.thick ?? 1;
  const at = areasOfWall(problem, wall.id);
  const spans = rows.map(() =>
    Array.from({ length: thick }, () => Array.from({ length: wall.length }, (): number[] => [])),
  );
  const corner = Array.from({ length: wall.length }, (_, p) => isCorner(problem, wall.id, wall.length, p));
  const mayHide = (colour: string, course: number) => colour === problem.courses[course]!.inside;
  rows.forEach((row, course) => {
    const areas = row.map((_, p) => at(course, p));
    problem.parts.forEach((part, k) => {
      for (const way of waysOf(part, thick))
        for (let from = 0; from + way.along <= wall.length; from++) {
          const { area, colour } = areas[from]!;
          const isSeen = colour === part.colour;
          if (!isSeen && !(mayHide(part.colour, course) && way.deep === 1)) continue;
          if (areas.slice(from, from + way.along).some((a) => a.area !== area)) continue;
          if (part.feet && !hasGround(rows[course - 1], from, way.along)) continue;
          const places = Array.from({ length: way.along }, (_, i) => from + i);
          if (!isSeen && places.some((p) => corner[p])) continue;
          // What may be of any colour lies behind what is seen.
          for (let r = isSeen ? 0 : 1; r + way.deep <= thick; r++) {
            const cells = row.slice(from, from + way.along).flatMap((p) => p.slice(r, r + way.deep));
            if (cells.includes(-1)) continue;
            const piece = { part: part.id, wall: wall.id, course, at: from };
            const id =
              builder.placements.push({
                part: k,
                cells,
                piece: thick > 1 ? { ...piece, row: r, across: way.across } : piece,
                ...(way.deep === thick ? { along: way.along } : {}),
              }) - 1;
            for (let b = from + 1; b < from + way.along; b++)
              for (let q = r; q < r + way.deep; q++) spans[course]![q]![b]!.push(id);
          }
        }
    });
  });
  return spans;
}

function wallsGrid(problem: WallsProblem): Grid {
  const builder = new GridBuilder();
  const cells = wallCells(problem, builder);
  const spans = problem.walls.map((w) => layWall(problem, w, cells.get(w.id)!, builder));
  // At a thick corner a piece of another wall may span a border of this one.
  const thick = problem.thick ?? 1;
  const byCell = thick > 1 ? placementsByCell(builder) : [];
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

function floorGrid(problem: FloorProblem): Grid {
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
  const byCell = placementsByCell(builder);
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

function placementsByCell(builder: GridBuilder): number[][] {
  const byCell: number[][] = builder.at.map(() => []);
  builder.placements.forEach((p, i) => p.cells.forEach((c) => byCell[c]!.push(i)));
  return byCell;
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

/** Whether a place of a wall is a corner's: what lies there in the inner row is seen on the wall that it meets. */
const isCorner = (problem: WallsProblem, wall: string, length: number, place: number): boolean =>
  problem.corners.some((k) =>
    [
      [k.a, k.aEnd],
      [k.b, k.bEnd],
    ].some(([w, e]) => w === wall && (e === 'left' ? place : length - 1 - place) < (problem.thick ?? 1)),
  );
