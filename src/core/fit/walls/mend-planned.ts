import { added, BLANK_INTENT, changed, joinDiffs, type Pieces, type Source } from '../../ledger';
import type { ElementKey } from '../../parts';
import type { WallJob } from '../../records';
import { planWork, type PlannedWork, type Workbench } from '../../workbench';
import { weakPlaces, type LaidPiece } from '../lay';
import type { WallsProblem } from '../lay/problem';
import type { Mend } from './mend';
import type { DrawnPiece } from './laid-walls';
import type { StatedWalls } from './wall-problem';

/** Walls that were planned, as the engine sees them: what they took counts as theirs. */
export interface StandingWalls {
  readonly problem: WallsProblem;
  readonly pieces: readonly WallPiece[];
}

type WallPiece = Extract<LaidPiece, { readonly wall: string }>;

/** The pieces of walls one stud thick as they were planned, stated again; null where a part is known no more. */
export function standingWalls(job: WallJob, stated: StatedWalls): StandingWalls | null {
  if (job.thick > 1) return null;
  const idOf = new Map([...stated.parts].map(([id, p]) => [`${p.element} ${p.each}`, id]));
  const pieces: WallPiece[] = [];
  const taken = new Map<string, number>();
  for (const p of job.planned?.pieces ?? []) {
    const part = idOf.get(`${p.element} ${p.plates ? 3 : 1}`);
    if (part === undefined) return null;
    taken.set(part, (taken.get(part) ?? 0) + 1);
    pieces.push({ part, wall: p.wall, course: p.course, at: p.at });
  }
  const parts = stated.problem.parts.map((p) => ({ ...p, stock: p.stock + (taken.get(p.id) ?? 0) }));
  return { problem: { ...stated.problem, parts }, pieces };
}

/**
 * Mends a joint of walls that were planned: a planned swap of the pieces in their modification, so that both go together
 * when they are laid anew, and the walls as they then lie. It works for what stands already, too: those pieces go to the
 * spares.
 */
export function planMend(
  workbench: Workbench,
  job: WallJob,
  stated: StatedWalls,
  mend: Mend,
  source: Source,
): PlannedWork {
  const lots = (pieces: readonly LaidPiece[]): Pieces[] => {
    const sums = new Map<ElementKey, number>();
    for (const p of pieces) {
      const means = stated.parts.get(p.part)!;
      sums.set(means.element, (sums.get(means.element) ?? 0) + means.each);
    }
    return [...sums].map(([element, qty]) => ({ element, qty }));
  };
  const swap = {
    ...BLANK_INTENT,
    kind: 'swap' as const,
    off: lots(mend.out),
    on: lots(mend.laid),
    zone: job.zone,
    why: 'weak' as const,
    planned: true,
  };
  const plan = { title: `Mend ${job.name}`, zone: job.zone, intents: [swap] };
  const work = intoItsOwn(workbench, job, planWork(workbench, [plan], `mend ${job.name}`, source));
  const standing = standingWalls(job, stated);
  if (!standing || !job.planned || work.problems.length > 0) return work;
  const isOut = (p: { readonly wall: string; readonly course: number; readonly at: number }) =>
    mend.out.some((o) => 'wall' in o && o.wall === p.wall && o.course === p.course && o.at === p.at);
  const laid = [...standing.pieces.filter((p) => !isOut(p)), ...mend.laid];
  const joints = weakPlaces(standing.problem, laid).joints.flatMap((j) => ('wall' in j ? [j] : []));
  const stays = job.planned.pieces.filter((p) => !isOut(p));
  const planned = {
    ...job.planned,
    pieces: [...stays, ...drawnOf(stated, mend)].sort(fromTheBottom),
    joints,
  };
  return { ...work, diff: joinDiffs(work.diff, changed('wallJob', job, { planned })) };
}

/** What a mend lays, as it is drawn: bought beyond what is free and what the mend itself takes out. */
function drawnOf(stated: StatedWalls, mend: Mend): DrawnPiece[] {
  const lengths = new Map(stated.problem.parts.map((p) => [p.id, p]));
  const free = new Map<string, number>();
  for (const p of mend.out) free.set(p.part, (free.get(p.part) ?? 0) + 1);
  return mend.laid.flatMap((p): DrawnPiece[] => {
    const [part, means] = [lengths.get(p.part), stated.parts.get(p.part)];
    if (!('wall' in p) || !part || !means) return [];
    const left = (free.get(p.part) ?? 0) + part.stock;
    free.set(p.part, (free.get(p.part) ?? 0) - 1);
    const { wall, course, at } = p;
    const plates = means.each === 3;
    return [
      { element: means.element, plates, wall, course, at, along: part.length, row: 0, bought: left <= 0 },
    ];
  });
}

const fromTheBottom = (a: DrawnPiece, b: DrawnPiece): number =>
  a.course - b.course || (a.wall < b.wall ? -1 : a.wall > b.wall ? 1 : a.at - b.at);

/** The swap as the last entry of the modification that the walls were planned as; by itself where that is gone. */
function intoItsOwn(workbench: Workbench, job: WallJob, work: PlannedWork): PlannedWork {
  const modification = job.planned?.modification;
  if (!modification || !workbench.records.modification.has(modification)) return work;
  const last = Math.max(0, ...workbench.entriesIn(modification).map((e) => e.position));
  const entries = work.entries.map((e, i) => ({ ...e, modification, position: last + 1 + i }));
  return { ...work, entries, modifications: [modification], diff: added('entry', ...entries) };
}
