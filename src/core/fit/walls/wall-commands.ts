import { removed, written, type Command, type Source } from '../../ledger';
import { modelAccount } from '../../places';
import { splitElementKey } from '../../parts';
import type { WallJob } from '../../records';
import { asId, type ColourId, type WallJobId, type ZoneId } from '../../shared/ids';
import { cutText } from '../../shared/text';
import type { Workbench } from '../../workbench';

/** Walls to begin from: one of 12 studs and six courses, in the colour that the zone has most of. */
export function newWallJob(workbench: Workbench, zone: ZoneId, source: Source): WallJob {
  const name = `Wall of ${workbench.records.zone.get(zone)?.name ?? 'the model'}`;
  const course = { colour: mainColour(workbench, zone), family: 'brick' };
  return {
    id: asId<WallJobId>(source.newId()),
    build: workbench.build,
    zone,
    name: cutText(name, 80),
    walls: [{ id: 'w1', name: 'front', length: 12, left: 'free', right: 'free' }],
    meet: 'apart',
    thick: 1,
    anyInside: false,
    courses: Array.from({ length: 6 }, () => course),
    corners: null,
    openings: [],
    panels: [],
    faces: [],
    plates: false,
    planned: null,
  };
}

/** The colour that most pieces of a zone have; the palette's first where it has none. */
export function mainColour(workbench: Workbench, zone: ZoneId): ColourId {
  const sums = new Map<ColourId, number>();
  for (const r of workbench.built.balances.rows((a) => a === modelAccount(zone))) {
    const { colour } = splitElementKey(r.element);
    sums.set(colour, (sums.get(colour) ?? 0) + r.qty);
  }
  const [first] = [...sums].sort((a, b) => b[1] - a[1]);
  return first?.[0] ?? workbench.palette[0]!.id;
}

/** Keeps walls as they are wanted now. What does not fit them any more goes: openings and panels of a wall that is gone. */
export function keepWallJob(workbench: Workbench, job: WallJob): Command {
  const there = new Set(job.walls.map((w) => w.id));
  const fitting = {
    ...job,
    openings: job.openings.filter((o) => there.has(o.wall)),
    panels: job.panels.filter((p) => there.has(p.wall)),
  };
  const old = workbench.records.wallJob.get(job.id);
  return { label: `${old ? 'change' : 'begin'} ${job.name}`, diff: written('wallJob', old, fitting) };
}

export const deleteWallJob = (job: WallJob): Command => ({
  label: `delete ${job.name}`,
  diff: removed('wallJob', job),
});
