import {
  interiorOf,
  keepConnection,
  keepFloorJob,
  keepInterior,
  keepPlot,
  keepRing,
  keepSeam,
  keepTrack,
  keepWallJob,
  keepZonePlace,
  newConnection,
  newFloorJob,
  newRing,
  newSeam,
  newTrack,
  newWallJob,
  plotOf,
  readCourses,
  readWalls,
  type Room,
} from '../core/fit';
import { PALETTE } from '../core/colour';
import { measureSize } from '../core/inspection';
import { asId, type BuildId, type ColourId } from '../core/shared/ids';
import type { Handle } from '../data/database';
import { must, Stater } from './stater';

const colour = (name: string): ColourId => asId<ColourId>(name);

/** A house of a street of which little is known yet. */
const NEIGHBOUR = {
  depth: 32,
  storeys: [] as readonly number[],
  kerb: null as number | null,
  cornices: [] as readonly number[],
  doors: [] as readonly { name: string; at: number; sill: number }[],
  shares: false,
};

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
  const walls = must(readWalls('quay 18, slip 11', job.walls));
  const [quay, slip] = walls;
  s.act(
    keepWallJob(s.workbench(), {
      ...job,
      name: 'Boathouse walls',
      walls: walls.map((w) => (w.id === slip!.id ? { ...w, right: 'toothed in' } : w)),
      meet: 'row',
      courses: must(readCourses('slate, 2 ash, 2 kelp, ash', PALETTE)),
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
      kerb: 1,
      cornices: [62],
      doors: [
        { name: 'front door', at: 12, sill: 3 },
        { name: 'boat door', at: 22, sill: 0 },
      ],
      neighbours: [
        {
          ...NEIGHBOUR,
          name: 'Chandlery',
          width: 16,
          storeys: [2, 32, 60],
          kerb: 1,
          cornices: [60],
          doors: [{ name: 'shop', at: 6, sill: 2 }],
        },
        { ...NEIGHBOUR, name: 'Net loft', width: 24, storeys: [3, 35, 66], kerb: 2, cornices: [64] },
        { ...NEIGHBOUR, name: 'Harbour office', width: 20, depth: 24, storeys: [3, 33, 63, 80] },
      ],
      place: 1,
    }),
  );
}

/** What stands where of the house, its rooms, the harbour tram past its quay, what lifts off and what holds by little. */
export function fitHouseInside(
  handle: Handle,
  build: BuildId | undefined,
  newId: () => string,
  clock: () => Date,
): void {
  if (!build) throw new Error('rooms need a build');
  const s = new Stater(handle, build, newId, clock);
  const place = (zone: string, [x, y, width, depth, bottom, height]: readonly number[]) =>
    s.act(
      keepZonePlace(s.workbench(), s.zone(zone), {
        x: x!,
        y: y!,
        width: width!,
        depth: depth!,
        bottom: bottom!,
        height: height!,
      }),
    );
  place('House front', [10, 8, 24, 20, 3, 60]);
  place('Tower', [0, 8, 10, 10, 3, 84]);
  place('Lamp room', [0, 8, 10, 10, 87, 18]);
  place('Quay', [0, 6, 20, 4, 0, 9]);
  s.act(keepInterior(s.workbench(), { ...interiorOf(s.workbench()), ...INSIDE }));
  const [boathouse] = [...s.workbench().records.wallJob.values()];
  const track = { ...newTrack(s.workbench(), s.source()), name: 'Harbour tram past the quay' };
  s.act(
    keepTrack(s.workbench(), {
      ...track,
      wall: boathouse?.id ?? null,
      from: 14.4,
      to: 96,
      distance: 4,
      tried: [{ length: 176, cutBack: 0, note: 'the short tram, its steps folded' }],
    }),
  );
  const seam = newSeam(s.workbench(), s.source());
  s.act(
    keepSeam(s.workbench(), {
      ...seam,
      name: 'Lamp room',
      what: 'storey',
      zones: [s.zone('Lamp room')],
      width: 10,
      depth: 10,
      studs: 16,
      grip: 'under the gallery, both hands',
    }),
  );
  const lamp = newConnection(s.workbench(), s.zone('House front'), s.source());
  s.act(keepConnection(s.workbench(), { ...lamp, name: 'Shop sign', wide: 1, rows: 2, lever: 3, grams: 6 }));
}

const room = (
  id: string,
  name: string,
  [width, depth, height]: readonly [number, number, number],
  furniture: Room['furniture'] = [],
): Room => ({ id, name, width, depth, height, furniture });

/** The keeper's rooms: a store that nothing leads to yet, and a door that a cart does not pass. */
const INSIDE = {
  rooms: [
    room('hall', 'hall', [12, 8, 27], [{ name: 'stove', width: 2, depth: 3 }]),
    room(
      'kitchen',
      'kitchen',
      [10, 8, 27],
      [
        { name: 'table', width: 4, depth: 4 },
        { name: 'dresser', width: 6, depth: 2 },
      ],
    ),
    room('stair', 'tower stair', [8, 8, 81]),
    room('lamp', 'lamp room', [8, 8, 15]),
    room('store', 'net store', [6, 6, 18]),
  ],
  ways: [
    { from: 'street', to: 'hall', kind: 'door' as const, width: 4, height: 18 },
    { from: 'hall', to: 'kitchen', kind: 'opening' as const, width: 3, height: 18 },
    { from: 'hall', to: 'stair', kind: 'door' as const, width: 4, height: 15 },
    { from: 'stair', to: 'lamp', kind: 'ladder' as const, width: 2, height: 13 },
  ],
  passers: [
    { name: 'figure', width: 2, height: 12, climbs: true },
    { name: 'hand cart', width: 4, height: 9, climbs: false },
  ],
  points: [
    { name: 'window sill', plates: 12 },
    { name: 'seat of the bench', plates: 6 },
    { name: 'gallery floor', plates: 87 },
  ],
};

/** The glasshouse: its ring of glass panels. */
export function fitGlasshouse(
  handle: Handle,
  build: BuildId | undefined,
  newId: () => string,
  clock: () => Date,
): void {
  if (!build) throw new Error('a ring needs a build');
  const s = new Stater(handle, build, newId, clock);
  const ring = newRing(s.workbench(), s.source());
  s.act(keepRing(s.workbench(), { ...ring, name: 'Glasshouse', panels: 12, length: 4 }));
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
      walls: must(readWalls('back 26, side 14', wall.walls)),
      meet: 'row',
      courses: must(readCourses('slate, 3 ash, ash plate, slate tile', PALETTE)),
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
