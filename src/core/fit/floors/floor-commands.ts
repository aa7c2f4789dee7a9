import { joinDiffs, removed, written, type Command, type Pieces, type Source } from '../../ledger';
import type { ElementKey } from '../../parts';
import type { FloorJob } from '../../records';
import { asId, type FloorJobId, type ZoneId } from '../../shared/ids';
import { cutText } from '../../shared/text';
import type { Workbench } from '../../workbench';
import { mainColour } from '../walls/wall-commands';
import { planSteps, type WallPlan } from '../walls/plan-walls';
import type { LaidFloor } from './laid-floor';

/** A floor to begin from: 16 x 8 tiles in the colour that the zone has most of, no four corners meeting. */
export const newFloorJob = (workbench: Workbench, zone: ZoneId, source: Source): FloorJob => ({
  id: asId<FloorJobId>(source.newId()),
  build: workbench.build,
  zone,
  name: cutText(`Floor of ${workbench.records.zone.get(zone)?.name ?? 'the model'}`, 80),
  width: 16,
  depth: 8,
  family: 'tile',
  layers: 1,
  colours: [{ colour: mainColour(workbench, zone), share: 1 }],
  pattern: 'no crosses',
  slab: { w: 2, d: 1 },
  kerb: null,
  keepOut: [],
  planned: null,
});

/** Keeps a floor as it is wanted now. */
export function keepFloorJob(workbench: Workbench, job: FloorJob): Command {
  const old = workbench.records.floorJob.get(job.id);
  return { label: `${old ? 'change' : 'begin'} ${job.name}`, diff: written('floorJob', old, job) };
}

export const deleteFloorJob = (job: FloorJob): Command => ({
  label: `delete ${job.name}`,
  diff: removed('floorJob', job),
});

/** Plans the pieces of a floor: one modification of its name, an entry for each layer, and the job keeps where each lies. */
export function planFloor(
  workbench: Workbench,
  job: FloorJob,
  layers: readonly LaidFloor[],
  source: Source,
): WallPlan {
  const steps = layers.map((layer, i) => {
    const sums = new Map<ElementKey, number>();
    for (const p of layer.pieces) sums.set(p.element, (sums.get(p.element) ?? 0) + 1);
    return {
      note: layers.length > 1 ? `layer ${i + 1} of ${layers.length}` : '',
      pieces: [...sums].map(([element, qty]): Pieces => ({ element, qty })),
    };
  });
  const planned = planSteps(workbench, { title: job.name, zone: job.zone, steps }, source);
  const [modification] = planned.work.modifications;
  const pieces = layers.flatMap((l) => l.pieces);
  const joints = layers.flatMap((l) => l.joints);
  const empty = layers.flatMap((l) => l.empty);
  const kept = { ...job, planned: modification ? { modification, pieces, joints, empty } : null };
  const old = workbench.records.floorJob.get(job.id);
  const diff = joinDiffs(planned.work.diff, written('floorJob', old, kept));
  return { ...planned, work: { ...planned.work, diff } };
}

/** The other half of a floor that is the same in a mirror: places kept free change over from left to right. */
export function mirroredFloor(job: FloorJob): Omit<FloorJob, 'id' | 'planned'> {
  const { id: _, planned: __, ...rest } = job;
  return { ...rest, keepOut: job.keepOut.map((k) => ({ ...k, x: job.width - k.x - k.w })) };
}
