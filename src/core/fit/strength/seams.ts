import { removed, written, type Command, type Source } from '../../ledger';
import type { Seam } from '../../records';
import { asId, type SeamId } from '../../shared/ids';
import type { Workbench } from '../../workbench';
import { massOfBuild, type Mass } from '../sums/mass';
import { PLATE, STUD } from '../sums/measures';
import { GRIP, LIFT, NEWTONS } from './grip';

/** A seam to begin from: a roof of 16 x 16 studs over six bricks' height that is held by four studs. */
export const newSeam = (workbench: Workbench, source: Source): Seam => ({
  id: asId<SeamId>(source.newId()),
  build: workbench.build,
  name: 'Roof',
  what: 'roof',
  zones: [],
  width: 16,
  depth: 16,
  height: 18,
  studs: 4,
  grip: '',
  tried: null,
});

export const keepSeam = (workbench: Workbench, seam: Seam): Command => ({
  label: `say how ${seam.name} lifts off`,
  diff: written('seam', workbench.records.seam.get(seam.id), seam),
});

export const deleteSeam = (seam: Seam): Command => ({
  label: `delete ${seam.name}`,
  diff: removed('seam', seam),
});

/** How many studs a seam should keep, and what that rests on. */
export interface SeamHold {
  /** What is lifted off; null while no zone of it is said. */
  readonly mass: Mass | null;
  /** Fewer come loose when the model is tipped on its side; more cannot be lifted off without fear. */
  readonly least: number;
  readonly most: number;
  /** What was seen when it was lifted goes before what the sum says. */
  readonly state: 'too loose' | 'good' | 'too tight';
  /** Studs to leave, and the tiles of the rest of the outline's studs: at the corners first, two beside one another. */
  readonly leave: number;
  readonly pull: number;
}

/** A model that is carried shakes: so many times its weight must hold. */
const SHAKEN = 2;
const SEEN = { held: 'good', 'came loose': 'too loose', stuck: 'too tight' } as const;
/** Fewer never hold against turning. */
const LEAST_STUDS = 2;

/**
 * How many studs a seam should keep. Tipped on its side, what is above pulls at its upper edge with G h / (2 d), G its
 * weight, h its height and d the shorter side of the seam; shaken, twice that. The studs of one edge must hold it, each by
 * the least that a stud holds; as any side may be the upper one, as many on the other. Lifted off, all of them pull with the
 * most that a stud holds, besides the weight: no more than two hands lift without fear, 40 N.
 *
 * 250 g, 18 plates tall, over 16 x 16 studs: at least 4 studs, at most 12.
 */
export function seamHold(workbench: Workbench, seam: Seam): SeamHold {
  const mass = massOfZones(workbench, seam.zones);
  const weight = ((mass?.grams ?? 0) + (mass?.doubt ?? 0)) * NEWTONS;
  const short = Math.min(seam.width, seam.depth) * STUD;
  const edge = (SHAKEN * weight * seam.height * PLATE) / (2 * short);
  const least = Math.max(LEAST_STUDS, 2 * Math.ceil(edge / GRIP.least - 1e-9));
  const most = Math.max(least, Math.floor(Math.max(0, LIFT - weight) / GRIP.most));
  const bySum = seam.studs < least ? 'too loose' : seam.studs > most ? 'too tight' : 'good';
  const state = seam.tried ? SEEN[seam.tried] : bySum;
  // Four corners are held alike, where there is room for it below the most.
  const wanted = Math.min(most, Math.max(least, 4));
  // Where it came loose or stuck all the same, a third more or fewer than there are.
  const leave =
    state === 'too loose'
      ? Math.max(wanted, Math.ceil((seam.studs * 4) / 3), seam.studs + 1)
      : state === 'too tight'
        ? Math.max(LEAST_STUDS, Math.min(wanted, Math.floor((seam.studs * 2) / 3)))
        : wanted;
  return { mass, least, most, state, leave, pull: seam.studs * GRIP.most + weight };
}

/** The mass of what stands in some zones, as planned; null for none. */
export function massOfZones(workbench: Workbench, zones: readonly string[]): Mass | null {
  if (zones.length === 0) return null;
  const there = massOfBuild(workbench, 'planned').zones.filter((z) => zones.includes(z.zone));
  return {
    grams: there.reduce((s, z) => s + z.grams, 0),
    doubt: there.reduce((s, z) => s + z.doubt, 0),
  };
}
