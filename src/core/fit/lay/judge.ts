import type { FloorProblem, LaidPiece, LayProblem, WallsProblem } from './problem';

/** What a plan comes to by the rules of the problem alone, and the first thing that is against them. */
export interface Judged {
  readonly fault: string | null;
  readonly unfilled: number;
  readonly joints: number;
  readonly money: number;
  readonly pieces: number;
}

/**
 * Goes through a plan as a person with the rules in hand would: it knows nothing of how plans are made, so that it can
 * say whether one is right.
 */
export function judgeLaying(problem: LayProblem, pieces: readonly LaidPiece[]): Judged {
  const parts = new Map<string, LayProblem['parts'][number]>(problem.parts.map((p) => [p.id, p]));
  const used = new Map<string, number>();
  let fault: string | null = null;
  for (const p of pieces) {
    if (!parts.has(p.part)) fault ??= `there is no part ${p.part}`;
    used.set(p.part, (used.get(p.part) ?? 0) + 1);
  }
  let money = 0;
  for (const [id, n] of used) {
    const part = parts.get(id);
    const bought = Math.max(0, n - (part?.stock ?? 0));
    if (bought > 0 && (part?.price ?? null) === null) fault ??= `${id} is not for sale`;
    if (bought > (part?.limit ?? 0)) fault ??= `only ${part?.limit ?? 0} of ${id} can be bought`;
    money += bought * (part?.price ?? 0);
  }
  const laid = problem.kind === 'walls' ? judgeWalls(problem, pieces) : judgeFloor(problem, pieces);
  return { money, pieces: pieces.length, ...laid, fault: fault ?? laid.fault };
}

type Laid = Pick<Judged, 'fault' | 'unfilled' | 'joints'>;

function judgeWalls(problem: WallsProblem, pieces: readonly LaidPiece[]): Laid {
  let fault: string | null = null;
  const { walls, courses, corners } = problem;
  const thick = problem.thick ?? 1;
  const [isOpen, colourAt] = [opensOf(problem), coloursOf(problem)];
  /** Behind what is seen another colour may lie, but not where walls meet: there the other wall shows it. */
  const mayHide = (
    p: { wall: string; course: number },
    colour: string,
    row: number,
    deep: number,
    at: number,
  ) =>
    courses[p.course]!.inside === colour &&
    row > 0 &&
    deep === 1 &&
    !corners.some((k) =>
      (
        [
          [k.a, k.aEnd],
          [k.b, k.bEnd],
        ] as const
      ).some(([w, e]) => {
        const length = walls.find((x) => x.id === w)?.length ?? 0;
        return w === p.wall && (e === 'left' ? at : length - 1 - at) < thick;
      }),
    );
  /** By wall, course, place and row: which piece of this wall lies there. */
  const own = new Map<string, number>();
  pieces.forEach((piece, i) => {
    if (!('wall' in piece)) return void (fault ??= 'a piece of a floor lies in a wall');
    const wall = walls.find((w) => w.id === piece.wall);
    const part = problem.parts.find((p) => p.id === piece.part);
    if (!wall || !part || !courses[piece.course]) return void (fault ??= `piece ${i} lies nowhere`);
    const size = [part.length, part.deep ?? 1] as const;
    const [along, deep] = piece.across ? [size[1], size[0]] : size;
    const row = piece.row ?? 0;
    if (row < 0 || row + deep > thick) fault ??= `piece ${i} is deeper than its wall`;
    if (
      part.feet &&
      piece.course > 0 &&
      [piece.at, piece.at + along - 1].some((p) => isOpen(wall.id, piece.course - 1, p))
    )
      fault ??= `piece ${i} has a foot over an opening`;
    for (let p = piece.at; p < piece.at + along; p++) {
      if (p < 0 || p >= wall.length) fault ??= `piece ${i} reaches out of its wall`;
      else if (colourAt(wall.id, piece.course, p) !== colourAt(wall.id, piece.course, piece.at))
        fault ??= `piece ${i} lies in two areas`;
      else if (
        !colourAt(wall.id, piece.course, p).endsWith(` ${part.colour}`) &&
        !mayHide(piece, part.colour, row, deep, p)
      )
        fault ??= `piece ${i} has not the colour of its course`;
      if (isOpen(wall.id, piece.course, p)) fault ??= `piece ${i} lies in an opening`;
      for (let r = row; r < row + deep; r++) {
        const key = `${wall.id}|${piece.course}|${p}|${r}`;
        if (own.has(key)) fault ??= `piece ${i} lies on another`;
        own.set(key, i);
      }
    }
  });
  const lengthOf = (id: string) => walls.find((w) => w.id === id)?.length ?? 0;
  const fromEnd = (id: string, end: 'left' | 'right', p: number) =>
    end === 'left' ? p : lengthOf(id) - 1 - p;
  /** The same place as a wall that meets this one at a corner counts it: place and row change over. */
  const others = (wall: string, p: number, r: number): [string, number, number][] =>
    corners.flatMap((k): [string, number, number][] => {
      const meet = (a: string, aEnd: 'left' | 'right', b: string, bEnd: 'left' | 'right') => {
        const j = fromEnd(a, aEnd, p);
        return a === wall && j < thick ? [[b, fromEnd(b, bEnd, r), j] as [string, number, number]] : [];
      };
      return [...meet(k.a, k.aEnd, k.b, k.bEnd), ...meet(k.b, k.bEnd, k.a, k.aEnd)];
    });
  const filled = (wall: string, c: number, p: number, r: number): boolean =>
    own.has(`${wall}|${c}|${p}|${r}`) ||
    others(wall, p, r).some(([w, q, s]) => own.has(`${w}|${c}|${q}|${s}`));
  /** The piece at a place, whichever of the walls laid it: at a thick corner one of another wall may span a border here. */
  const who = (wall: string, c: number, p: number, r: number): number | undefined =>
    own.get(`${wall}|${c}|${p}|${r}`) ??
    others(wall, p, r)
      .map(([w, q, s]) => own.get(`${w}|${c}|${q}|${s}`))
      .find((i) => i !== undefined);
  const rank = (id: string) => walls.findIndex((w) => w.id === id);
  let [unfilled, joints] = [0, 0];
  const look = (wall: string, c: number, p: number, r: number): void => {
    const there = others(wall, p, r);
    if (own.has(`${wall}|${c}|${p}|${r}`) && there.some(([w, q, s]) => own.has(`${w}|${c}|${q}|${s}`)))
      fault ??= `both walls fill the corner of ${wall} in course ${c}`;
    // A corner's place is told once, by the first of its walls.
    const first = there.every(([w]) => rank(w) >= rank(wall));
    if (first && !isOpen(wall, c, p) && !filled(wall, c, p, r)) unfilled++;
    if (p === 0 || c + 1 >= courses.length) return;
    const spans = (y: number) => {
      const [a, b] = [who(wall, y, p - 1, r), who(wall, y, p, r)];
      return a !== undefined && a === b;
    };
    const around = [c, c + 1].flatMap((y) => [p - 1, p].map((x) => [y, x] as const));
    if (around.some(([y, x]) => isOpen(wall, y, x) || !filled(wall, y, x, r))) return;
    if (!spans(c) && !spans(c + 1)) joints++;
  };
  for (const wall of walls)
    for (let c = 0; c < courses.length; c++)
      for (let p = 0; p < wall.length; p++) for (let r = 0; r < thick; r++) look(wall.id, c, p, r);
  return { fault, unfilled, joints };
}

