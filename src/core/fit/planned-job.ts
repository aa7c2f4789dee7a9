import { changed, joinDiffs, type Command } from '../ledger';
import type { FloorJob, WallJob } from '../records';
import type { ModificationId } from '../shared/ids';
import { deleteModification, type Workbench } from '../workbench';

/** Only stated; planned; being placed; or planned once, with its modification deleted since. */
export type JobState = 'stated' | 'planned' | 'begun' | 'gone';

/** How far a job is, by the entries of the modification that it was planned as. */
export function jobState(
  workbench: Workbench,
  job: { readonly planned: { readonly modification: ModificationId } | null },
): JobState {
  if (!job.planned) return 'stated';
  const { modification } = job.planned;
  if (!workbench.records.modification.has(modification)) return 'gone';
  const mine = workbench.entries.filter((e) => e.modification === modification);
  return mine.some((e) => e.state === 'done') ? 'begun' : 'planned';
}

/** Takes up a job that was planned: its planned entries go, as long as none of them was placed; what was placed stays. */
export function layWallAnew(workbench: Workbench, job: WallJob): Command {
  return {
    label: `lay ${job.name} anew`,
    diff: joinDiffs(released(workbench, job), changed('wallJob', job, { planned: null })),
  };
}

export function layFloorAnew(workbench: Workbench, job: FloorJob): Command {
  return {
    label: `lay ${job.name} anew`,
    diff: joinDiffs(released(workbench, job), changed('floorJob', job, { planned: null })),
  };
}

function released(workbench: Workbench, job: WallJob | FloorJob) {
  const modification = job.planned && workbench.records.modification.get(job.planned.modification);
  if (!modification || jobState(workbench, job) !== 'planned') return { added: [], changed: [], removed: [] };
  return deleteModification(workbench, modification).diff;
}
