import type { ElementKey } from '../../parts';
import type { WallJob } from '../../records';
import { weakPlaces, type LaidPiece } from '../lay';
import { courseHeight } from '../course-parts';
import type { StatedWalls } from './wall-problem';

/** A piece as it is drawn: from the left of its wall, in studs. */
export interface DrawnPiece {
  readonly wall: string;
  readonly element: ElementKey;
  /** True where three plates lie on one another. */
  readonly plates: boolean;
  readonly course: number;
  readonly at: number;
  readonly along: number;
  /** The outside row, 0, is what is seen; what lies behind it alone is not drawn in an elevation. */
  readonly row: number;
  /** True where it is bought: it comes when what is at hand has ended. */
  readonly bought: boolean;
}

/** A joint over a joint, between places border-1 and border of a wall, over this course and the next. */
export interface WeakJoint {
  readonly wall: string;
  readonly course: number;
  readonly border: number;
}

/** Walls as they are laid, for drawing and for building course by course. */
export interface LaidWalls {
  readonly pieces: readonly DrawnPiece[];
  readonly joints: readonly WeakJoint[];
  /** The places of each wall that stay empty. */
  readonly empty: readonly { readonly wall: string; readonly course: number; readonly at: number }[];
  readonly ends: readonly RunsOut[];
}

/** An element of which what is at hand ends: in which course, from the bottom, and what lies there instead from then on. */
export interface RunsOut {
  readonly element: ElementKey;
  readonly atHand: number;
  readonly course: number;
  /** Pieces that are bought beyond what is at hand. */
  readonly bought: number;
}

/** Pieces in the order in which they are built: course by course, wall by wall, from the left. */
export function inBuildingOrder<P extends LaidPiece>(job: WallJob, pieces: readonly P[]): P[] {
  const rank = new Map(job.walls.map((w, i) => [w.id, i]));
  const key = (p: LaidPiece) => ('wall' in p ? [p.course, rank.get(p.wall) ?? 0, p.at, p.row ?? 0] : [0]);
  return [...pieces].sort((a, b) => {
    const [x, y] = [key(a), key(b)];
    const at = x.findIndex((v, i) => v !== y[i]);
    return at < 0 ? 0 : x[at]! - y[at]!;
  });
}

/** What a plan of walls comes to, piece by piece: what is drawn where, which joints are weak, what runs out in which course. */
export function laidWalls(job: WallJob, stated: StatedWalls, plan: readonly LaidPiece[]): LaidWalls {
  const { problem } = stated;
  const parts = new Map(problem.parts.map((p) => [p.id, p]));
  const used = new Map<ElementKey, number>();
  const ends = new Map<ElementKey, RunsOut>();
  const pieces = inBuildingOrder(job, plan).flatMap((p) => {
    const part = parts.get(p.part);
    const means = stated.parts.get(p.part);
    if (!('wall' in p) || !part || !means) return [];
    const { element, each, supply } = means;
    const now = (used.get(element) ?? 0) + each;
    used.set(element, now);
    // Counted by element, as the plan takes them: several courses may want the same.
    const bought = now > supply.atHand;
    if (bought) {
      const course = ends.get(element)?.course ?? p.course;
      ends.set(element, { element, atHand: supply.atHand, course, bought: now - supply.atHand });
    }
    const along = p.across ? (part.deep ?? 1) : part.length;
    const { wall, course, at, row = 0 } = p;
    return [{ element, plates: each === 3, wall, course, at, along, row, bought }];
  });
  const weak = weakPlaces(problem, plan);
  const joints = weak.joints.flatMap((j) => ('wall' in j ? [j] : []));
  const empty = weak.empty.flatMap((e) => ('wall' in e ? [e] : []));
  return { pieces, joints, empty, ends: [...ends.values()].filter((e) => e.atHand > 0) };
}

/** Walls as they were planned; null while they are only stated. What runs out was told before. */
export const plannedWalls = (job: WallJob): LaidWalls | null =>
  job.planned && {
    pieces: job.planned.pieces,
    joints: job.planned.joints,
    empty: job.planned.empty,
    ends: [],
  };

/** Pieces of a laying as one counts them in a box: where three plates lie for a brick they are three. */
export const piecesLaid = (stated: StatedWalls, plan: readonly LaidPiece[]): number =>
  plan.reduce((s, p) => s + (stated.parts.get(p.part)?.each ?? 1), 0);

/** Whether what a laying buys has parts of which nobody knows a price: its money then rests on a guess. */
export const restsOnGuess = (stated: StatedWalls, bought: Readonly<Record<string, number>>): boolean =>
  Object.keys(bought).some((part) => stated.parts.get(part)?.supply.guessed ?? false);

/** How tall each course begins, in plates from the ground; the last is the height of all. */
export function courseLevels(job: Pick<WallJob, 'courses'>): number[] {
  const levels = [0];
  for (const c of job.courses) levels.push(levels.at(-1)! + courseHeight(c.family));
  return levels;
}