const opensOf = (problem: WallsProblem) => (wall: string, c: number, p: number) =>
  problem.openings.some(
    (o) =>
      o.wall === wall && p >= o.from && p < o.from + o.width && c >= o.bottom && c < o.bottom + o.courses,
  );

/** The area that decides over a place, and its colour. */
const coloursOf = (problem: WallsProblem) => (wall: string, c: number, p: number) => {
  let said = `course ${problem.courses[c]?.colour}`;
  (problem.areas ?? []).forEach((a, i) => {
    const holds = p >= a.from && p < a.from + a.width && c >= a.bottom && c < a.bottom + a.courses;
    if (a.wall === wall && holds) said = `${i} ${a.colour}`;
  });
  return said;
};

function judgeFloor(problem: FloorProblem, pieces: readonly LaidPiece[]): Laid {
  let fault: string | null = null;
  const { width, depth, areas, keepOut } = problem;
  const holds = (r: { x: number; y: number; w: number; d: number }, x: number, y: number) =>
    x >= r.x && x < r.x + r.w && y >= r.y && y < r.y + r.d;
  const areaAt = (x: number, y: number) => areas.findLastIndex((a) => holds(a, x, y));
  const isOut = (x: number, y: number) => keepOut.some((k) => holds(k, x, y));
  const own = new Map<string, number>();
  pieces.forEach((piece, i) => {
    const part = problem.parts.find((p) => p.id === piece.part);
    if (!('turned' in piece) || !part) return void (fault ??= `piece ${i} is none of this floor`);
    const [w, d] = piece.turned ? [part.d, part.w] : [part.w, part.d];
    const area = areaAt(piece.x, piece.y);
    if (!areas[area]?.colours.includes(part.colour))
      fault ??= `piece ${i} has a colour that may not lie there`;
    for (let y = piece.y; y < piece.y + d; y++)
      for (let x = piece.x; x < piece.x + w; x++) {
        if (x < 0 || y < 0 || x >= width || y >= depth || isOut(x, y))
          fault ??= `piece ${i} lies where nothing may`;
        if (areaAt(x, y) !== area) fault ??= `piece ${i} lies in two areas`;
        if (own.has(`${x}|${y}`)) fault ??= `piece ${i} lies on another`;
        own.set(`${x}|${y}`, i);
      }
  });
  /** Seams at the right and the far side of a place that lie over a seam of the layer below. */
  const seamsOver = (x: number, y: number): number => {
    const below = (a: number, b: number) => (problem.under ?? []).findIndex((u) => holds(u, a, b));
    return [
      [x + 1, y],
      [x, y + 1],
    ].filter(([a = 0, b = 0]) => {
      if (isOut(x, y) || isOut(a, b) || a >= width || b >= depth) return false;
      const [here, there] = [below(x, y), below(a, b)];
      const [mine, its] = [own.get(`${x}|${y}`), own.get(`${a}|${b}`)];
      return (
        here >= 0 && there >= 0 && here !== there && mine !== undefined && its !== undefined && mine !== its
      );
    }).length;
  };
  let [unfilled, joints] = [0, 0];
  for (let y = 0; y < depth; y++)
    for (let x = 0; x < width; x++) {
      if (!isOut(x, y) && !own.has(`${x}|${y}`)) unfilled++;
      joints += seamsOver(x, y);
      if (!problem.avoidCrosses || x === 0 || y === 0) continue;
      const around = [
        [x - 1, y - 1],
        [x, y - 1],
        [x - 1, y],
        [x, y],
      ] as const;
      if (around.some(([a, b]) => isOut(a, b))) continue;
      const who = around.map(([a, b]) => own.get(`${a}|${b}`));
      if (who.every((p) => p !== undefined) && new Set(who).size === 4) joints++;
    }
  return { fault, unfilled, joints };
}
