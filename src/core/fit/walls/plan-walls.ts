import { BLANK_INTENT, joinDiffs, written, type Intent, type Pieces, type Source } from '../../ledger';
import type { ElementKey } from '../../parts';
import type { WallJob } from '../../records';
import { costOfWork, planWork, type PlannedWork, type WorkCost, type Workbench } from '../../workbench';
import type { LaidPiece } from '../lay';
import { sourcedLots, type SourcedLot } from '../sourced-lots';
import { inBuildingOrder, laidWalls } from './laid-walls';
import type { StatedWalls } from './wall-problem';

/** A laying as planned entries, with what they take from where: what is shown of it before is what is booked after. */
export interface WallPlan {
  readonly work: PlannedWork;
  readonly lots: readonly SourcedLot[];
  readonly cost: WorkCost;
}

/**
 * Plans the pieces of a laying: one modification of the job's name in its zone, an entry for each course. They are taken
 * from the build's own sources first; what is short is bought, at an estimated price where the price book knows the shape
 * in other colours only.
 */
export function planWalls(
  workbench: Workbench,
  job: WallJob,
  stated: StatedWalls,
  plan: readonly LaidPiece[],
  source: Source,
): WallPlan {
  const courses = new Map<number, Map<ElementKey, number>>();
  for (const p of inBuildingOrder(job, plan)) {
    const means = stated.parts.get(p.part);
    if (!('wall' in p) || !means) continue;
    const lots = courses.get(p.course) ?? new Map<ElementKey, number>();
    courses.set(p.course, lots);
    lots.set(means.element, (lots.get(means.element) ?? 0) + means.each);
  }
  const steps = [...courses].map(([course, lots]) => ({
    note: `course ${course + 1} of ${job.courses.length}`,
    pieces: [...lots].map(([element, qty]): Pieces => ({ element, qty })),
  }));
  const planned = planSteps(workbench, { title: job.name, zone: job.zone, steps }, source);
  const [modification] = planned.work.modifications;
  const { pieces, joints, empty } = laidWalls(job, stated, plan);
  const kept = { ...job, planned: modification ? { modification, pieces, joints, empty } : null };
  const diff = joinDiffs(planned.work.diff, written('wallJob', workbench.records.wallJob.get(job.id), kept));
  return { ...planned, work: { ...planned.work, diff } };
}

/** What is laid, step by step: a course of a wall, a layer of a floor. */
interface LaidSteps {
  readonly title: string;
  readonly zone: WallJob['zone'];
  readonly steps: readonly { readonly note: string; readonly pieces: readonly Pieces[] }[];
}

/** The planned entries of what is laid, and where their pieces come from. */
export function planSteps(workbench: Workbench, laid: LaidSteps, source: Source): WallPlan {
  const { title, zone, steps } = laid;
  const sourced = sourcedLots(
    workbench,
    zone,
    steps.map((s) => s.pieces),
  );
  const intents = steps.flatMap(({ note }, i) => intentsOf(sourced[i]!, { ...BLANK_INTENT, zone, note }));
  const work = planWork(workbench, [{ title, zone, intents }], `plan ${title}`, source);
  return { work, lots: joined(sourced.flat()), cost: costOfWork(work.entries) };
}

/** One entry for what needs no more said; others for what is own and uncounted, and for what is bought at an estimate. */
function intentsOf(lots: readonly SourcedLot[], blank: Intent): Intent[] {
  const plain: Pieces[] = [];
  const more: Intent[] = [];
  for (const l of lots) {
    const estimated = l.toBuy > 0 && l.estimated;
    const qty = l.counted + (estimated ? 0 : l.toBuy);
    if (qty > 0) plain.push({ element: l.element, qty });
    if (l.roughly > 0)
      more.push({ ...blank, on: [{ element: l.element, qty: l.roughly }], source: 'own', planned: true });
    if (estimated)
      more.push({
        ...blank,
        on: [{ element: l.element, qty: l.toBuy }],
        source: 'outside',
        price: l.each,
        planned: true,
      });
  }
  return [...(plain.length > 0 ? [{ ...blank, on: plain, planned: true }] : []), ...more];
}

/** The same element over all steps. */
function joined(lots: readonly SourcedLot[]): SourcedLot[] {
  const byElement = new Map<ElementKey, SourcedLot>();
  for (const l of lots) {
    const o = byElement.get(l.element);
    byElement.set(
      l.element,
      o
        ? {
            ...o,
            qty: o.qty + l.qty,
            counted: o.counted + l.counted,
            roughly: o.roughly + l.roughly,
            toBuy: o.toBuy + l.toBuy,
            from: joinedFrom(o.from, l.from),
          }
        : l,
    );
  }
  return [...byElement.values()];
}

function joinedFrom(a: SourcedLot['from'], b: SourcedLot['from']): SourcedLot['from'] {
  return {
    spares: a.spares + b.spares,
    boxes: a.boxes + b.boxes,
    stock: a.stock + b.stock,
  };
}
