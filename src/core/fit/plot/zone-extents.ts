import { removed, written, type Command, type Size } from '../../ledger';
import type { WallJob, ZonePlace } from '../../records';
import type { ZoneId } from '../../shared/ids';
import type { Workbench } from '../../workbench';
import { around, blockOf, moved, type Block } from './block';
import { wallsBlock } from './wall-runs';

/** How big a zone is: as it was said, and with the walls that were planned in it, which begin at its left front corner. */
export interface ZoneExtent {
  readonly zone: ZoneId;
  readonly name: string;
  readonly said: ZonePlace | null;
  /** Null where neither its place was said nor a wall planned. Without a said place it lies at 0, 0. */
  readonly block: Block | null;
}

/** Keeps where a zone lies; null = it is not said any more. */
export function keepZonePlace(workbench: Workbench, zone: ZoneId, block: Block | null): Command {
  const old = workbench.records.zonePlace.get(zone);
  const name = workbench.records.zone.get(zone)?.name ?? '';
  const place = block && { id: zone, build: workbench.build, zone, ...block };
  return {
    label: `say where ${name} lies`,
    diff: place ? written('zonePlace', old, place) : removed('zonePlace', ...(old ? [old] : [])),
  };
}

/** How big each zone is as planned, in the order of the zones. */
export function zoneExtents(workbench: Workbench): ZoneExtent[] {
  const jobs = [...workbench.records.wallJob.values()].filter((j) => isStillPlanned(workbench, j));
  return workbench.zones.map(({ id, name }) => {
    const said = workbench.records.zonePlace.get(id) ?? null;
    const at = said ?? { x: 0, y: 0, bottom: 0 };
    const walls = jobs.filter((j) => j.zone === id).map((j) => moved(wallsBlock(j), at));
    return { zone: id, name, said, block: around([...(said ? [blockOf(said)] : []), ...walls]) };
  });
}

/** True of walls whose modification is still there. */
export const isStillPlanned = (workbench: Workbench, job: WallJob): boolean =>
  job.planned !== null && workbench.records.modification.has(job.planned.modification);

/**
 * The size as planned: what was measured, and at least what the zones and the walls planned in them take, studs and bricks.
 * Null while nothing of it is known.
 */
export function plannedSize(workbench: Workbench): Size | null {
  const card = workbench.records.inspectionCard.get(workbench.build);
  const measured = card?.built ?? card?.found ?? null;
  const zones = zoneExtents(workbench).filter((z) => z.block);
  const whole = around(zones.flatMap((z) => (z.said && z.block ? [z.block] : [])));
  // Of a zone whose place nobody said only its own size is known.
  const alone = zones.flatMap((z) => (z.said || !z.block ? [] : [z.block]));
  const sizes = [...(whole ? [whole] : []), ...alone];
  if (sizes.length === 0) return measured;
  const most = (of: (b: Block) => number) => Math.max(...sizes.map(of));
  const least = {
    length: most((b) => b.width),
    width: most((b) => b.depth),
    height: most((b) => b.bottom + b.height) / 3,
  };
  if (!measured) return least;
  return {
    length: Math.max(measured.length, least.length),
    width: Math.max(measured.width, least.width),
    height: Math.max(measured.height, least.height),
  };
}

/** A storey of the plot with the zones that begin in it, and the room they take together. */
export interface StoreySize {
  /** 0 = below the first line, else the line it begins at, plates. */
  readonly from: number;
  readonly zones: readonly string[];
  readonly block: Block;
}

/** How big each storey is: zones whose place was said, by the storey's line that they begin at or above. */
export function storeySizes(workbench: Workbench, storeys: readonly number[]): StoreySize[] {
  const lines = [...new Set([0, ...storeys])].sort((a, b) => a - b);
  const of = (bottom: number) => lines.findLast((l) => l <= bottom) ?? 0;
  const zones = zoneExtents(workbench).filter((z) => z.said && z.block);
  return lines.flatMap((from) => {
    const mine = zones.filter((z) => of(z.block!.bottom) === from);
    const block = around(mine.map((z) => z.block!));
    return block ? [{ from, zones: mine.map((z) => z.name), block }] : [];
  });
}
