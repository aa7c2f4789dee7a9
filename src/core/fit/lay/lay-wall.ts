import type { GridBuilder } from './grid-builder';
import type { WallsProblem } from './problem';

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
export function layWall(
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

/** Whether a place of a wall is a corner's: what lies there in the inner row is seen on the wall that it meets. */
const isCorner = (problem: WallsProblem, wall: string, length: number, place: number): boolean =>
  problem.corners.some((k) =>
    [
      [k.a, k.aEnd],
      [k.b, k.bEnd],
    ].some(([w, e]) => w === wall && (e === 'left' ? place : length - 1 - place) < (problem.thick ?? 1)),
  );
