import {
  keepFloorJob,
  keepPlot,
  keepWallJob,
  newFloorJob,
  newWallJob,
  plotOf,
  readCourses,
  readWalls,
} from '../core/fit';
import type { Command } from '../core/ledger';
import { PALETTE } from '../core/colour';
import { measureSize } from '../core/inspection';
import { asId, type ActionId, type BuildId, type ColourId } from '../core/shared/ids';
import type { Result } from '../core/shared/result';
import type { Workbench } from '../core/workbench';
import type { Handle } from '../data/database';
import { perform } from '../server/perform';
import { openWorkbench } from '../server/snapshot';

const colour = (name: string): ColourId => asId<ColourId>(name);

/** States what is to be laid of a build, through the same doors as a person's own work. */
class Stater {
  constructor(
    private readonly handle: Handle,
    private readonly build: BuildId,
    private readonly newId: () => string,
    private readonly clock: () => Date,
  ) {}

  workbench(): Workbench {
    const workbench = openWorkbench(this.handle, this.build);
    if (!workbench) throw new Error('the build of a wall is there');
    return workbench;
  }

  zone(name: string) {
    const zone = this.workbench().zones.find((z) => z.name === name);
    if (!zone) throw new Error(`no zone ${name}`);
    return zone.id;
  }

  source() {
    return { newId: this.newId, now: this.clock().toISOString() };
  }

  act({ label, diff }: Command): void {
    const action = { id: asId<ActionId>(this.newId()), scope: this.build, label, diff };
    read(perform(this.handle, action, this.clock()));
  }
}

function read<T>(result: Result<T, unknown>): T {
  if (!result.ok) throw new Error(`the demo could not be seeded: ${JSON.stringify(result.reason)}`);
  return result.value;
}

/** The house: a boathouse under the stair whose two walls meet, the street it will stand in, and how big it is. */
export function fitHouse(
  handle: Handle,
  build: BuildId | undefined,
  newId: () => string,
  clock: () => Date,
): void {
  if (!build) throw new Error('a wall needs a build');
  const s = new Stater(handle, build, newId, clock);
  const job = newWallJob(s.workbench(), s.zone('Quay'), s.source());
  const walls = read(readWalls('quay 18, slip 11', job.walls));
  const [quay, slip] = walls;
  s.act(
    keepWallJob(s.workbench(), {
      ...job,
      name: 'Boathouse walls',
      walls: walls.map((w) => (w.id === slip!.id ? { ...w, right: 'toothed in' } : w)),
      meet: 'row',
      courses: read(readCourses('slate, 2 ash, 2 kelp, ash', PALETTE)),
      openings: [
        { wall: quay!.id, name: 'boat door', width: 6, bottom: 0, courses: 4, from: 5, count: 1 },
        { wall: quay!.id, name: 'window 1x2x2', width: 2, bottom: 1, courses: 2, from: null, count: 1 },
        { wall: slip!.id, name: 'window 1x3x2', width: 3, bottom: 1, courses: 2, from: 4, count: 1 },
      ],
    }),
  );
  s.act(measureSize(s.workbench(), 'found', { length: 32, width: 24, height: 34 }));
  s.act(measureSize(s.workbench(), 'built', { length: 34, width: 24, height: 34 }));
  s.act(
    keepPlot(s.workbench(), {
      ...plotOf(s.workbench()),
      width: 32,
      depth: 32,
      front: 6,
      touches: ['left', 'right'],
      storeys: [3, 33, 63, 102],
      neighbours: [
        { name: 'Chandlery', width: 16, depth: 32, storeys: [2, 32, 60] },
        { name: 'Net loft', width: 24, depth: 32, storeys: [3, 35, 66] },
        { name: 'Harbour office', width: 20, depth: 24, storeys: [3, 33, 63, 80] },
      ],
      place: 1,
    }),
  );
}

/** The garden: its wall to the rocks, and a paved terrace with its mooring post left free. */
export function fitGarden(
  handle: Handle,
  build: BuildId | undefined,
  newId: () => string,
  clock: () => Date,
): void {
  if (!build) throw new Error('a terrace needs a build');
  const s = new Stater(handle, build, newId, clock);
  const wall = newWallJob(s.workbench(), s.zone('Wall'), s.source());
  s.act(
    keepWallJob(s.workbench(), {
      ...wall,
      name: 'Garden wall',
      walls: read(readWalls('back 26, side 14', wall.walls)),
      meet: 'row',
      courses: read(readCourses('slate, 3 ash, ash plate, slate tile', PALETTE)),
      openings: [],
      plates: true,
    }),
  );
  const floor = newFloorJob(s.workbench(), s.zone('Beds and path'), s.source());
  s.act(
    keepFloorJob(s.workbench(), {
      ...floor,
      name: 'Terrace',
      width: 24,
      depth: 10,
      colours: [
        { colour: colour('ash'), share: 3 },
        { colour: colour('slate'), share: 1 },
      ],
      kerb: { colour: colour('soot'), width: 1 },
      keepOut: [{ name: 'mooring post', x: 17, y: 4, w: 2, d: 2 }],
    }),
  );
}
