import { LAY } from './bounds';
import type { FloorProblem, LayProblem, WallsProblem } from './problem';

/**
 * What makes no sense in a problem that reads well: a sentence that says where, or null. It lays nothing, and so costs
 * nothing.
 *
 * faultOf(walls with an opening from 12 of width 4 in a wall of 13) = "an opening of quay from 12 reaches outside of it"
 */
export const faultOf = (problem: LayProblem): string | null =>
  problem.kind === 'walls' ? wallsFault(problem) : floorFault(problem);

function wallsFault({
  walls,
  corners,
  courses,
  openings,
  parts,
  areas = [],
  thick = 1,
}: WallsProblem): string | null {
  const lengths = new Map(walls.map((w) => [w.id, w.length]));
  if (lengths.size < walls.length) return 'two walls have the same name';
  if (new Set(parts.map((p) => p.id)).size < parts.length) return 'two parts have the same name';
  if (walls.reduce((s, w) => s + w.length, 0) * courses.length * thick > LAY.cells)
    return `the walls have more than ${LAY.cells} places`;
  for (const o of openings) {
    const length = lengths.get(o.wall);
    if (length === undefined) return `an opening is in the wall ${o.wall}, which is not there`;
    if (o.from + o.width > length || o.bottom + o.courses > courses.length)
      return `an opening of ${o.wall} from ${o.from} reaches outside of it`;
  }
  for (const a of areas) {
    const length = lengths.get(a.wall);
    if (length === undefined) return `an area of colour is in the wall ${a.wall}, which is not there`;
    if (a.from + a.width > length || a.bottom + a.courses > courses.length)
      return `an area of colour of ${a.wall} from ${a.from} reaches outside of it`;
  }
  const short = walls.find((w) => w.length < thick);
  if (short) return `the wall ${short.id} is shorter than it is thick`;
  const met = new Set<string>();
  for (const k of corners) {
    const missing = [k.a, k.b].find((w) => !lengths.has(w));
    if (missing !== undefined) return `a corner is of the wall ${missing}, which is not there`;
    if (k.a === k.b) return `the wall ${k.a} meets itself at a corner`;
    for (const end of [`${k.a} ${k.aEnd}`, `${k.b} ${k.bEnd}`]) {
      if (met.has(end))
        return `the ${end.split(' ').at(-1)} end of ${end.split(' ').slice(0, -1).join(' ')} meets two walls`;
      met.add(end);
    }
  }
  return null;
}

function floorFault({ parts, width, depth }: FloorProblem): string | null {
  if (new Set(parts.map((p) => p.id)).size < parts.length) return 'two parts have the same name';
  return width * depth > LAY.cells ? `the floor has more than ${LAY.cells} places` : null;
}
