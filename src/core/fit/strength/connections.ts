import { joinDiffs, removed, written, type Command, type Pieces, type Source } from '../../ledger';
import { elementKey, readPartName } from '../../parts';
import type { Connection } from '../../records';
import { asId, type ConnectionId, type ZoneId } from '../../shared/ids';
import type { Workbench } from '../../workbench';
import { STUD } from '../sums/measures';
import { mainColour } from '../walls/wall-commands';
import { planSteps, type WallPlan } from '../walls/plan-walls';
import { GRIP, NEWTONS } from './grip';

export const newConnection = (workbench: Workbench, zone: ZoneId, source: Source): Connection => ({
  id: asId<ConnectionId>(source.newId()),
  build: workbench.build,
  zone,
  name: 'Balcony',
  holds: 'studs',
  wide: 2,
  rows: 1,
  lever: 4,
  grams: 10,
  stress: null,
  note: '',
  modification: null,
});

export const keepConnection = (workbench: Workbench, connection: Connection): Command => ({
  label: `say how ${connection.name} holds`,
  diff: written('connection', workbench.records.connection.get(connection.id), connection),
});

export const deleteConnection = (connection: Connection): Command => ({
  label: `delete ${connection.name}`,
  diff: removed('connection', connection),
});

/** Why a place is weak. */
export type WeakBecause = 'two studs' | 'friction' | 'clip' | 'lever';

/** How well a place holds: the turning moment that pulls at it and what it bears at least, N mm. */
export interface Holding {
  readonly pulls: number;
  readonly bears: number;
  readonly because: readonly WeakBecause[];
}

/** What is carried must hold when the model is carried, too: so many times over. */
const SAFE = 2;

/**
 * Holds a lever against its studs. What it carries turns about the edge of the joint with weight × lever; studs in r rows
 * bear it with studs × least grip × half the depth of the rows. A clip or friction is counted as one stud. Weak is what bears
 * less than twice what pulls, what holds by two studs, and what holds by a clip or friction only.
 *
 * 10 g, 4 studs out, on two studs in a row: 3.1 N mm pull, 8 N mm hold; weak by its two studs.
 */
export function holding(c: Pick<Connection, 'holds' | 'wide' | 'rows' | 'lever' | 'grams'>): Holding {
  const bears = c.holds === 'studs' ? bearing(c.wide, c.rows) : bearing(1, 1);
  return judged(c, bears, c.holds === 'studs' ? c.wide * c.rows : 0);
}

/** What so many studs across a lever, in so many rows along it, bear at least, N mm. */
const bearing = (wide: number, rows: number): number => (wide * rows * GRIP.least * rows * STUD) / 2;

function judged(c: Pick<Connection, 'holds' | 'lever' | 'grams'>, bears: number, studs: number): Holding {
  const pulls = c.grams * NEWTONS * c.lever * STUD;
  const because: WeakBecause[] = [];
  if (studs === 0 && c.holds !== 'studs') because.push(c.holds);
  else if (studs <= 2) because.push('two studs');
  if (bears < SAFE * pulls) because.push('lever');
  return { pulls, bears, because };
}

/** What people do about a weak place: pieces that are added, and how it holds then. */
export interface Remedy {
  readonly does: 'row' | 'plate across' | 'lock course';
  readonly pieces: readonly Pieces[];
  readonly after: Holding;
}

const PLATE_LENGTHS = [2, 3, 4, 6, 8, 10, 12, 16];
const ROW_LENGTHS = [1, 2, 3, 4, 6, 8];

/**
 * Ways to strengthen a weak place, in the colour that its zone has most of: one more row of plates beside those that hold, a
 * longer plate across that reaches as far behind the joint as the lever is long, at most eight studs, and a course of bricks
 * over it that locks it. Only what holds better is offered, fewest pieces first.
 */
export function remediesFor(workbench: Workbench, c: Connection): Remedy[] {
  const before = holding(c);
  if (before.because.length === 0) return [];
  const colour = mainColour(workbench, c.zone);
  const piece = (name: string, qty = 1): Pieces => ({
    element: elementKey(readPartName(name).part.id, colour),
    qty,
  });
  const reach = Math.max(2, Math.min(8, Math.ceil(c.lever)));
  const across = PLATE_LENGTHS.find((l) => l >= 2 * reach) ?? 16;
  const lock = Math.max(4, 2 * c.wide);
  const [studs, rows] = c.holds === 'studs' ? [c.wide * c.rows, c.rows] : [0, 0];
  const after = (bears: number, more: number) => judged(c, bears, studs + more);
  const offered: Remedy[] = [
    {
      does: 'row',
      pieces: lengthsFor(c.wide, ROW_LENGTHS).map(([l, n]) => piece(`plate 1x${l}`, n)),
      after: after(bearing(c.wide, rows + 1), c.wide),
    },
    {
      // Half of it lies behind the joint, two studs wide.
      does: 'plate across',
      pieces: [piece(`plate 2x${across}`)],
      after: after(before.bears + bearing(2, across / 2), across),
    },
    {
      // Half of it lies on each side.
      does: 'lock course',
      pieces: lengthsFor(lock, ROW_LENGTHS).map(([l, n]) => piece(`brick 1x${l}`, n)),
      after: after(before.bears + bearing(Math.floor(lock / 2), 1), Math.floor(lock / 2)),
    },
  ];
  return offered
    .filter((r) => r.after.bears > before.bears || r.after.because.length < before.because.length)
    .sort((a, b) => total(a.pieces) - total(b.pieces));
}

const total = (pieces: readonly Pieces[]): number => pieces.reduce((s, p) => s + p.qty, 0);

/** The fewest lengths that make a stretch: lengthsFor(7, [1, 2, 3, 4, 6, 8]) = 6 and 1. */
function lengthsFor(studs: number, lengths: readonly number[]): [number, number][] {
  const found = new Map<number, number>();
  let left = studs;
  for (const l of [...lengths].sort((a, b) => b - a)) {
    const n = Math.floor(left / l);
    if (n > 0) found.set(l, n);
    left -= n * l;
  }
  return [...found];
}

/** Plans a remedy: a modification in the place's zone, taken from the build's own sources first; the place names it. */
export function planRemedy(workbench: Workbench, c: Connection, remedy: Remedy, source: Source): WallPlan {
  const planned = planSteps(
    workbench,
    { title: `Strengthen ${c.name}`, zone: c.zone, steps: [{ note: remedy.does, pieces: remedy.pieces }] },
    source,
  );
  const [modification = null] = planned.work.modifications;
  const kept = written('connection', workbench.records.connection.get(c.id), { ...c, modification });
  return { ...planned, work: { ...planned.work, diff: joinDiffs(planned.work.diff, kept) } };
}
