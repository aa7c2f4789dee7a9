import type { Minor } from '../../shared/money';
import type { LaidPiece, WallsProblem } from '../lay/problem';
import { weakPlaces } from '../lay';
import type { WeakJoint } from './laid-walls';

/** What mends a joint over a joint: pieces of one course that are taken out, and those that take their places. */
export interface Mend {
  readonly out: readonly LaidPiece[];
  readonly laid: readonly LaidPiece[];
  /** What must be bought for it beyond what is at hand, minor units. */
  readonly money: Minor;
}

type WallPiece = Extract<LaidPiece, { readonly wall: string }>;

/** Beyond it a course is laid anew rather than mended. */
const MOST_PIECES = 5;
const MOST_TRIES = 20_000;

/**
 * The fewest pieces of one course that must be taken out to mend a joint over a joint, without making another: short ones
 * side by side become one longer, or pieces move along. Of as few, what costs least, then what is laid of fewest pieces.
 * What is taken out is at hand again. Null where no five pieces beside one another do it. For walls one stud thick.
 *
 * Two 1x2 side by side over a joint are mended by one 1x4.
 */
export function mendJoint(
  problem: WallsProblem,
  pieces: readonly LaidPiece[],
  joint: WeakJoint,
): Mend | null {
  const own = pieces.flatMap((p) => ('wall' in p && p.wall === joint.wall ? [p] : []));
  const before = weakPlaces(problem, pieces).joints.length;
  for (let n = 2; n <= MOST_PIECES; n++) {
    const found: Mend[] = [];
    for (const course of [joint.course, joint.course + 1]) {
      const row = own.filter((p) => p.course === course).sort((a, b) => a.at - b.at);
      for (const run of runsOver(row, joint.border, n, problem))
        found.push(...mends(problem, pieces, run, joint, before));
    }
    const [best] = found.sort((a, b) => a.money - b.money || a.laid.length - b.laid.length);
    if (best) return best;
  }
  return null;
}

const lengthsOf = (problem: WallsProblem) => new Map(problem.parts.map((p) => [p.id, p.length]));

/** Runs of n pieces without a gap between them that meet at the border. */
function runsOver(
  row: readonly WallPiece[],
  border: number,
  n: number,
  problem: WallsProblem,
): WallPiece[][] {
  const lengths = lengthsOf(problem);
  const end = (p: WallPiece) => p.at + (lengths.get(p.part) ?? 1);
  return row.flatMap((_, i) => {
    const run = row.slice(i, i + n);
    const whole = run.length === n && run.every((p, k) => k === 0 || end(run[k - 1]!) === p.at);
    const meets = run.some((p, k) => k > 0 && p.at === border);
    return whole && meets ? [run] : [];
  });
}

/** All ways of laying a run anew that leave fewer joints. */
function mends(
  problem: WallsProblem,
  pieces: readonly LaidPiece[],
  run: readonly WallPiece[],
  joint: WeakJoint,
  before: number,
): Mend[] {
  const [first] = run;
  const lengths = lengthsOf(problem);
  const parts = new Map(problem.parts.map((p) => [p.id, p]));
  const colour = parts.get(first!.part)?.colour;
  // A run over two areas has two colours: each keeps its own.
  if (!first || run.some((p) => parts.get(p.part)?.colour !== colour)) return [];
  const rest = pieces.filter((p) => !run.includes(p as WallPiece));
  const used = new Map<string, number>();
  for (const p of rest) used.set(p.part, (used.get(p.part) ?? 0) + 1);
  const to = run.reduce((s, p) => s + (lengths.get(p.part) ?? 0), first.at);
  const fitting = problem.parts.filter((p) => p.colour === colour && (p.deep ?? 1) === 1);
  const found: Mend[] = [];
  let tries = 0;
  const go = (at: number, laid: WallPiece[], money: Minor): void => {
    if (tries++ > MOST_TRIES) return;
    if (at === to) {
      const joints = weakPlaces(problem, [...rest, ...laid]).joints;
      const isMended = !joints.some((j) => 'wall' in j && sameJoint(j, joint));
      if (isMended && joints.length < before) found.push({ out: run, laid: [...laid], money });
      return;
    }
    for (const p of fitting) {
      const end = at + p.length;
      if (end > to) continue;
      // Cutting at the border again mends nothing.
      if (end === joint.border && run[0]!.course === joint.course && end !== to) continue;
      const taken = (used.get(p.id) ?? 0) + laid.filter((l) => l.part === p.id).length;
      const toBuy = taken >= p.stock;
      if (toBuy && (p.price === null || taken >= p.stock + p.limit)) continue;
      laid.push({ part: p.id, wall: first.wall, course: first.course, at });
      go(end, laid, money + (toBuy ? p.price! : 0));
      laid.pop();
    }
  };
  go(first.at, [], 0);
  return found;
}

const sameJoint = (a: WeakJoint, b: WeakJoint): boolean =>
  a.wall === b.wall && a.course === b.course && a.border === b.border;
